<script setup lang="ts">
import {
  CategoryScale,
  Chart,
  Filler,
  LineController,
  LineElement,
  LinearScale,
  PointElement,
  type ChartDataset,
  type Plugin,
} from 'chart.js'
import { computed, onBeforeUnmount, ref, useTemplateRef, watch } from 'vue'
import type { Schemas } from '../api/client'
import { dayOf, fullDayOf, shortDayOf } from '../dates'
import { $t } from '../i18n'
import { onKey } from '../local/keys'
import { useUnits } from '../units'
import { afterEvents } from './events'
import { hatch, token, useThemeChanges } from './ink'

/** A nail over time: its own line, the quick's and the floor's, cuts as drops, and where it goes untrimmed. */
const props = defineProps<{ history: Schemas['History']; name: string }>()
Chart.register(CategoryScale, Filler, LineController, LineElement, LinearScale, PointElement)

type Point = Schemas['HistoryPoint']
const { length } = useUnits()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const frame = useTemplateRef<HTMLElement>('frame')
const theme = useThemeChanges()
const dayNumber = (date: string) => Date.parse(`${date}T00:00:00Z`) / 86_400_000
const dateAt = (day: number) => new Date(day * 86_400_000).toISOString().slice(0, 10)

/** What can be read off: the nail after every event, then where it goes. */
const readable = computed(() => {
  const { past, forecast } = props.history
  return [...afterEvents(past), ...forecast]
})
const firstAhead = computed(() => readable.value.length - props.history.forecast.length)
const chosen = ref(0)
watch(
  () => props.history,
  () => (chosen.value = firstAhead.value),
  { immediate: true },
)
const point = computed<Point | undefined>(() => readable.value[chosen.value])

const line = (points: Point[], y: (p: Point) => number | undefined) =>
  points.filter(p => y(p) !== undefined).map(p => ({ x: dayNumber(p.on), y: y(p)! }))

function datasets(): ChartDataset<'line', { x: number; y: number }[]>[] {
  const { past, forecast } = props.history
  const ink = token('ink'),
    rose = token('quick'),
    go = token('go')
  const bare = { pointRadius: 0, borderWidth: 2, tension: 0 }
  const after = new Set(afterEvents(past))
  const ahead = { ...bare, borderDash: [6, 4] }
  return [
    {
      ...bare,
      data: line(past, p => p.quick_mm),
      borderColor: rose,
      borderWidth: 3,
      backgroundColor: token('quick'),
      fill: false,
    },
    {
      ...bare,
      data: line(past, p => p.length_mm),
      borderColor: ink,
      backgroundColor: hatch(token('spare'), token('spare-ground')),
      fill: '-1',
      pointRadius: past.map(p => (!after.has(p) ? 0 : p.blood ? 6 : past.length > 80 ? 2 : 3.5)),
      pointStyle: past.map(p => (p.blood ? 'triangle' : p.measured ? 'rect' : p.sitting ? 'circle' : 'crossRot')),
      pointBackgroundColor: past.map(p => (p.blood ? rose : p.measured ? ink : token('sheet'))),
      pointBorderColor: past.map(p => (p.blood ? rose : ink)),
    },
    { ...bare, data: line(past, p => p.floor_mm), borderColor: go, borderDash: [2, 3] },
    { ...bare, data: line(forecast, p => p.length_low_mm), borderWidth: 0 },
    {
      ...bare,
      data: line(forecast, p => p.length_high_mm),
      borderWidth: 0,
      backgroundColor: hatch(token('line'), 'transparent', 5),
      fill: '-1',
    },
    { ...ahead, data: line(forecast, p => p.length_mm), borderColor: ink },
    { ...ahead, data: line(forecast, p => p.quick_mm), borderColor: rose, borderWidth: 3 },
    { ...bare, data: line(forecast, p => p.floor_mm), borderColor: go, borderDash: [2, 3] },
  ]
}

