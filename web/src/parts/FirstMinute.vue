<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDue } from '../api/queries'
import { kept } from '../local/kept'

/** The demonstration’s first minute: one dog’s morning in five steps, passed by a press, and never shown again. */
const store = kept<number>('fribbet-first-minute')
const at = ref(store.read() ?? 0)
watch(at, (step) => store.keep(step))
const route = useRoute()
const router = useRouter()
const { data } = useDue('')
const first = computed(() => data.value?.pages[0]?.dogs.find((d) => !d.open_sitting)?.dog_id)
const steps = computed(() => [
  { to: '/', words: 'Who is due stands first, with the reason. Dates come from each dog’s own growth and walking.' },
  { to: `/dogs/${first.value}`, words: 'One dog: the paws as they are today. Red is the quick, the hatched part is safe to trim.' },
  { to: `/dogs/${first.value}/ready`, words: 'Before you begin: in which order, with which tool, how it is held, how long it takes.' },
  { to: '/bench', words: 'At the table, with one hand: cut, say what the cut end shows, and it says go on or stop.' },
  { to: '/today', words: 'A groomer’s day: who is next, what the day asks, who waits, who to call.' },
])
const step = computed(() => steps.value[at.value])
const last = computed(() => at.value === steps.value.length - 1)
const pass = () => (at.value = steps.value.length)
const show = (n: number) => {
  at.value = n
  void router.push(steps.value[n].to)
}
</script>

<template>
  <aside v-if="first && step && (at > 0 || route.path === '/')" class="minute" aria-label="The first minute">
    <span><strong>{{ at + 1 }} of {{ steps.length }}</strong> · {{ step.words }}</span>
    <span class="ways"><BButton v-if="!last" variant="go" size="sm" @click="show(at + 1)">Next</BButton><BButton variant="plain" size="sm" @click="pass">{{ last ? 'Done' : 'Skip' }}</BButton></span>
  </aside>
</template>

<style scoped>
.minute { align-items: center; border-bottom: 1px dashed var(--line-strong); display: flex; flex-wrap: wrap; gap: 0.4rem 1rem; justify-content: space-between; padding: 0.4rem 2rem; }
.ways { display: flex; gap: 0.5rem; }
@media (max-width: 700px) { .minute { padding-inline: 1rem; } }
@media print { .minute { display: none; } }
</style>
