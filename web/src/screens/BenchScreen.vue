<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal, type Schemas } from '../api/client'
import { useKit } from '../api/kit'
import { useSettings } from '../api/queries'
import { $t } from '../i18n'
import { useBench, type Told } from '../local/bench'
import { useGradually } from '../local/gradually'
import { kept } from '../local/kept'
import { act, isTyping, onKey } from '../local/keys'
import { keeps } from '../local/outbox'
import { useNarrow } from '../local/narrow'
import { speak, spoken } from '../local/speech'
import { toolChoices } from '../local/tools'
import AnswerState from '../parts/AnswerState.vue'
import ArrivalRow from '../parts/ArrivalRow.vue'
import AppIcon from '../parts/AppIcon.vue'
import CautionList from '../parts/CautionList.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import RankPicture from '../rank/RankPicture.vue'
import { useUnits } from '../units'
import { nailInWords, phrases, reactions } from '../words'
import BloodPanel from './bench/BloodPanel.vue'
import CompanionBar from './bench/CompanionBar.vue'
import GrindNail from './bench/GrindNail.vue'
import NailUnderHands from './bench/NailUnderHands.vue'
import NumberTold from './bench/NumberTold.vue'
import PressNail from './bench/PressNail.vue'
import ReactionPanel from './bench/ReactionPanel.vue'
import StepNail from './bench/StepNail.vue'
import HoldPicture from './ready/HoldPicture.vue'
import HoldWords from './ready/HoldWords.vue'

const props = defineProps<{ dogId: string; sittingId: string }>()
const router = useRouter()
const cache = useQueryClient()
const narrow = useNarrow()
const { length } = useUnits()
const { data: kit } = useKit()
const settings = useSettings()
const { bench, pending, telling, aside, looked, unanswered, refusal, unreachable, tell, settleAside, flush, forget } = useBench(props.dogId, props.sittingId)
const beside = useGradually(computed(() => (bench.value ? ['hold', 'rank'] : [])), 0) // after what is to be done now

const code = ref<string>()
const nails = computed(() => bench.value?.nails ?? [])
/** Closed by a press that does not show yet: the next press belongs to the next nail, however soon it comes. */
const closing = ref(new Set<string>())
watch([pending, telling], () => pending.value.length === 0 && telling.value === 0 && closing.value.clear())
const closed = (n: Schemas['BenchNail']) => n.done || n.skipped || n.blood || closing.value.has(n.code)
const todays = computed(() => nails.value.filter((n) => n.today))
/** Where the sitting goes on: the first of today's nails that is not finished. */
const open = computed(() => todays.value.find((n) => !closed(n)))
const nail = computed(() => nails.value.find((n) => n.code === code.value) ?? open.value ?? nails.value[0])
const paw = computed(() => nail.value?.code.slice(0, 2) as Schemas['Paw'])
const hold = computed(() => bench.value?.holds.find((h) => h.paw === paw.value))
const lastCut = computed(() => nail.value?.cuts[nail.value.cuts.length - 1])
const grinding = computed(() => bench.value?.tool.startsWith('grinder') ?? false)
const bleeding = ref(false)
const reckoning = computed(() => telling.value > 0 || (nail.value !== undefined && unanswered.value.has(nail.value.code) && !unreachable.value)) // a moment: no cut by an advice that is out of date
const marks = computed(() => Object.fromEntries(nails.value.map((n) => [n.code, n.blood ? 'blood' : n.done ? 'done' : n.skipped || !n.today ? 'left' : 'planned'])))
const counts = computed(() => ({ done: nails.value.filter((n) => n.done || (n.blood && n.cuts.length > 0)).length, left: todays.value.filter((n) => !closed(n)).length }))
watch(nails, (all) => {
  if (!code.value && all.length > 0) code.value = bench.value?.last?.nail ?? (open.value ?? all[0]).code
})

