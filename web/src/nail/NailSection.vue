<script setup lang="ts">
import { computed, useId, useTemplateRef } from 'vue'
import type { Schemas } from '../api/client'
import { $t } from '../i18n'
import { useUnits } from '../units'
import { at, boxOf, cutEdges, lineOf, pathOf, saveDrawing, toeOf } from './geometry'

/** One nail in section, to scale, with a cut or slivers drawn on it; a day turns it out along its arc. */
const props = defineProps<{
  section: Schemas['Section']
  cut?: Schemas['SchoolCut']
  day?: number
  small?: boolean
  title: string
}>()
const svg = useTemplateRef('svg')
const clip = useId()
const { length } = useUnits()
const box = computed(() => boxOf(props.section))
const hasFloor = computed(() => props.section.bar.group !== 'dewclaw')
/** A nail on the floor turns no further: it presses. */
const turn = computed(
  () => Math.min(props.day ?? 0, props.section.days_to_floor ?? Infinity) * props.section.turn_deg_day,
)
const centre = computed(() => at(props.section.centre))
const groove = computed(() => at(props.section.groove))
const coat = computed(() => at(props.section.outline[0] ?? []))
const hook = computed(() => at(props.section.hook))
const left = computed(() => props.cut?.outline ?? props.section.outline)
const edges = computed(() => (props.cut ? cutEdges(props.section.outline, props.cut.outline) : []))
/** The horn that has come out behind the turned nail: its first edge, swept back to the coat line. */
const fresh = computed(() => {
  const from = props.section.outline[0] ?? []
  const to = props.section.outline.at(-1) ?? []
  const turned = (p: Schemas['Point'], share: number): Schemas['Point'] => {
    const a = (turn.value * share * Math.PI) / 180
    const c = centre.value
    const [x, z] = [at(p).x - c.x, c.y - at(p).y]
    return [c.x + x * Math.cos(a) + z * Math.sin(a), -c.y - x * Math.sin(a) + z * Math.cos(a)]
  }
  const steps = [0, 0.25, 0.5, 0.75, 1]
  return pathOf([...steps.map(s => turned(from, s)), ...steps.reverse().map(s => turned(to, s))])
})
defineExpose({ save: (name: string) => svg.value && saveDrawing(svg.value, name) })
</script>

<template>
  <svg
    ref="svg"
    :class="['nail-section', { small }]"
    :font-size="box.width * 0.032"
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
    role="img"
    :aria-label="title"
  >
    <line v-if="hasFloor" class="floor" :x1="box.x" :x2="box.x + box.width" y1="0.15" y2="0.15" />
    <path class="toe" :d="toeOf(section.outline, box.x)" />
    <path v-if="turn > 0" class="horn" :d="fresh" />
    <g :transform="`rotate(${turn} ${centre.x}, ${centre.y})`">
      <path class="off" :d="pathOf(section.outline)" />
      <path class="horn" :d="pathOf(left)" />
      <clipPath :id="clip"><path :d="pathOf(section.outline)" /></clipPath>
      <g :clip-path="`url(#${clip})`">
        <path class="quick-long" :d="pathOf(section.quick_long)" />
        <path class="quick-short" :d="pathOf(section.quick_short)" />
        <path class="quick-likely" :d="pathOf(section.quick)" />
      </g>
      <path class="outline" :d="pathOf(section.outline)" />
      <line v-for="([p, q], i) in edges" :key="i" class="cut" v-bind="lineOf(p, q)" />
      <line v-for="([p, q], i) in section.slivers" :key="`sliver ${i}`" class="sliver" v-bind="lineOf(p, q)" />
      <template v-if="!small && section.slivers.length === 0">
        <circle class="landmark" :cx="groove.x" :cy="groove.y" r="0.22" />
        <circle class="landmark" :cx="hook.x" :cy="hook.y" r="0.22" />
        <text :x="hook.x + 0.5" :y="hook.y - 0.4">{{ $t('nail.hook_begins') }}</text>
        <text :x="groove.x - 0.4" :y="groove.y + 1" class="before">
          {{ $t('nail.groove_ends') }}
        </text>
      </template>
    </g>
    <g v-if="!small">
      <text :x="coat.x - 0.3" :y="coat.y - 0.8" class="before">
        {{ $t('nail.coat_line') }}
      </text>
      <text v-if="hasFloor" :x="box.x + 0.3" y="1.2">{{ $t('nail.floor') }}</text>
      <path class="scale" :d="`M${box.x + box.width - 6} ${box.y + 1}v-0.5v1v-0.5h5v-0.5v1`" />
      <text :x="box.x + box.width - 3.5" :y="box.y + 2.3" class="mid">{{ length.show(5) }}</text>
    </g>
  </svg>
</template>

<style scoped>
.nail-section {
  display: block;
  height: auto;
  width: 100%;
}
path,
line,
circle {
  vector-effect: non-scaling-stroke;
}
.floor {
  stroke: var(--ink);
  stroke-width: 3;
}
.toe {
  fill: var(--toe);
}
.horn {
  fill: var(--spare-ground);
}
.off {
  fill: url('#spare-hatch-mm');
}
.quick-long {
  fill: var(--quick);
  fill-opacity: 0.28;
}
.quick-short {
  fill: var(--quick);
}
.quick-likely {
  fill: var(--quick);
  fill-opacity: 0.35;
  stroke: var(--quick);
  stroke-width: 1.25;
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.small .outline {
  stroke-width: 1;
}
.cut {
  stroke: var(--go);
  stroke-width: 3;
}
.sliver {
  stroke: var(--go);
  stroke-width: 2.5;
}
.landmark {
  fill: var(--ink);
}
.scale {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1;
}
text {
  fill: var(--ink-soft);
}
.before {
  text-anchor: end;
}
.mid {
  text-anchor: middle;
}
</style>
