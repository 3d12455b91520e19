<script setup lang="ts">
import { computed, useId } from 'vue'
import { sizes, type Bar, type Size } from './layout'

/** One nail: quick solid, the uncertain stretch fading, spare hatched, its end flat on the floor or pointed above it. */
const props = defineProps<{ bar: Bar; x: number; size: Size; perMm: number; mark?: string; selected?: boolean }>()

const s = computed(() => sizes[props.size])
const top = computed(() => s.value.head + props.bar.top_mm * props.perMm)
const at = (mm: number) => top.value + Math.max(0, mm) * props.perMm
const tip = computed(() => at(props.bar.length.mm))
const flat = computed(() => props.bar.on_floor)

/** The bar's outline: a nail's end is pointed while it is clear of the floor. */
const outline = computed(() => {
  const { x } = props
  const w = s.value.bar
  const shoulder = flat.value ? tip.value : Math.max(top.value, tip.value - w * 0.7)
  if (flat.value) return `M${x} ${top.value}H${x + w}V${tip.value - 1}L${x + w + 1.5} ${tip.value}H${x - 1.5}L${x} ${tip.value - 1}Z`
  return `M${x} ${top.value}H${x + w}V${shoulder}Q${x + w} ${tip.value - w * 0.15} ${x + w / 2} ${tip.value}Q${x} ${tip.value - w * 0.15} ${x} ${shoulder}Z`
})
const quickEnd = computed(() => at(Math.min(props.bar.quick_short_mm, props.bar.length.mm)))
const fadeEnd = computed(() => at(Math.min(props.bar.quick_long_mm, props.bar.length.mm)))
const clip = useId() // many ranks stand on one page, each with bars of its own
</script>

<template>
  <g :class="['bar', { assumed: bar.length.source === 'assumed', selected }]">
    <clipPath :id="clip"><path :d="outline" /></clipPath>
    <rect v-if="bar.top_mm > 0" class="toe" :x="x" :y="s.head" :width="s.bar" :height="top - s.head" />
    <g :clip-path="`url(#${clip})`">
      <rect class="horn" :x="x - 2" :y="top" :width="s.bar + 4" :height="tip - top" />
      <rect class="spare" :x="x - 2" :y="quickEnd" :width="s.bar + 4" :height="Math.max(0, tip - quickEnd)" />
      <rect class="unsure" :x="x - 2" :y="quickEnd" :width="s.bar + 4" :height="Math.max(0, fadeEnd - quickEnd)" />
      <rect class="quick" :x="x - 2" :y="top" :width="s.bar + 4" :height="Math.max(0, quickEnd - top)" />
      <path v-if="mark === 'left'" class="veil" :d="outline" />
    </g>
    <path class="edge" :d="outline" />
    <line v-if="size !== 'small'" class="likely" :x1="x" :x2="x + s.bar" :y1="at(bar.quick_mm)" :y2="at(bar.quick_mm)" />
    <path v-if="bar.curling" class="curl" :d="`M${x + s.bar / 2} ${tip + 1}q0 ${s.bar * 0.55} ${-s.bar * 0.5} ${s.bar * 0.4}`" />
    <path v-if="bar.state !== 'sound'" class="crack" :d="`M${x + s.bar * 0.3} ${tip}l${s.bar * 0.3} ${-s.bar * 0.6}l${-s.bar * 0.3} ${-s.bar * 0.5}l${s.bar * 0.4} ${-s.bar * 0.7}`" />
    <path v-if="flat" class="touch" :d="`M${x - 1.5} ${tip + 2.5}h${s.bar + 3}`" />
  </g>
</template>
