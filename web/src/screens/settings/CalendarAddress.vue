<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import { useCalendar, useRenewCalendar } from '../../api/queries'
import AnswerState from '../../parts/AnswerState.vue'

/** The due dates for a calendar program: an address to subscribe to, or a file. */
const { data, error, refetch } = useCalendar()
const { mutate, isPending } = useRenewCalendar()
const address = computed(() => (data.value ? new URL(data.value.path, window.location.href).href : ''))
const copied = ref(false)
async function copy() {
  await navigator.clipboard.writeText(address.value)
  copied.value = true
}
</script>

<template>
  <section class="section" aria-labelledby="calendar-title">
    <h2 id="calendar-title">Calendar</h2>
    <p class="says">Every dog’s date as an all-day entry with its reason and an alarm the morning before. A calendar program on this machine that subscribes to the address moves the entries when the dates move.</p>
    <AnswerState v-if="!data" :error="error" what="the calendar’s address" @again="refetch()" />
    <template v-else>
      <p class="address"><code>{{ address }}</code></p>
      <div class="ways">
        <BButton variant="plain" @click="copy">{{ copied ? 'Copied' : 'Copy the address' }}</BButton>
        <a :href="data.path" download="due.ics" class="btn btn-plain">Download due.ics</a>
        <BButton variant="plain" :disabled="isPending" @click="mutate()">Make a new address</BButton>
      </div>
      <p class="soft small says">Whoever knows the address can read the dogs’ names and dates. A new one makes the old one useless.</p>
    </template>
  </section>
</template>

<style scoped>
.says { max-width: 46rem; }
.address { overflow-wrap: anywhere; }
.ways { display: flex; flex-wrap: wrap; gap: 0.5rem; margin-bottom: 0.5rem; }
</style>
