<script setup lang="ts">
import { computed, useId } from 'vue'
import { sizes, type Bar, type Size } from './layout'
import { crack, curl, outline, touch } from './outline'

/**
 * One nail: quick solid, the uncertain stretch fading, spare hatched, its end flat on the floor or pointed above it.
 */
const props = defineProps<{ bar: Bar; x: number; size: Size; perMm: number; mark?: string; selected?: boolean }>()

const s = computed(() => sizes[props.size])
const top = computed(() => s.value.head + props.bar.top_mm * props.perMm)
const at = (mm: number) => top.value + Math.max(0, mm) * props.perMm
const tip = computed(() => at(props.bar.length.mm))
const flat = computed(() => props.bar.on_floor)

const place = computed(() => ({ x: props.x, w: s.value.bar, top: top.value, tip: tip.value }))
const shape = computed(() => outline(place.value, flat.value))
const quickEnd = computed(() => at(Math.min(props.bar.quick_short_mm, props.bar.length.mm)))
const fadeEnd = computed(() => at(Math.min(props.bar.quick_long_mm, props.bar.length.mm)))
const clip = useId() // many ranks stand on one page, each with bars of its own
</script>

<template>
  <g :class="['bar', { assumed: bar.length.source === 'assumed', selected }]">
    <clipPath :id="clip"><path :d="shape" /></clipPath>
    <rect v-if="bar.top_mm > 0" class="toe" :x="x" :y="s.head" :width="s.bar" :height="top - s.head" />
    <g :clip-path="`url(#${clip})`">
      <rect class="horn" :x="x - 2" :y="top" :width="s.bar + 4" :height="tip - top" />
      <rect class="spare" :x="x - 2" :y="quickEnd" :width="s.bar + 4" :height="Math.max(0, tip - quickEnd)" />
      <rect class="unsure" :x="x - 2" :y="quickEnd" :width="s.bar + 4" :height="Math.max(0, fadeEnd - quickEnd)" />
      <rect class="quick" :x="x - 2" :y="top" :width="s.bar + 4" :height="Math.max(0, quickEnd - top)" />
      <path v-if="mark === 'left'" class="veil" :d="shape" />
    </g>
    <path class="edge" :d="shape" />
    <line class="likely" :x1="x" :x2="x + s.bar" :y1="at(bar.quick_mm)" :y2="at(bar.quick_mm)" />
    <path v-if="bar.curling" class="curl" :d="curl(place)" />
    <path v-if="bar.state !== 'sound'" class="crack" :d="crack(place)" />
    <path v-if="flat" class="touch" :d="touch(place)" />
  </g>
</template>