/** Which pace somebody chose for this dog; until then what is usual for the hand and the nail. */
const keptPace = computed(() => kept<Schemas['Pace']>(`fribbet-pace-${props.dogId}-${settings.data.value?.choices.hand ?? 'new'}`))
const chosen = ref<Schemas['Pace'] | null>(null)
watch(keptPace, (k) => (chosen.value = k.read()), { immediate: true })
const pace = computed(() => chosen.value ?? nail.value?.pace ?? 'steps')
/** The space bar, the letters and the pedal belong to the nail, not to what was pressed last. */
const letGo = () => (document.activeElement as HTMLElement | null)?.blur()
function choosePace(p: Schemas['Pace']) {
  chosen.value = p
  keptPace.value.keep(p)
  letGo()
}
/** Nails that were clipped and are taken up again with the grinder. */
const again = ref(new Set<string>())
/** A nail that was clipped may be ground at the same sitting: its second pass. */
const clipped = (n: Schemas['BenchNail']) => n.done && !n.blood && n.cuts.length > 0 && !n.cuts[0].touch
const trimming = computed(() => nail.value !== undefined && (!closed(nail.value) && nail.value.asks !== undefined || grinding.value && again.value.has(nail.value.code)))
/** Nails that a press took to the first sign, and that are gone on with from there, step by step. */
const toTheDot = ref(new Set<string>())
/** How the nail in hand is gone through. */
const way = computed(() => {
  if (!trimming.value) return 'rest'
  if (grinding.value) return 'grind'
  return pace.value === 'press' && nail.value!.advice.plan.cuts_mm.length > 0 && !toTheDot.value.has(nail.value!.code) ? 'press' : 'steps'
})
const press = useTemplateRef('press')
const steps = useTemplateRef('steps')
const grind = useTemplateRef('grind')

/** Begun while the server is away: what was told is kept, and this says so. */
const unread = computed(() => refusal.value ?? (unreachable.value ? new Refusal(0, $t('bench.fribbet_does_not_answer'), []) : null))

/** What is to be done with a nail that nothing is asked of: leave it, go on, or end. */
const rest = computed(() => {
  const n = nail.value
  if (!n) return { words: '', does: () => {} }
  if (!closed(n) && n.today) return { words: $t('bench.leave_it'), does: finish }
  return open.value ? { words: $t('bench.next', { code: open.value.code }), does: () => (code.value = open.value?.code) } : { words: $t('bench.end_the_trim'), does: () => end() }
})
const does = computed(() => ({ press: () => press.value?.tell(), steps: () => steps.value?.next(), grind: () => grind.value?.next(), rest: () => rest.value.does() })[way.value])

