<script setup lang="ts">
import type { Schemas } from '../api/client'
import { monthOf } from '../dates'
import { $t } from '../i18n'
import { decimal } from '../i18n/language'
import { useUnits } from '../units'

/** Small pictures of how trims went, a bar a quarter; each says its first and its last in words. */
defineProps<{ trends: Schemas['HindsightTrend'][] }>()
const { length } = useUnits()
type Trend = Schemas['HindsightTrend']
const titles: Record<Trend['of'], string> = {
  bled: $t('hindsight.of_100_nails_bled'),
  calm: $t('hindsight.minutes_calm'),
  touched: $t('hindsight.of_100_touching'),
  drawn: $t('hindsight.quick_drawn_back'),
  kept: $t('hindsight.of_100_dates_kept'),
}
function show(t: Trend, v: number) {
  if (t.of !== 'drawn') return decimal(v, t.of === 'calm' || (v > 0 && v < 10) ? 1 : 0)
  return v < 0
    ? $t('hindsight.longer_by', { mm: length.value.show(-v) })
    : $t('hindsight.back_by', { mm: length.value.show(v) })
}
const wide = 180
const high = 46
function bars(t: Trend) {
  const most = Math.max(...t.points.map(p => Math.abs(p.value)), 1e-9)
  const step = Math.min(22, wide / t.points.length)
  return t.points.map((p, i) => ({
    x: i * step,
    width: step - 3,
    height: Math.max(1.5, (Math.abs(p.value) / most) * high),
    below: p.value < 0,
  }))
}
// A trend has its points, or it would not be told.
const first = (t: Trend) => t.points[0]!
const last = (t: Trend) => t.points.at(-1)!
</script>

<template>
  <ul class="trends">
    <li v-for="t in trends" :key="t.of">
      <h3>{{ titles[t.of] }}</h3>
      <svg :viewBox="`0 0 ${wide} ${high + 2}`" :width="wide" :height="high + 2" aria-hidden="true">
        <rect
          v-for="b in bars(t)"
          :key="b.x"
          :x="b.x"
          :y="high + 1 - b.height"
          :width="b.width"
          :height="b.height"
          :class="{ below: b.below }"
        />
        <line x1="0" :x2="wide" :y1="high + 1.5" :y2="high + 1.5" />
      </svg>
      <p class="small">
        {{
          $t('hindsight.from_first_to_last', {
            first: show(t, first(t).value),
            from: monthOf(first(t).from),
            last: show(t, last(t).value),
            to: monthOf(last(t).from),
          })
        }}
      </p>
    </li>
  </ul>
</template>

<style scoped>
.trends {
  display: grid;
  gap: 1rem 2rem;
  grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
  list-style: none;
  margin: 0 0 1rem;
  padding: 0;
}
h3 {
  font-size: 1rem;
  margin: 0 0 0.35rem;
}
p {
  margin: 0.25rem 0 0;
}
rect {
  fill: var(--go);
}
.below {
  fill: var(--caution-edge);
}
line {
  stroke: var(--line-strong);
}
</style>
