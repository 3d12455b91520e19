<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import type { Schemas } from '../api/client'
import { useOwnUsual } from '../api/hindsight'
import { $t } from '../i18n'
import { useUnits } from '../units'
import RefusalNote from './RefusalNote.vue'

/**
 * What the book's own record would say is usual, beside what is; used only where somebody says so, and taken back in
 * one press.
 */
defineProps<{ own: Schemas['OwnUsual'][] }>()
const { length, weight } = useUnits()
const use = useOwnUsual()
function whose(o: Schemas['OwnUsual']) {
  if (o.kind === 'faces') return $t('hindsight.first_sign_of_all')
  if (o.kind === 'hand') return $t('hindsight.your_hand_by_trims', { mm: length.value.show(1) })
  if (o.class_under_kg === 0) return $t('hindsight.nails_of_dogs_from', { from: weight.value.show(o.class_from_kg) })
  if (o.class_from_kg === 0) return $t('hindsight.nails_of_dogs_under', { under: weight.value.show(o.class_under_kg) })
  return $t('hindsight.nails_of_dogs_from_to', {
    from: weight.value.bare(o.class_from_kg),
    under: weight.value.show(o.class_under_kg),
  })
}
const kinds = { faces: 'hindsight.before_the_quick', growth: 'hindsight.a_week', hand: 'hindsight.comes_out' } as const
const amount = (o: Schemas['OwnUsual'], mm: number) => $t(kinds[o.kind], { mm: length.value.show(mm) })
</script>

<template>
  <section aria-labelledby="own-title">
    <h2 id="own-title">{{ $t('hindsight.your_own_record') }}</h2>
    <p class="soft small">{{ $t('hindsight.with_thirty_trims') }}</p>
    <ul>
      <li v-for="o in own" :key="o.kind + o.class_under_kg">
        <div>
          <strong>{{ whose(o) }}</strong>
          <div v-if="o.dogs > 0">
            {{ $t('hindsight.usual_and_by_yours', { before: amount(o, o.before), after: amount(o, o.after) }) }}
            <span class="soft small">{{ $t('hindsight.trims_of_dogs', { sittings: o.sittings, dogs: o.dogs }) }}</span>
          </div>
          <div v-else class="soft small">{{ $t('hindsight.set_from_an_earlier') }}</div>
        </div>
        <BButton
          variant="plain"
          :disabled="use.isPending.value"
          @click="use.mutate({ kind: o.kind, class_under_kg: o.class_under_kg, use: !o.used })"
          >{{ o.used ? $t('hindsight.take_it_back') : $t('hindsight.use_it') }}</BButton
        >
      </li>
    </ul>
    <RefusalNote :error="use.error.value" />
  </section>
</template>

<style scoped>
section {
  margin-bottom: 1.75rem;
  max-width: 56rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  align-items: center;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 0.5rem 1.5rem;
  grid-template-columns: minmax(0, 1fr) auto;
  min-height: 44px;
  padding-block: 0.5rem;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    justify-items: start;
  }
}
</style>