/** A whole nail in one press: its cuts, what the end shows, and that it is done; undone as one. */
function told(cuts: number[], face: Schemas['Face'] | undefined, goesOn = false) {
  const n = nail.value
  if (!n || closed(n)) return
  const press = crypto.randomUUID()
  const all: Told[] = cuts.map((mm) => ({ kind: 'cut', id: crypto.randomUUID(), press, nail: n.code, mm }))
  if (face) all.push({ kind: 'face', press, nail: n.code, of: all[all.length - 1].id, face })
  if (goesOn) toTheDot.value.add(n.code)
  else if (face !== 'blood') all.push({ kind: 'done', press, nail: n.code, ...(face ? {} : { end: 'before' as const }) })
  void tell(...all)
  if (face === 'blood') bleeding.value = true
  else if (!goesOn) goOn(n)
}
/** A reaction that was answered, or that was there before this page was opened: it is not asked again. */
const answered = ref<number>()
watch(bench, (b) => { if (b && answered.value === undefined) answered.value = b.answer?.told ?? 0 }, { immediate: true })
const answer = computed(() => (bench.value?.answer && (bench.value.answer.told ?? 0) > (answered.value ?? 0) ? bench.value.answer : undefined))
const heard = () => (answered.value = bench.value?.answer?.told)
/** The rest of a paw is left for another day: what was cut is done, the others are left out, in one press. */
function leavePaw(p: Schemas['Paw']) {
  heard()
  const press = crypto.randomUUID()
  const rest = nails.value.filter((n) => n.code.startsWith(p) && !closed(n) && (n.today || n.cuts.length > 0))
  void tell(...rest.map((n): Told => ({ kind: n.cuts.length > 0 ? 'done' : 'skipped', press, nail: n.code })))
  for (const n of rest) closing.value.add(n.code)
  code.value = open.value?.code ?? code.value
}
/** Whether what was seen before the first cut is still to be told. */
const passed = kept<boolean>(`fribbet-arrival-${props.sittingId}`)
const arrivalPassed = ref(passed.read() ?? false)
const asksArrival = computed(() => !arrivalPassed.value && !bench.value?.arrival && nails.value.every((n) => n.cuts.length === 0 && !n.done && !n.skipped))
const arrival = ref<Schemas['Arrival']>()
function passArrival() {
  if (arrival.value) void tell({ kind: 'arrival', arrival: arrival.value })
  arrivalPassed.value = true
  passed.keep(true)
}
watch(arrival, (a) => a?.touching && void tell({ kind: 'arrival', arrival: a }))
const about = (kind: Schemas['EventKind'], more: Partial<Told> = {}) => nail.value && void tell({ kind, nail: nail.value.code, ...more } as Told)
const cut = (mm: number) => about('cut', { mm })
const touched = (pass?: Schemas['Pass']) => about('touch', { mm: bench.value?.touch_mm, pass })
function showed(face: Schemas['Face']) {
  if (!lastCut.value) return
  if (face === 'blood') bleeding.value = true
  about('face', { of: lastCut.value.id, face })
}
/** This nail is finished: done if something came off, else left out; and the next one comes to hand. */
function finish() {
  const n = nail.value
  if (!n) return
  if (!closed(n)) about(n.cuts.length > 0 ? 'done' : 'skipped')
  again.value.delete(n.code)
  goOn(n)
}
function goOn(from: Schemas['BenchNail']) {
  closing.value.add(from.code)
  code.value = todays.value.find((other) => !closed(other) && other.code !== from.code)?.code ?? from.code
}
function go(by: number) {
  const at = nails.value.findIndex((n) => n.code === nail.value?.code)
  code.value = nails.value[Math.min(nails.value.length - 1, Math.max(0, at + by))]?.code
}
/** The pedal's other side: it stopped at the sign. */
function atSign() {
  if (way.value === 'press') press.value?.tell(nail.value!.press_to)
  else finish()
}
function blood() {
  if (!nail.value) return
  bleeding.value = true
  if (!nail.value.blood) about('blood')
}
function undo() {
  const last = bench.value?.last
  if (!last) return
  if (last.nail) code.value = last.nail
  closing.value.clear()
  bleeding.value = false
  void tell({ kind: 'undone', of: last.id })
}
function takeTool(value: string) {
  const piece = kit.value?.items.find((i) => i.id === value)
  void tell({ kind: 'tool', tool: piece?.tool ?? (value as Schemas['Tool']), item_id: piece?.id })
  letGo()
}
/** Paws of which every nail of today is closed: a finger goes round them. */
const finished = computed(() => (bench.value?.holds ?? []).map((h) => h.paw).filter((p) => todays.value.some((n) => n.code.startsWith(p) && n.done) && !todays.value.some((n) => n.code.startsWith(p) && !closed(n))))
const unsmoothed = computed(() => finished.value.filter((p) => !bench.value?.smooth.includes(p)))
/** Paws that were clipped and are to be ground round: one press for all of a paw. */
const clippedPaws = computed(() => (grinding.value ? finished.value.filter((p) => nails.value.some((n) => n.code.startsWith(p) && clipped(n))) : []))
const groundRound = (p: Schemas['Paw']) => !nails.value.some((n) => n.code.startsWith(p) && clipped(n) && !n.ground)
const inHand = computed(() => {
  const touches = nail.value?.cuts.filter((c) => c.touch).length ?? 0
  const cuts = (nail.value?.cuts.length ?? 0) - touches
  const said = [cuts > 0 || touches === 0 ? `${cuts} ${$t('bench.cut_cuts', cuts)}` : '', touches > 0 ? `${touches} ${$t('bench.touch_touches', touches)}` : '']
  return said.filter(Boolean).join(', ')
})
const note = ref('')
const noting = ref(false)
function writeNote(words: string) {
  const before = bench.value?.note ?? ''
  void tell({ kind: 'note', note: before ? `${before}; ${words}` : words })
  note.value = ''
}
const leaving = ref(false)
async function end(calmly = false) {
  await tell({ kind: 'ended', ...(calmly ? { reaction: 'calm' as const } : {}) })
  leaving.value = true
  await flush()
}
// Ended here, or in another tab: no cut is offered any more.
watch([leaving, pending, bench, aside, looked], () => {
  if (!(leaving.value || bench.value?.ended) || pending.value.length > 0 || !looked.value || aside.value.length > 0) return
  forget()
  void cache.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'settings' })
  void router.replace(`/dogs/${props.dogId}/saved/${props.sittingId}`)
})
watch(() => nail.value && `${nail.value.code}: ${nail.value.advice.because}`, (words) => words && speak(words))

