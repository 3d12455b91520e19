<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref } from 'vue'
import { useCalendar, useRenewCalendar } from '../../api/queries'
import { $t } from '../../i18n'
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
    <h2 id="calendar-title">{{ $t('settings.calendar') }}</h2>
    <p class="says">{{ $t('settings.every_dogs_date_as_an') }}</p>
    <AnswerState v-if="!data" :error="error" :what="$t('settings.the_calendars_address')" @again="refetch()" />
    <template v-else>
      <p class="address">
        <code>{{ address }}</code>
      </p>
      <div class="ways">
        <BButton variant="plain" @click="copy">{{
          copied ? $t('settings.copied') : $t('settings.copy_the_address')
        }}</BButton>
        <a :href="data.path" download="due.ics" class="btn btn-plain">{{ $t('settings.download_due_ics') }}</a>
        <BButton variant="plain" :disabled="isPending" @click="mutate()">{{
          $t('settings.make_a_new_address')
        }}</BButton>
      </div>
      <p class="soft small says">{{ $t('settings.whoever_knows_the_address_can') }}</p>
    </template>
  </section>
</template>

<style scoped>
.says {
  max-width: 46rem;
}
.address {
  overflow-wrap: anywhere;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-bottom: 0.5rem;
}
</style>