/** A line through what is read off. */
const cursor: Plugin<'line'> = {
  id: 'cursor',
  afterDraw({ ctx, chartArea, scales }) {
    if (!point.value) return
    const x = scales.x!.getPixelForValue(dayNumber(point.value.on))
    ctx.save()
    ctx.strokeStyle = token('focus')
    ctx.lineWidth = 1
    ctx.beginPath()
    ctx.moveTo(x, chartArea.top)
    ctx.lineTo(x, chartArea.bottom)
    ctx.stroke()
    ctx.restore()
  },
}

let chart: Chart | undefined
function draw() {
  chart?.destroy()
  if (!canvas.value) return
  const axis = { color: token('ink-soft'), font: { family: getComputedStyle(document.body).fontFamily, size: 13 } }
  chart = new Chart(canvas.value, {
    type: 'line',
    data: { datasets: datasets() },
    plugins: [cursor],
    options: {
      animation: false,
      parsing: false,
      maintainAspectRatio: false,
      responsive: true,
      events: ['mousemove', 'click', 'touchstart', 'touchmove'],
      onHover: event => event.x !== null && chart && nearest(chart.scales.x!.getValueForPixel(event.x) ?? 0),
      scales: {
        x: {
          type: 'linear',
          ticks: { ...axis, maxRotation: 0, maxTicksLimit: 8, callback: v => shortDayOf(dateAt(Number(v))) },
          grid: { color: token('line') },
        },
        y: {
          min: 0,
          ticks: { ...axis, callback: v => length.value.bare(Number(v)) },
          grid: { color: token('line') },
          title: { ...axis, display: true, text: $t('chart.from_the_coat_line', { symbol: length.value.symbol }) },
        },
      },
    },
  })
}
watch([canvas, () => props.history, theme, length], draw, { flush: 'post' })
watch(chosen, () => chart?.draw())
onBeforeUnmount(() => chart?.destroy())

function nearest(day: number) {
  let best = 0
  readable.value.forEach((p, i) => {
    if (Math.abs(dayNumber(p.on) - day) <= Math.abs(dayNumber(readable.value[best]!.on) - day)) best = i
  })
  chosen.value = best
}

onKey(event => {
  if (document.activeElement !== frame.value) return
  const to = { ArrowLeft: chosen.value - 1, ArrowRight: chosen.value + 1, Home: 0, End: readable.value.length - 1 }[
    event.key
  ]
  if (to === undefined) return
  event.preventDefault()
  chosen.value = Math.min(readable.value.length - 1, Math.max(0, to))
})
const range = (value: number, low: number, high: number) =>
  `${length.value.bare(value)} (${length.value.range(low, high)})`
const what = computed(() => {
  const p = point.value
  if (!p) return ''
  if (chosen.value >= firstAhead.value)
    return chosen.value === firstAhead.value ? $t('chart.today') : $t('chart.if_nobody_trims')
  return p.sitting
    ? $t('chart.after_a_trim', {
        removed: p.removed_mm > 0 ? $t('chart.off', { removed: length.value.show(p.removed_mm) }) : '',
        blood: p.blood ? $t('chart.bled') : '',
      })
    : $t('chart.check_of_the_feet')
})
</script>

<template>
  <figure>
    <div ref="frame" class="plot" tabindex="0" role="img" :aria-label="$t('chart.over_time_left_and_right', { name })">
      <canvas ref="canvas" />
    </div>
    <figcaption v-if="point" aria-live="polite">
      <strong>{{ chosen < firstAhead ? fullDayOf(point.on) : dayOf(point.on) }}</strong>{{
        $t('chart.nail', { what, length: range(point.length_mm, point.length_low_mm, point.length_high_mm) })
      }}<template v-if="point.measured">{{ $t('chart.measured') }}</template>
      {{ $t('chart.quick', { quick: range(point.quick_mm, point.quick_low_mm, point.quick_high_mm) }) }}
      <template v-if="point.floor_mm !== undefined"
        >{{ ' ' }}{{ $t('chart.touches_at', { floor: length.show(point.floor_mm) }) }}</template
      >
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
.plot {
  height: 300px;
  position: relative;
  touch-action: pan-y;
}
figcaption {
  min-height: 3em;
  padding-top: 0.35rem;
}
</style>