const enough = computed(() => (counts.value.left > 0 && counts.value.done > 0 ? $t('bench.enough_for_today') : $t('bench.end_the_trim')))
onKey((event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || !nail.value || bleeding.value || answer.value) return
  const onButton = event.target instanceof HTMLElement && event.target.closest('button, a, summary')
  if (event.key === ' ' && onButton) return
  const place = '1234567'.indexOf(event.key)
  if (place >= 0 && way.value !== 'rest') {
    const face = nail.value.faces[place]
    if (way.value === 'press') return face && act(event, () => press.value?.tell(face))
    return act(event, () => (way.value === 'steps' ? steps.value?.answer(place) : grind.value?.answer(place)))
  }
  const keys: Record<string, () => void> = {
    ' ': does.value, PageDown: does.value, PageUp: atSign, '+': () => press.value?.step(1), '-': () => press.value?.step(-1),
    m: () => press.value?.goOn(), t: () => grind.value?.touch(), w: () => grind.value?.nextPass(), e: () => about('edges'), s: finish, n: () => go(1), p: () => go(-1), u: undo, b: blood,
  }
  const acts = keys[event.key] ?? keys[event.key.toLowerCase()]
  if (acts) act(event, acts)
})
</script>

<template>
  <div class="screen bench-screen">
    <AnswerState v-if="!bench || !nail" :error="unread" :what="$t('bench.the_trim')" @again="flush()" />
    <template v-else>
      <div class="screen-head">
        <h1 dir="auto">{{ bench.name }}</h1>
        <div class="aside">
          <label for="tool" class="visually-hidden">{{ $t('bench.tool') }}</label>
          <BFormSelect id="tool" :model-value="bench.item_id ?? bench.tool" :options="toolChoices(kit)" @update:model-value="takeTool(String($event))" />
        </div>
      </div>
      <p v-if="pending.length > 0 && !keeps" class="kept lost" role="alert"><strong>{{ $t('bench.not_kept_until_it_is') }}</strong>{{ $t('bench.this_browser_keeps_nothing_for', { n: pending.length, n2: $t('bench.tap_taps', pending.length) }) }}</p>
      <p v-else-if="unreachable || pending.length > 0" class="kept passing" role="status"><strong>{{ $t('bench.kept_here_not_yet_saved') }}</strong>: {{ pending.length }} {{ $t('bench.tap_taps', pending.length) }}<template v-if="unreachable">{{ $t('bench.fribbet_does_not_answer_they') }}</template>.</p>
      <p v-if="bench.last_note && counts.done === 0" class="last-note"><strong>{{ $t('bench.last_time') }}</strong> <bdi>{{ bench.last_note }}</bdi></p>
      <ArrivalRow v-if="asksArrival" v-model="arrival" pass @passed="passArrival" />
      <CompanionBar :bench="bench" :place="todays.findIndex((n) => n.code === nail!.code) + 1" :of="todays.length" />
      <div class="work">
        <section class="nail" :aria-label="$t('bench.nail', { code: nail.code })">
          <div class="head"><span class="code">{{ nail.code }}</span><span>{{ nailInWords(nail.code) }}<span class="soft small off"><template v-if="nail.cuts.length > 0">{{ $t('bench.off', { inHand, removed: length.show(nail.removed_mm) }) }}</template><template v-if="nail.edged">{{ ' ' }}{{ $t('bench.sides_and_top') }}</template><template v-if="nail.ground">{{ ' ' }}{{ $t('bench.ground_round') }}</template></span></span>
            <button v-if="!grinding" type="button" class="pace" @click="choosePace(pace === 'press' ? 'steps' : 'press')">{{ pace === 'press' ? $t('bench.step_by_step') : $t('bench.one_press_a_nail') }}</button>
          </div>
          <p v-if="bench.read_dry && way !== 'rest'" class="dry">{{ bench.read_dry }}</p>
          <p v-if="bench.eye && way !== 'rest'" class="dry">{{ bench.eye }}</p>
          <PressNail v-if="way === 'press'" ref="press" :key="`press ${nail.code}`" :dog-id="dogId" :nail="nail" @told="told" />
          <StepNail
            v-else-if="way === 'steps'" ref="steps" :key="`steps ${nail.code}`" :dog-id="dogId" :sitting-id="sittingId" :nail="nail" :reckoning="reckoning" @colour="about('colour', { colour: $event })"
            @landmark="(landmark, mm) => about('landmark', { landmark, mm, by: 'eye' })" @unclear="about('unclear')" @cut="cut" @face="showed" @smooth="finish"
          />
          <GrindNail v-else-if="way === 'grind'" ref="grind" :key="`grind ${nail.code}`" :bench="bench" :nail="nail" :reckoning="reckoning" @touch="touched" @face="showed" @smooth="finish" />
          <template v-else>
            <NailUnderHands :nail="nail" />
            <p class="why">{{ closed(nail) ? (nail.blood ? $t('bench.it_bled_done_for_today') : nail.done ? $t('bench.done') : $t('bench.left_out')) : nail.advice.because }}.
              <button v-if="!closed(nail) && nail.advice.kind === 'leave' && nail.advice.cut_mm > 0" type="button" class="anyway" @click="cut(nail.advice.cut_mm)">{{ $t('bench.take_all_the_same', { cut: length.show(nail.advice.cut_mm) }) }}</button>
            </p>
            <BButton v-if="grinding && clipped(nail)" variant="plain" class="act taken-up" @click="again.add(nail.code)">{{ $t('bench.shorten_it_with_the_grinder') }}</BButton>
            <BButton variant="go" class="next" @click="rest.does">{{ rest.words }} <kbd>{{ $t('bench.space') }}</kbd></BButton>
          </template>
          <div class="acts">
            <BButton variant="plain" class="act" :disabled="closed(nail)" @click="finish">{{ nail.cuts.length > 0 ? $t('bench.stop_this_nail') : $t('bench.leave_out') }} <kbd>S</kbd></BButton>
            <BButton variant="plain" class="act" :disabled="nail.edged || closed(nail)" @click="about('edges')">{{ $t('bench.sides_and_top_2') }} <kbd>E</kbd></BButton>
            <template v-if="!narrow">
              <BButton variant="plain" class="act" :disabled="!bench.last" @click="undo">{{ $t('bench.undo') }} <kbd>U</kbd></BButton>
              <BButton variant="plain" class="act drop" @click="blood"><AppIcon name="blood" />{{ $t('bench.blood') }} <kbd>B</kbd></BButton>
            </template>
          </div>
          <div v-if="narrow" class="reach" role="group" :aria-label="$t('bench.always_in_reach')">
            <BButton variant="plain" class="act" :disabled="!bench.last" @click="undo">{{ $t('bench.undo') }}</BButton>
            <BButton variant="plain" class="act drop" @click="blood"><AppIcon name="blood" />{{ $t('bench.blood') }}</BButton>
            <BButton variant="plain" class="act" @click="end()">{{ enough }}</BButton>
          </div>
          <div v-if="clippedPaws.length > 0" class="smooth second" role="group" :aria-label="$t('bench.the_second_pass')">
            <BButton v-for="p in clippedPaws" :key="p" variant="plain" class="act" :disabled="groundRound(p)" @click="tell({ kind: 'ground', paw: p })">{{ groundRound(p) ? $t('bench.is_ground_round', { p }) : $t('bench.ground_round_all_of', { p }) }}</BButton>
          </div>
          <div v-if="unsmoothed.length > 0" class="smooth">
            <BButton v-for="p in unsmoothed" :key="p" variant="plain" class="act" @click="tell({ kind: 'smooth', paw: p })">{{ $t('bench.a_finger_round_every_end', { p }) }}</BButton>
          </div>
          <div class="choices took" role="group" :aria-label="$t('bench.how_the_dog_was_about')"><button v-for="(words, r) in reactions" :key="r" type="button" :aria-pressed="nail.reaction === r" @click="about('reaction', { reaction: r })">{{ words }}</button></div>
          <details class="more">
            <summary>{{ $t('bench.a_note_a_number') }}</summary>
            <div class="choices"><button type="button" :aria-pressed="nail.forced" @click="about('force')">{{ $t('bench.it_took_force') }}</button></div>
            <p v-if="bench.note" class="noted"><bdi>{{ bench.note }}</bdi></p>
            <div class="choices" role="group" :aria-label="$t('bench.a_note_in_one_press')"><button v-for="words in phrases" :key="words" type="button" :disabled="bench.note.includes(words)" @click="writeNote(words)">{{ words }}</button>
              <button type="button" :aria-expanded="noting" @click="noting = !noting">{{ $t('bench.write') }}</button></div>
            <form v-if="noting" class="write" @submit.prevent="note.trim() && writeNote(note.trim())"><label for="bench-note" class="visually-hidden">{{ $t('bench.note') }}</label><input id="bench-note" v-model="note" class="form-control" dir="auto" maxlength="300" /><BButton type="submit" variant="plain">{{ $t('bench.note_it') }}</BButton></form>
            <NumberTold :key="nail.code" :nail="nail" @seen="(landmark, mm, by) => about('landmark', { landmark, mm, by })" @measured="(measure, mm, by) => about('measured', { measure, mm, by })" />
          </details>
        </section>
        <div v-if="beside.length > 0" class="side">
          <RankPicture v-if="bench.rank_before && beside.length > 1" :rank="bench.rank_before" :size="narrow ? 'narrow' : 'medium'" stacked :selected="nail.code" :marks="marks" @select="code = $event" />
          <p class="tally" aria-live="polite"><strong>{{ counts.done }}</strong> {{ $t('bench.done_2') }} <strong>{{ counts.left }}</strong> {{ $t('bench.to_go_today') }}</p>
          <details v-if="hold" class="hold" :open="!narrow"><summary>{{ $t('bench.how_is_held', { paw }) }}</summary><HoldPicture :hold="hold" /><p class="small">{{ bench.support.says }}</p><HoldWords :hold="hold" /></details>
          <CautionList :cautions="bench.cautions" />
          <details class="hold" :open="!narrow"><summary>{{ $t('bench.mind_with_this_tool') }}</summary><ul class="mind small"><li v-for="words in bench.mind" :key="words">{{ words }}</li></ul></details>
          <BButton v-if="!narrow" variant="plain" class="btn-big" @click="end()">{{ enough }}</BButton>
          <BButton v-if="bench.calmly && counts.done > 0" variant="plain" class="calmly" @click="end(true)">{{ $t('bench.it_was_calm_throughout_end') }}</BButton>
          <BButton variant="plain" :aria-pressed="spoken" class="voice" @click="spoken = !spoken">{{ spoken ? $t('bench.speaks') : $t('bench.silent') }}</BButton>
        </div>
      </div>
      <RefusalNote :error="refusal" />
      <div v-for="one in aside" :key="one.order" class="kept aside-told" role="alert">
        <strong>{{ $t('bench.not_in_the_book', { nail: one.event.nail }) }}</strong> {{ one.why }}
        <BButton v-if="one.event.mm !== undefined" variant="plain" @click="settleAside(one, true)">{{ $t('bench.it_is_keep_it', { mm: length.show(one.event.mm) }) }}</BButton>
        <BButton variant="plain" @click="settleAside(one, false)">{{ $t('bench.forget_it') }}</BButton>
      </div>
      <ReactionPanel
        v-if="answer && !bleeding && !leaving" :key="answer.told" :answer="answer" :name="bench.name" :done="counts.done" :of="todays.length"
        @end="heard(); end()" @leave="leavePaw(answer.paw!)" @go-on="heard()" @undo="undo(); heard()"
      />
      <BloodPanel
        v-if="bleeding && nail.blood" :nail="nail" :remedy="bench.remedy" :hold="bench.hold_seconds" :stops="bench.stops_seconds" @stopped="tell({ kind: 'blood_stopped', nail: nail.code })"
        @bleeding="tell({ kind: 'still_bleeding', nail: nail.code })" @end="end()" @hide="bleeding = false" @close="bleeding = false; finish()"
      />
    </template>
  </div>
