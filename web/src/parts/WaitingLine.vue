<script setup lang="ts">
import { computed } from 'vue'
import { $t } from '../i18n'
import { useCarrier } from '../local/carry'
import { drop, forgetAside, isTap, keeps, type Waiting } from '../local/outbox'
import { tellAnew } from '../local/anew'

/** What this browser keeps and the book does not have yet, on every screen; nothing when there is nothing. */
const { waits, aside, foreign, turn } = useCarrier()
const own = computed(() => waits.value.filter(w => !foreign.value.has(w.sitting)))
const others = computed(() => waits.value.filter(w => foreign.value.has(w.sitting)))
const taps = (n: number) => $t('parts.taps', n)
/** Taps, and what was told as a whole. */
function counted(all: Waiting[]) {
  const n = all.filter(isTap).length
  const tallies = all.filter(w => 'tally' in w).length
  const walks = all.length - n - tallies
  return [n > 0 && taps(n), tallies > 0 && $t('parts.sittings', tallies), walks > 0 && $t('parts.walk_rounds', walks)]
    .filter(Boolean)
    .join(', ')
}
const tapped = computed(() => own.value.find(isTap))
const asideTap = computed(() => aside.value.find(isTap))
const asideWhole = computed(() => aside.value.filter(a => !isTap(a)))
const lostBenches = computed(() => [...new Map(others.value.filter(isTap).map(w => [w.sitting, w.dog]))])
async function anew(dog: string, sitting: string) {
  await tellAnew(dog, sitting)
  await turn()
}
const bench = (w: { dog: string; sitting: string }) => `/dogs/${w.dog}/bench/${w.sitting}`

/** Everything that waits or was put aside, as the contract's events. */
function save() {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(
    new Blob([JSON.stringify({ waiting: waits.value, put_aside: aside.value }, null, 2)], { type: 'application/json' }),
  )
  link.download = 'taps.json'
  link.click()
  URL.revokeObjectURL(link.href)
}
async function forget() {
  await drop(others.value)
  await Promise.all(aside.value.filter(a => foreign.value.has(a.sitting)).map(a => forgetAside(a.order)))
  await turn()
}
</script>

<template>
  <div v-if="waits.length + aside.length > 0" class="waits" role="status">
    <p v-if="own.length > 0">
      <strong>{{ counted(own) }} {{ $t('parts.waits_wait', own.length) }}</strong>
      {{ $t('parts.for_fribbet_to_answer') }}
      <template v-if="!keeps">{{ $t('parts.this_browser_keeps_nothing_leave') }}{{ ' ' }}</template
      ><RouterLink v-if="tapped" :to="bench(tapped)">{{ $t('parts.to_the_bench') }}</RouterLink>
    </p>
    <p v-if="asideTap">
      <strong>{{ taps(aside.filter(isTap).length) }}</strong> {{ $t('parts.could_not_be_kept') }}
      <RouterLink :to="bench(asideTap)">{{ $t('parts.see_why') }}</RouterLink>
    </p>
    <p v-for="a in asideWhole" :key="a.order">
      <strong>{{ 'tally' in a ? $t('parts.a_sitting') : $t('parts.a_check_of_the_feet') }}</strong>
      {{ $t('parts.could_not_be_kept_2', { why: a.why }) }}
      <button type="button" @click="forgetAside(a.order).then(turn)">{{ $t('parts.forget_it') }}</button>
    </p>
    <p v-if="others.length > 0">
      <strong>{{ $t('parts.that_this_book_does_not', { others: counted(others) }) }}</strong>
      {{ $t('parts.in_this_browser_of_another', { n: $t('parts.waits_wait', others.length) }) }}
      <button v-for="[sitting, dog] in lostBenches" :key="sitting" type="button" @click="anew(dog, sitting)">
        {{ $t('parts.save_it_here_as_a') }}
      </button>
      <button type="button" @click="forget">{{ $t('parts.forget', { n: $t('parts.it_them', others.length) }) }}</button>
    </p>
    <button type="button" @click="save">{{ $t('parts.save_as_a_file') }}</button>
  </div>
</template>

<style scoped>
.waits {
  align-items: baseline;
  background: var(--caution-ground);
  border-left: var(--bar) solid var(--caution-edge);
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1.25rem;
  margin: 0.5rem 2rem 0;
  padding: 0.4rem 0.75rem;
}
.waits p {
  margin: 0;
}
.waits button {
  background: none;
  border: 0;
  color: var(--go);
  min-height: 28px;
  padding: 0;
  text-decoration: underline;
}
@media (max-width: 900px) {
  .waits {
    margin-inline: 1rem;
  }
}
</style>
