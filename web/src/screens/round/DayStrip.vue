<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Schemas } from '../../api/client'
import { offerVisitBack, tryVisit, useKeepVisit } from '../../api/round'
import { dayOf, daysOn } from '../../dates'
import { $t } from '../../i18n'
import { clock } from '../../local/clock'
import RefusalNote from '../../parts/RefusalNote.vue'
import AppIcon from '../../parts/AppIcon.vue'
import { visitStates } from './words'

/**
 * The day as a strip of time along the rule: each dog a bar as long as it takes, free places as gaps that say who would
 * fit.
 */
const props = defineProps<{ day: Schemas['RoundDay'] }>()
const chosen = defineModel<string>()
/** Another day of the week above, over which a bar hangs. */
const over = defineModel<string>('over')
const emit = defineEmits<{ give: [dog: Schemas['RoundDog'], start: number] }>()
const { mutate, error } = useKeepVisit()

const perMinute = 1.7
const step = 5
const from = computed(
  () => Math.floor(Math.min(props.day.hours?.from ?? 540, ...props.day.visits.map(v => v.start)) / 60) * 60,
)
const to = computed(
  () => Math.ceil(Math.max(props.day.hours?.to ?? 1020, ...props.day.visits.map(v => v.ends)) / 60) * 60,
)
const y = (minutes: number) => (minutes - from.value) * perMinute
const hours = computed(() => Array.from({ length: (to.value - from.value) / 60 + 1 }, (_, i) => from.value + 60 * i))
const helped = computed(() => props.day.hours?.helper ?? [])
const place = (v: Schemas['Visit']) => ({ top: `${y(hangsAt(v))}px`, height: `${v.minutes * perMinute - 2}px` })
const bars = computed(() => props.day.visits.filter(v => v.state !== 'missed' && v.state !== 'called_off'))
const lost = computed(() => props.day.visits.filter(v => v.state === 'missed' || v.state === 'called_off'))
const movable = (v: Schemas['Visit']) => ['offered', 'agreed'].includes(v.state)

/** A bar that is being moved, and what it would break where it hangs. */
const moved = ref<{ id: string; on: string; start: number; breaks: string; asked: boolean }>()
const hanging = (v: Schemas['Visit']) => (moved.value?.id === v.id ? moved.value : undefined)
const hangsAt = (v: Schemas['Visit']) => hanging(v)?.start ?? v.start
let asking = 0
function hang(v: Schemas['Visit'], start: number, on = v.on) {
  const at = Math.max(from.value, Math.min(to.value - step, Math.round(start / step) * step))
  const m = hanging(v)
  if (m?.start === at && m.on === on) return
  moved.value = { id: v.id, on, start: at, breaks: '', asked: false }
  clearTimeout(asking)
  asking = window.setTimeout(() => void ask(v), 120)
}
async function ask(v: Schemas['Visit']) {
  const m = hanging(v)
  if (!m) return
  const breaks = await tryVisit(placed(v, m)).catch((e: Error) => e.message)
  if (moved.value === m) moved.value = { ...m, breaks, asked: true }
}
const placed = (v: Schemas['Visit'], { on, start }: { on: string; start: number }) => ({
  id: v.id,
  dog_id: v.dog.dog_id,
  on,
  start,
  minutes: v.minutes,
  state: v.state,
  sequence: v.sequence,
  note: v.note,
})
function drop(v: Schemas['Visit'], anyway = false) {
  const m = hanging(v)
  if (!m) return
  if (m.breaks && !anyway) return
  if (m.start === v.start && m.on === v.on) {
    moved.value = undefined
    return
  }
  mutate(
    { ...placed(v, m), anyway },
    {
      onSuccess: now =>
        offerVisitBack(
          $t('round.comes_at_2', { name: v.dog.name, on: dayOf(now.on), start: clock(now.start) }),
          v,
          now,
        ),
      onSettled: () => (moved.value = undefined),
    },
  )
}

