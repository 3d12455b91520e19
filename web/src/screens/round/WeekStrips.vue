<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { dayOf } from '../../dates'
import { $t } from '../../i18n'

/** The week as seven short strips, each as full as its day. */
const props = defineProps<{ week: Schemas['RoundLoad'][]; on: string; today: string; over?: string }>()
defineEmits<{ show: [on: string] }>()
const span = computed(() => {
  const bars = props.week.flatMap(d => [...(d.hours ? [d.hours] : []), ...(d.bars ?? [])])
  return { from: Math.min(480, ...bars.map(b => b.from)), to: Math.max(1020, ...bars.map(b => b.to)) }
})
const x = (minutes: number) => ((minutes - span.value.from) / (span.value.to - span.value.from)) * 100
const words = (d: Schemas['RoundLoad']) =>
  d.dogs > 0
    ? $t('round.min_4', { dogs: d.dogs, dogs2: $t('round.dog_dogs', d.dogs), minutes: Math.round(d.minutes) })
    : d.open
      ? $t('round.free_2')
      : $t('round.closed')
</script>

<template>
  <div class="week" role="group" :aria-label="$t('round.the_week')">
    <button
      v-for="d in week"
      :key="d.on"
      type="button"
      :data-day="d.on"
      :class="{ today: d.on === today, over: d.over.length > 0, under: d.on === over }"
      :aria-pressed="d.on === on"
      @click="$emit('show', d.on)"
    >
      <strong>{{ dayOf(d.on) }}</strong>
      <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
        <rect
          v-if="d.hours"
          class="open"
          :x="x(d.hours.from)"
          y="2"
          :width="x(d.hours.to) - x(d.hours.from)"
          height="8"
        />
        <rect
          v-for="b in d.bars"
          :key="b.from"
          class="bar"
          :x="x(b.from)"
          y="0"
          :width="x(b.to) - x(b.from)"
          height="12"
        />
      </svg>
      <span class="small">{{ words(d) }}</span>
    </button>
  </div>
</template>

<style scoped>
.week {
  display: grid;
  gap: 0.5rem;
  grid-template-columns: repeat(7, minmax(0, 1fr));
}
button {
  background: none;
  border: 1px solid var(--line);
  border-bottom-width: 3px;
  color: var(--ink);
  min-height: 64px;
  padding: 0.35rem 0.5rem;
  text-align: left;
}
button[aria-pressed='true'] {
  border-color: var(--go);
}
.under {
  background: var(--sheet);
  box-shadow: inset 0 0 0 3px var(--go);
}
.today strong {
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 3px;
}
svg {
  display: block;
  height: 12px;
  margin-block: 0.2rem;
  width: 100%;
}
.open {
  fill: var(--sunk);
}
.bar {
  fill: var(--ink-soft);
  stroke: var(--paper);
  stroke-width: 0.6;
}
.over {
  border-bottom-color: var(--caution-edge);
}
@media (max-width: 900px) {
  .week {
    grid-auto-columns: 7.5rem;
    grid-auto-flow: column;
    grid-template-columns: none;
    overflow-x: auto;
  }
}
</style>
