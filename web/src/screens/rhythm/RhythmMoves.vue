<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useUnits } from '../../units'
import { rhythms } from '../../words'

/** The quick's move against the interval, with the break-even rhythm marked on it. */
const props = defineProps<{
  outlooks: Schemas['Outlook'][]
  breakEven?: Schemas['BreakEven']
  now: Schemas['Rhythm']
}>()
const { length } = useUnits()
const width = 920,
  height = 190,
  left = 64,
  right = 20,
  top = 16,
  foot = 40
const mostDays = 46
// short rhythms lie close: a root spreads them
const x = (days: number) => left + (Math.sqrt(Math.min(days, mostDays)) / Math.sqrt(mostDays)) * (width - left - right)
const reach = computed(() => Math.max(0.5, ...props.outlooks.map(o => Math.abs(o.quick_move_mm))) * 1.15)
const y = (mm: number) => top + ((reach.value - mm) / (2 * reach.value)) * (height - top - foot)
const even = computed(
  () =>
    props.breakEven && {
      x: x(props.breakEven.weeks * 7),
      from: x(props.breakEven.low_weeks * 7),
      to: x(props.breakEven.high_weeks * 7),
    },
)
const short: Record<Schemas['Rhythm'], string> = {
  every_other_day: $t('rhythm.n2_days'),
  twice_a_week: '3½',
  weekly: $t('rhythm.n1_week'),
  fortnightly: $t('rhythm.n2_weeks'),
  three_weeks: $t('rhythm.n3_weeks'),
  four_weeks: $t('rhythm.n4_weeks'),
  six_weeks: $t('rhythm.n6_weeks'),
}
const summary = computed(() =>
  props.outlooks
    .map(
      o =>
        `${rhythms[o.rhythm]}: ${o.quick_move_mm < 0 ? $t('rhythm.back') : $t('rhythm.grows')} ${length.value.show(Math.abs(o.quick_move_mm))}`,
    )
    .join('; '),
)
</script>

<template>
  <div class="wide" tabindex="0" role="region" :aria-label="$t('rhythm.the_quicks_move_by_how')">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="$t('rhythm.the_quicks_move_over_half', { summary })"
    >
      <rect class="grows" :x="left" :y="top" :width="width - left - right" :height="y(0) - top" />
      <g v-if="even">
        <rect
          class="range"
          :x="even.from"
          :y="top"
          :width="Math.max(1, even.to - even.from)"
          :height="height - top - foot"
        />
        <line class="even" :x1="even.x" :x2="even.x" :y1="top" :y2="height - foot + 6" />
        <text
          :class="['mark', { before: even.x > width * 0.8 }]"
          :x="even.x + (even.x > width * 0.8 ? -6 : 6)"
          :y="top + 13"
        >
          {{ $t('rhythm.the_quick_holds') }}
        </text>
      </g>
      <line class="zero" :x1="left" :x2="width - right" :y1="y(0)" :y2="y(0)" />
      <text class="side" :x="left - 8" :y="y(0) + 4">{{ $t('rhythm.holds') }}</text>
      <text class="side" :x="left - 8" :y="top + 12">{{ $t('rhythm.grows') }}</text>
      <text class="side" :x="left - 8" :y="height - foot - 2">{{ $t('rhythm.back') }}</text>
      <g v-for="o in outlooks" :key="o.rhythm">
        <line class="stem" :x1="x(o.days)" :x2="x(o.days)" :y1="y(0)" :y2="y(o.quick_move_mm)" />
        <path
          class="dot"
          :d="
            o.quick_move_mm > 0
              ? `M${x(o.days) - 7} ${y(o.quick_move_mm) + 5}h14l-7 -12z`
              : `M${x(o.days) - 7} ${y(o.quick_move_mm) - 5}h14l-7 12z`
          "
        />
        <text :class="['at', { now: o.rhythm === now }]" :x="x(o.days)" :y="height - foot + 18">
          {{ short[o.rhythm] }}
        </text>
        <text v-if="o.rhythm === now" class="at" :x="x(o.days)" :y="height - foot + 34">{{ $t('rhythm.now') }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.wide {
  margin-block: 0.5rem 1rem;
  overflow-x: auto;
}
svg {
  display: block;
  max-width: 100%;
  min-width: 560px;
}
text {
  fill: var(--ink);
  font-size: 13px;
}
.side {
  fill: var(--ink-soft);
  text-anchor: end;
}
.at {
  text-anchor: middle;
}
.at.now {
  font-weight: 650;
}
.mark {
  fill: var(--go);
  font-weight: 650;
}
.mark.before {
  text-anchor: end;
}
.zero {
  stroke: var(--ink);
  stroke-width: 2;
}
.stem {
  stroke: var(--quick);
  stroke-width: 3;
}
.dot {
  fill: var(--quick);
}
.even {
  stroke: var(--go);
  stroke-width: 2;
}
.range {
  fill: var(--go);
  opacity: 0.14;
}
.grows {
  fill: var(--sunk);
}
@media (max-width: 700px) {
  text {
    font-size: 20px;
  }
}
</style>