let held: { v: Schemas['Visit']; y: number; start: number } | undefined
function down(event: PointerEvent, v: Schemas['Visit']) {
  const before = chosen.value
  chosen.value = v.id
  if (!movable(v) || event.button !== 0) return
  if (event.pointerType === 'touch' && before !== v.id) return // a thumb that scrolls moves nobody: it chooses first
  held = { v, y: event.clientY, start: hangsAt(v) }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
/** By the Tab key; a thumb or the mouse has chosen it already. */
function focused(v: Schemas['Visit']) {
  if (!held) chosen.value = v.id
}
function move(event: PointerEvent) {
  if (!held || Math.abs(event.clientY - held.y) <= 4) return
  const day = document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-day]')?.dataset.day
  over.value = day
  if (day)
    hang(held.v, held.v.start, day) // at the same hour
  else hang(held.v, held.start + (event.clientY - held.y) / perMinute)
}
async function up() {
  const v = held?.v
  letGo()
  if (!v || !hanging(v)) return
  clearTimeout(asking)
  if (!hanging(v)!.asked) await ask(v)
  drop(v)
}
function letGo() {
  held = undefined
  over.value = undefined
}
function key(event: KeyboardEvent, v: Schemas['Visit']) {
  const by = { ArrowUp: -step, ArrowDown: step, PageUp: -30, PageDown: 30 }[event.key]
  const days = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  const on = hanging(v)?.on ?? v.on
  if (by && movable(v)) hang(v, hangsAt(v) + by, on)
  else if (days && movable(v)) hang(v, hangsAt(v), daysOn(on, days))
  else if (event.key === 'Enter' && hanging(v)) drop(v)
  else if (event.key === 'Escape') moved.value = undefined
  else return
  event.preventDefault()
}
const about = (v: Schemas['Visit']) =>
  $t('round.to', { name: v.dog.name, start: clock(v.start), ends: clock(v.ends), state: visitStates[v.state] })
</script>

