<script setup lang="ts">
import { computed } from 'vue'
import { useCarrier } from '../local/carry'
import { drop, forgetAside, keeps } from '../local/outbox'

/** What this browser keeps and the book does not have yet, on every screen; nothing when there is nothing. */
const { waits, aside, foreign, turn } = useCarrier()
const own = computed(() => waits.value.filter((w) => !foreign.value.has(w.sitting)))
const others = computed(() => waits.value.filter((w) => foreign.value.has(w.sitting)))
const taps = (n: number) => (n === 1 ? '1 tap' : `${n} taps`)
const bench = (w: { dog: string; sitting: string }) => `/dogs/${w.dog}/bench/${w.sitting}`

/** Everything that waits or was put aside, as the contract's events. */
function save() {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([JSON.stringify({ waiting: waits.value, put_aside: aside.value }, null, 2)], { type: 'application/json' }))
  link.download = 'taps.json'
  link.click()
  URL.revokeObjectURL(link.href)
}
async function forget() {
  await drop(others.value)
  await Promise.all(aside.value.filter((a) => foreign.value.has(a.sitting)).map((a) => forgetAside(a.order)))
  await turn()
}
</script>

<template>
  <div v-if="waits.length + aside.length > 0" class="waits" role="status">
    <p v-if="own.length > 0"><strong>{{ taps(own.length) }} {{ own.length === 1 ? 'waits' : 'wait' }}</strong> for Fribbet to answer. <template v-if="!keeps">This browser keeps nothing: leave this page open. </template><RouterLink :to="bench(own[0])">To the bench</RouterLink></p>
    <p v-if="aside.length > 0"><strong>{{ taps(aside.length) }}</strong> could not be kept. <RouterLink :to="bench(aside[0])">See why</RouterLink></p>
    <p v-if="others.length > 0"><strong>{{ taps(others.length) }} of another book</strong> {{ others.length === 1 ? 'waits' : 'wait' }} in this browser. <button type="button" @click="forget">Forget {{ others.length === 1 ? 'it' : 'them' }}</button></p>
    <button type="button" @click="save">Save as a file</button>
  </div>
</template>

<style scoped>
.waits { align-items: baseline; background: var(--caution-ground); border-left: var(--bar) solid var(--caution-edge); display: flex; flex-wrap: wrap; gap: 0.25rem 1.25rem; margin: 0.5rem 2rem 0; padding: 0.4rem 0.75rem; }
.waits p { margin: 0; }
.waits button { background: none; border: 0; color: var(--go); min-height: 28px; padding: 0; text-decoration: underline; }
@media (max-width: 900px) { .waits { margin-inline: 1rem; } }
</style>
