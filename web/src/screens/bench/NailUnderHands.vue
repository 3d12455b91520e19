<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { useUnits } from '../../units'

/**
 * The nail lying from its coat line to its tip, to scale: the quick solid as far as it is
 * certain, fading as far as it may reach, spare hatched, what came off a ghost, the next cut a line.
 */
const props = defineProps<{ nail: Schemas['BenchNail']; mark?: number }>()
const emit = defineEmits<{ mark: [mm: number] }>()
const svg = useTemplateRef('svg')
const { length } = useUnits()
const width = 340,
  left = 10,
  top = 24,
  height = 42
const per = computed(() => (width - 2 * left) / props.nail.length_mm)
const at = (mm: number) => left + mm * per.value
const end = computed(() => props.nail.length_mm - props.nail.removed_mm)
const tip = computed(() => `${at(props.nail.length_mm)} ${top + height * 0.45}`)
const sure = computed(() => Math.max(0, props.nail.length_mm - props.nail.spare.p95_mm))
const may = computed(() => Math.min(end.value, props.nail.length_mm - props.nail.spare.p05_mm))
const likely = computed(() => Math.min(end.value, props.nail.length_mm - props.nail.spare.median_mm))
const cut = computed(() =>
  props.mark !== undefined || props.nail.advice.action === 'stop' || props.nail.advice.action === 'ask'
    ? undefined
    : end.value - props.nail.advice.cut_mm,
)
/** A landmark's mark is dragged along the nail; it reads mm from the tip, to a tenth. */
function drag(event: PointerEvent) {
  if (props.mark === undefined || !svg.value || (event.type === 'pointermove' && event.buttons === 0)) return
  svg.value.setPointerCapture(event.pointerId)
  const box = svg.value.getBoundingClientRect()
  put(end.value - (((event.clientX - box.left) / box.width) * width - left) / per.value)
}
const put = (mm: number) => emit('mark', Math.round(Math.min(end.value, Math.max(0, mm)) * 10) / 10)
const says = computed(() =>
  $t('bench.of_nail_the_quick_likely', {
    end: length.value.show(end.value),
    end2: length.value.show(Math.max(0, end.value - likely.value)),
    end3: length.value.range(Math.max(0, end.value - may.value), Math.max(0, end.value - sure.value)),
  }),
)
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`0 0 ${width} 94`"
    :class="['under', { marked: mark !== undefined }]"
    :role="mark === undefined ? 'img' : 'slider'"
    :tabindex="mark === undefined ? undefined : 0"
    :aria-label="mark === undefined ? says : $t('bench.the_mark_from_the_tip')"
    :aria-valuenow="mark"
    :aria-valuemin="mark === undefined ? undefined : 0"
    :aria-valuemax="mark === undefined ? undefined : end"
    @pointerdown="drag"
    @pointermove="drag"
    @keydown.left.prevent="mark !== undefined && put(mark + 0.5)"
    @keydown.right.prevent="mark !== undefined && put(mark - 0.5)"
  >
    <defs>
      <linearGradient id="may-be-quick">
        <stop offset="0" stop-color="var(--quick)" />
        <stop offset="1" stop-color="var(--quick)" stop-opacity="0.08" />
      </linearGradient>
      <pattern id="bench-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="var(--spare-ground)" />
        <rect width="2.5" height="7" fill="var(--spare)" />
      </pattern>
    </defs>
    <path :d="`M${at(end)} ${top + height * 0.12} L${tip} L${at(end)} ${top + height}`" class="ghost" />
    <path
      :d="`M${at(0)} ${top} L${at(end)} ${top + height * 0.12} V${top + height * 0.9} L${at(0)} ${top + height} Z`"
      class="horn"
      fill="url(#bench-hatch)"
    />
    <rect :x="at(0)" :y="top + 7" :width="Math.max(0, at(sure) - at(0))" :height="height - 14" class="quick" />
    <rect
      v-if="may > sure"
      :x="at(sure)"
      :y="top + 7"
      :width="at(may) - at(sure)"
      :height="height - 14"
      fill="url(#may-be-quick)"
    />
    <line :x1="at(likely)" :x2="at(likely)" :y1="top + 7" :y2="top + height - 7" class="likely" />
    <line v-if="cut !== undefined" :x1="at(cut)" :x2="at(cut)" :y1="top - 12" :y2="top + height + 10" class="cut" />
    <text v-if="cut !== undefined" :x="Math.min(at(cut), width - 26)" :y="top - 14" text-anchor="middle" class="cut-mm">
      {{ length.show(nail.advice.cut_mm) }}
    </text>
    <g v-if="mark !== undefined" class="mark">
      <line :x1="at(end - mark)" :x2="at(end - mark)" :y1="top - 14" :y2="top + height + 14" />
      <circle :cx="at(end - mark)" :cy="top - 12" r="9" />
    </g>
    <g class="scale">
      <line
        v-for="mm in Math.floor(nail.length_mm)"
        :key="mm"
        :x1="at(mm)"
        :x2="at(mm)"
        :y1="90"
        :y2="mm % 5 === 0 ? 80 : 85"
      />
    </g>
  </svg>
</template>

<style scoped>
.under {
  display: block;
  height: auto;
  max-width: 40rem;
  width: 100%;
}
.horn {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.ghost {
  fill: none;
  stroke: var(--line-strong);
  stroke-dasharray: 4 3;
}
.quick {
  fill: var(--quick);
}
.likely {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.cut {
  stroke: var(--go);
  stroke-width: 3.5;
}
.cut-mm {
  fill: var(--go);
  font-size: 11px;
  font-weight: 700;
}
.marked {
  cursor: ew-resize;
  touch-action: none;
}
.mark line {
  stroke: var(--go);
  stroke-width: 3;
}
.mark circle {
  fill: var(--go);
}
.scale line {
  stroke: var(--line-strong);
}
</style>