<template>
  <div>
    <RefusalNote :error="error" />
    <div class="strip" :style="{ height: `${y(to) + 8}px` }" role="list" :aria-label="$t('round.the_day')">
      <div v-for="h in hours" :key="h" class="hour" :style="{ top: `${y(h)}px` }" aria-hidden="true">
        <span>{{ clock(h) }}</span>
      </div>
      <div
        v-for="s in helped"
        :key="s.from"
        class="helper"
        :style="{ top: `${y(s.from)}px`, height: `${(s.to - s.from) * perMinute}px` }"
        :title="$t('round.somebody_to_hold_to', { from: clock(s.from), to: clock(s.to) })"
      />
      <div
        v-if="day.hours?.break"
        class="break"
        :style="{
          top: `${y(day.hours.break.from)}px`,
          height: `${(day.hours.break.to - day.hours.break.from) * perMinute}px`,
        }"
      >
        {{ $t('round.break') }}
      </div>
      <div
        v-for="g in day.gaps"
        :key="g.from"
        :class="['gap', { short: (g.to - g.from) * perMinute < 58 }]"
        role="listitem"
        :style="{ top: `${y(g.from)}px`, height: `${(g.to - g.from) * perMinute - 2}px` }"
      >
        <span class="small free">{{ $t('round.free', { from: clock(g.from), to: clock(g.to) }) }}</span>
        <button
          v-for="f in g.fits.slice(0, Math.max(1, Math.floor(((g.to - g.from) * perMinute - 24) / 34)))"
          :key="f.dog.dog_id"
          type="button"
          @click="emit('give', f.dog, f.start)"
        >
          <strong dir="auto">{{ f.dog.name }}</strong>{{ $t('round.min_3', { minutes: f.dog.minutes })
          }}<template v-if="f.dog.due">{{ $t('round.due_2', { due: dayOf(f.dog.due) }) }}</template
          >{{ ' ' }}<span class="soft">{{ $t('round.at', { start: clock(f.start) }) }}</span>
        </button>
      </div>
      <div
        v-for="v in bars"
        :key="v.id"
        :class="[
          'visit',
          v.standing,
          v.state,
          { needs: v.dog.help === 'needed', chosen: v.id === chosen, hangs: hanging(v), broken: hanging(v)?.breaks },
        ]"
        :style="place(v)"
        role="listitem"
        tabindex="0"
        :aria-label="about(v)"
        :aria-current="v.standing === 'next' || undefined"
        @pointerdown="down($event, v)"
        @pointermove="move"
        @pointerup="up"
        @pointercancel="letGo"
        @focus="focused(v)"
        @keydown="key($event, v)"
      >
        <strong dir="auto">{{ v.dog.name }}</strong>
        <span class="small"
          ><strong v-if="hanging(v) && hanging(v)!.on !== v.on"
            >{{ $t('round.to_2', { on: dayOf(hanging(v)!.on) }) }}{{ ' ' }}</strong
          >{{ clock(hangsAt(v)) }}–{{ clock(hangsAt(v) + v.minutes)
          }}<template v-if="v.state !== 'agreed'"> · {{ visitStates[v.state] }}</template
          ><template v-if="v.starts?.late"
            >{{ ' ' }}{{ $t('round.about_2', { likely: clock(v.starts!.likely) }) }}</template
          ></span
        >
        <span class="marks">
          <AppIcon v-if="v.dog.cautions?.some(c => c.kind === 'veterinarian')" name="vet" /><AppIcon
            v-else-if="v.dog.hard || v.breaks"
            name="caution"
          />
        </span>
        <p v-if="hanging(v)?.breaks" class="why" role="alert" @pointerdown.stop>
          {{ hanging(v)!.breaks }}. <button type="button" @click="moved = undefined">{{ $t('round.back') }}</button>{{
            ' '
          }}<button type="button" @click="drop(v, true)">{{ $t('round.all_the_same') }}</button>
        </p>
      </div>
      <div
        v-if="day.on === day.today && day.now >= from && day.now <= to"
        class="now"
        :style="{ top: `${y(day.now)}px` }"
      >
        <span>{{ clock(day.now) }}</span>
      </div>
    </div>
    <p v-if="lost.length > 0" class="small soft lost">
      {{ $t('round.cancelled') }}
      <button v-for="v in lost" :key="v.id" type="button" @click="chosen = v.id">
        {{ v.dog.name }} {{ clock(v.start) }}, {{ visitStates[v.state] }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.strip {
  border-left: 3px solid var(--line-strong);
  margin-left: 3.25rem;
  position: relative;
}
.hour {
  border-top: 1px solid var(--line);
  left: -10px;
  position: absolute;
  right: 0;
}
.hour span {
  color: var(--ink-soft);
  font-size: var(--small);
  left: -3rem;
  position: absolute;
  top: -0.7em;
}
.helper {
  background: repeating-linear-gradient(45deg, var(--go) 0 2px, transparent 2px 6px);
  left: 0;
  position: absolute;
  width: 8px;
}
.break {
  background: var(--sunk);
  color: var(--ink-soft);
  font-size: var(--small);
  left: 14px;
  padding-left: 0.75rem;
  position: absolute;
  right: 0;
}
.gap {
  align-content: flex-start;
  border: 1px dashed var(--line-strong);
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 0.75rem;
  left: 14px;
  overflow: hidden;
  padding: 0.15rem 0.75rem;
  position: absolute;
  right: 0;
}
.gap.short .free {
  display: none;
}
.gap .small {
  color: var(--ink-soft);
  width: 100%;
}
.gap button,
.lost button {
  background: none;
  border: 0;
  color: var(--go);
  min-height: 32px;
  padding: 0;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.visit {
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-left: 6px solid var(--ink-soft);
  cursor: grab;
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.75rem;
  left: 14px;
  line-height: 1.3;
  min-height: 26px;
  padding: 0.1rem 0.5rem;
  position: absolute;
  right: 0;
  touch-action: pan-y;
}
.visit .small {
  color: var(--ink-soft);
}
.visit.needs {
  border-left: 10px solid transparent;
  border-image: repeating-linear-gradient(45deg, var(--go) 0 3px, var(--sheet) 3px 7px) 1;
  border-width: 1px 1px 1px 10px;
}
.visit.next {
  border-left-color: var(--go);
  box-shadow: inset 0 0 0 1px var(--go);
}
.visit.over {
  background: var(--sunk);
  border-left-color: var(--line);
  cursor: default;
}
.visit.offered {
  border-style: dashed;
}
.visit.waits {
  border-left-color: var(--caution-edge);
}
.visit.chosen {
  outline: 2px solid var(--go);
  touch-action: none;
}
.visit.hangs {
  opacity: 0.92;
  z-index: 3;
}
.visit.broken {
  background: var(--caution-ground);
  height: auto !important;
}
.marks {
  color: var(--caution-edge);
  margin-left: auto;
}
.why {
  flex-basis: 100%;
  margin: 0.25rem 0;
}
.why::first-letter {
  text-transform: uppercase;
}
.why button {
  background: none;
  border: 1px solid var(--line-strong);
  min-height: 36px;
  padding-inline: 0.6rem;
}
.now {
  border-top: 2px solid var(--ink);
  left: -12px;
  pointer-events: none;
  position: absolute;
  right: 0;
  z-index: 2;
}
.now span {
  background: var(--ink);
  color: var(--paper);
  font-size: 0.75rem;
  left: -2.6rem;
  padding: 0 0.25rem;
  position: absolute;
  top: -0.75em;
}
.lost button {
  margin-right: 0.75rem;
}
</style>
