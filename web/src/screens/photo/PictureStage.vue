<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue'
import { $t } from '../../i18n'
/** A point that is put on the picture, in its pixels. */
export interface Handle {
  key: string
  label: string
  x: number
  y: number
  corner?: boolean
}

/**
 * The picture with handles to drag: a grip below the point, so that no thumb covers what it points at, a magnifying
 * ring, and arrow keys.
 */
const props = defineProps<{
  picture: { src: string; width: number; height: number }
  alt: string
  handles: Handle[]
  lines: [number, number][][]
  grid?: [number, number][][]
  pressed?: boolean
  pending?: boolean
}>()
/**
 * press: on the picture itself, where that means something; where one more point is pending, on a grip as well, which
 * may lie over the place.
 */
const emit = defineEmits<{ move: [key: string, x: number, y: number]; press: [x: number, y: number] }>()
const active = defineModel<string>()

const frame = useTemplateRef('frame')
const width = ref(1)
const closer = ref(1)
const shown = computed(() => width.value * closer.value)
const perPixel = computed(() => shown.value / props.picture.width)
const sized = new ResizeObserver(([entry]) => (width.value = entry!.contentRect.width))
onMounted(() => frame.value && sized.observe(frame.value))
onBeforeUnmount(() => sized.disconnect())
const sheet = useTemplateRef('sheet')
const below = 40 // pixels from a point to the middle of its grip, where a thumb holds it
const coarse = window.matchMedia('(pointer: coarse)').matches

const put = (h: Handle, x: number, y: number) =>
  emit('move', h.key, Math.min(props.picture.width, Math.max(0, x)), Math.min(props.picture.height, Math.max(0, y)))
let held: { h: Handle; x: number; y: number } | undefined
/** Grips of a short nail lie over each other: the nearest is meant, whichever lies on top. */
function nearest(event: PointerEvent) {
  const b = sheet.value!.getBoundingClientRect()
  const away = (h: Handle) =>
    Math.hypot(
      event.clientX - b.left - h.x * perPixel.value,
      event.clientY - b.top - h.y * perPixel.value - (coarse ? below : 0),
    )
  return props.handles.reduce((best, h) => (away(h) < away(best) ? h : best))
}
function down(event: PointerEvent) {
  const h = nearest(event)
  active.value = h.key
  // arrow keys go on with it
  sheet.value!.querySelector<HTMLElement>(`[data-key="${h.key}"]`)?.focus({ preventScroll: true })
  held = { h, x: event.clientX / perPixel.value - h.x, y: event.clientY / perPixel.value - h.y }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent) {
  if (held) put(held.h, event.clientX / perPixel.value - held.x, event.clientY / perPixel.value - held.y)
}
function up(event: PointerEvent) {
  const was = held
  held = undefined
  if (
    !was ||
    !props.pending ||
    Math.hypot(event.clientX / perPixel.value - was.x - was.h.x, event.clientY / perPixel.value - was.y - was.h.y) *
      perPixel.value >
      6
  )
    return
  put(was.h, was.h.x, was.h.y) // a finger trembles
  press(event)
}
/** A click would tell whole pixels of the screen only, which are several of the picture. */
let pressing: [number, number] | undefined
function released(event: PointerEvent) {
  const from = pressing
  pressing = undefined
  if (from && Math.hypot(event.clientX - from[0], event.clientY - from[1]) < 6) press(event)
}
function press(event: PointerEvent) {
  const b = sheet.value!.getBoundingClientRect()
  if (props.pressed) emit('press', (event.clientX - b.left) / perPixel.value, (event.clientY - b.top) / perPixel.value)
}
const ways: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
const wayWords: Record<string, string> = {
  ArrowLeft: $t('photo.left'),
  ArrowRight: $t('photo.right'),
  ArrowUp: $t('photo.up'),
  ArrowDown: $t('photo.down'),
}
function key(event: KeyboardEvent, h: Handle) {
  const way = ways[event.key]
  if (!way) return
  event.preventDefault()
  const by = event.shiftKey ? 10 : 1
  put(h, h.x + way[0] * by, h.y + way[1] * by)
}
const chosen = computed(() => props.handles.find(h => h.key === active.value))
function nudge(way: [number, number]) {
  if (chosen.value) put(chosen.value, chosen.value.x + way[0], chosen.value.y + way[1])
}
/** The ring shows what lies under the point three times as large, in the corner that the point is not in. */
const ring = 148
const ringed = computed(() => {
  const h = chosen.value
  if (!h) return undefined
  const by = Math.max(3 * perPixel.value, 0.75)
  return {
    backgroundImage: `url(${props.picture.src})`,
    backgroundSize: `${props.picture.width * by}px ${props.picture.height * by}px`,
    backgroundPosition: `${ring / 2 - h.x * by}px ${ring / 2 - h.y * by}px`,
    [h.x > props.picture.width / 2 ? 'left' : 'right']: '8px',
  }
})
const path = (line: [number, number][]) => line.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('')
</script>