</template>

<style scoped>
.screen-head { align-items: center; margin-bottom: 0.5rem; }
.aside select { max-width: 20rem; width: auto; }
.kept { background: var(--caution-ground); border-left: var(--bar) solid var(--caution-edge); margin: 0 0 0.5rem; padding: 0.35rem 0.75rem; }
/* Over the page, not in it: what comes and goes with every tap must not move a button away from under the finger. */
.passing { box-shadow: 0 2px 8px rgb(0 0 0 / 25%); left: 0.5rem; max-width: calc(100% - 1rem); pointer-events: none; position: fixed; top: 0.4rem; z-index: 20; }
.work { display: grid; gap: 1.25rem 2.5rem; grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr); }
.head { align-items: center; display: flex; gap: 0.9rem; line-height: 1.25; }
.code { font-size: 2.25rem; font-weight: 700; line-height: 1; min-width: 5rem; }
.why { margin: 0.25rem 0 0.5rem; }
/* Written within sentences elsewhere. */
.why::first-letter { text-transform: uppercase; }
.anyway { background: none; border: 0; color: var(--go); min-height: 44px; text-decoration: underline; text-underline-offset: 3px; }
.next { font-size: 1.5rem; min-height: 84px; width: 100%; }
.last-note { border-left: var(--bar) solid var(--go); margin: 0 0 0.4rem; padding-left: 0.6rem; }
.dry { border-left: var(--bar) solid var(--caution-edge); margin: 0 0 0.3rem; padding-left: 0.6rem; }
.pace { background: none; border: 0; color: var(--go); font-weight: 600; margin-left: auto; min-height: 44px; padding: 0; text-align: right; text-decoration: underline; text-underline-offset: 3px; }
.off { display: block; }
.taken-up { margin-bottom: 0.4rem; width: 100%; }
.smooth { display: flex; flex-wrap: wrap; gap: 0.4rem; margin-bottom: 0.5rem; }
.more summary, .hold summary { align-items: center; color: var(--ink-soft); cursor: pointer; display: flex; font-weight: 600; min-height: 44px; }
.more summary::before, .hold summary::before { content: '▸'; margin-right: 0.4rem; }
.more[open] summary::before, .hold[open] summary::before { content: '▾'; }
.noted { margin: 0.5rem 0 0; }
.write { display: flex; gap: 0.5rem; margin-top: 0.4rem; }
.aside-told { align-items: center; display: flex; flex-wrap: wrap; gap: 0.5rem; }
.choices { margin-top: 0.5rem; }
.acts { display: grid; gap: 0.4rem; grid-template-columns: repeat(4, 1fr); margin-block: 0.5rem; }
.act { flex-wrap: wrap; gap: 0 0.4rem; line-height: 1.2; min-height: 64px; padding-inline: 0.3rem; }
.drop { color: var(--quick-text); }
.took { display: grid; gap: 0.3rem; grid-template-columns: repeat(5, minmax(0, 1fr)); margin: 0 0 0.35rem; }
.took button { min-width: 0; padding-inline: 0.1rem; }
.side { align-self: start; }
.mind { color: var(--ink-soft); margin-top: 0.5rem; }
.mind li { border-left: var(--bar) solid var(--caution-edge); margin-bottom: 0.25rem; padding-left: 0.6rem; }
.tally { margin: 0.75rem 0; }
.side .btn { width: 100%; }
.voice, .calmly { margin-top: 0.5rem; }

/* On a phone under the thumb, wherever the page stands: over the bar of places. */
.reach { background: var(--sunk); border-top: 1px solid var(--line-strong); bottom: 60px; display: grid; gap: 0.4rem; grid-template-columns: repeat(3, minmax(0, 1fr)); left: 0; padding: 0.4rem; position: fixed; right: 0; z-index: 9; }
.reach .act { min-height: 52px; min-width: 0; overflow-wrap: anywhere; }
@media (max-width: 700px) { .bench-screen { padding-bottom: 5.5rem; } }
@media (max-width: 900px) {
  .screen-head { flex-wrap: nowrap; }
  .aside { flex-wrap: nowrap; max-width: 55%; }
  .screen-head h1 { flex: 1; }
  .aside select { max-width: 100%; }
  .work { grid-template-columns: minmax(0, 1fr); }
  .code { font-size: 1.75rem; min-width: 4rem; }
  .next { font-size: 1.375rem; min-height: 72px; }
  .why { font-size: var(--small); }
  .acts { grid-template-columns: repeat(2, 1fr); }
  .took { grid-template-columns: repeat(auto-fit, minmax(5.5rem, 1fr)); }
  .took button { font-size: 0.9rem; }
}
</style>