<template>
  <div class="stage">
    <div ref="frame" class="opening">
      <div
        ref="sheet"
        class="sheet"
        :style="{ width: `${shown}px`, height: `${(shown * picture.height) / picture.width}px` }"
      >
        <img
          :src="picture.src"
          :alt="alt"
          draggable="false"
          @pointerdown="pressing = [$event.clientX, $event.clientY]"
          @pointerup="released"
          @pointercancel="pressing = undefined"
        />
        <svg :viewBox="`0 0 ${picture.width} ${picture.height}`" aria-hidden="true">
          <path v-for="(line, i) in grid" :key="`grid${i}`" class="grid" :d="path(line)" />
          <path v-for="(line, i) in lines" :key="i" :d="path(line)" />
        </svg>
        <template v-for="h in handles" :key="h.key">
          <span
            :class="['cross', { corner: h.corner, active: h.key === active }]"
            :style="{ left: `${h.x * perPixel}px`, top: `${h.y * perPixel}px` }"
            aria-hidden="true"
          />
          <button
            type="button"
            :data-key="h.key"
            :class="['grip', { coarse, corner: h.corner, active: h.key === active }]"
            :style="{ left: `${h.x * perPixel}px`, top: `${h.y * perPixel}px` }"
            :aria-label="$t('photo.drag_or_arrow_keys', { label: h.label })"
            :aria-pressed="h.key === active"
            @pointerdown.prevent="down($event)"
            @pointermove="drag"
            @pointerup="up"
            @pointercancel="held = undefined"
            @focus="active = h.key"
            @keydown="key($event, h)"
          >
            <span>{{ h.label }}</span>
          </button>
        </template>
      </div>
    </div>
    <div v-if="ringed" class="ring" :style="ringed" aria-hidden="true" />
    <div class="tools">
      <div class="choices" role="group" :aria-label="$t('photo.how_near')">
        <button v-for="n in [1, 2, 4]" :key="n" type="button" :aria-pressed="closer === n" @click="closer = n">
          {{ n === 1 ? $t('photo.whole') : `${n} ×` }}
        </button>
      </div>
      <div
        class="choices"
        role="group"
        :aria-label="$t('photo.move_by_a_pixel', { point: chosen?.label ?? $t('photo.the_chosen_point') })"
      >
        <button
          v-for="(way, name, i) in ways"
          :key="name"
          type="button"
          :disabled="!chosen"
          :aria-label="wayWords[name]"
          @click="nudge(way)"
        >
          {{ '←→↑↓'[i] }}
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.stage {
  position: relative;
}
.opening {
  max-height: 66vh;
  overflow: auto;
  overscroll-behavior: contain;
}
.sheet {
  position: relative;
}
.sheet img {
  display: block;
  height: 100%;
  user-select: none;
  width: 100%;
}
.sheet svg {
  inset: 0;
  pointer-events: none;
  position: absolute;
}
path {
  fill: none;
  stroke: #ffffff;
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
  filter: drop-shadow(0 0 1px #000000);
}
.grid {
  opacity: 0.75;
  stroke-width: 0.75;
}
.cross {
  border: 1.5px solid #ffffff;
  border-radius: 50%;
  box-shadow: 0 0 0 1.5px #000000;
  height: 11px;
  margin: -5.5px;
  pointer-events: none;
  position: absolute;
  width: 11px;
}
.cross.corner {
  border-radius: 0;
}
.cross.active {
  border-color: #ffd75e;
}
.grip.active {
  z-index: 1;
}
.grip {
  background: transparent;
  border: 0;
  cursor: grab;
  height: 44px;
  margin: -22px;
  padding: 0;
  position: absolute;
  touch-action: none;
  width: 44px;
}
.grip span {
  pointer-events: none;
  background: #000000cc;
  color: #ffffff;
  display: none;
  font-size: 0.8125rem;
  left: 50%;
  bottom: 36px;
  padding: 0 0.35rem;
  position: absolute;
  transform: translateX(-50%);
  white-space: nowrap;
}
.grip:hover span,
.grip.active span {
  display: block;
}
.grip.coarse {
  background: #ffffff66;
  border: 2px solid #000000;
  border-radius: 50%;
  margin-top: 18px;
}
.grip.coarse.active {
  background: #ffd75ecc;
}
.grip.coarse span {
  bottom: auto;
  top: 44px;
}
.ring {
  background-color: var(--sunk);
  background-repeat: no-repeat;
  border: 3px solid var(--ink);
  border-radius: 50%;
  height: 148px;
  pointer-events: none;
  position: absolute;
  top: 8px;
  width: 148px;
}
.ring::before,
.ring::after {
  background: #ffd75e;
  content: '';
  left: 50%;
  position: absolute;
  top: 50%;
}
.ring::before {
  height: 1px;
  margin-left: -30px;
  width: 60px;
}
.ring::after {
  height: 60px;
  margin-top: -30px;
  width: 1px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.5rem;
  margin-top: 0.5rem;
}
.tools button {
  min-width: 44px;
}
</style>
