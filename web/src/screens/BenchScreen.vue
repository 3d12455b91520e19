<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { Refusal, type Schemas } from '../api/client'
import { useKit } from '../api/kit'
import { $t } from '../i18n'
import { useBench, type Told } from '../local/bench'
import { useGradually } from '../local/gradually'
import { speak } from '../local/speech'
import { toolChoices } from '../local/tools'
import AnswerState from '../parts/AnswerState.vue'
import ArrivalRow from '../parts/ArrivalRow.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import { useAnswers } from './bench/answers'
import { useArrival } from './bench/arrival'
import AsideTold from './bench/AsideTold.vue'
import BesideNail from './bench/BesideNail.vue'
import BloodPanel from './bench/BloodPanel.vue'
import CompanionBar from './bench/CompanionBar.vue'
import GrindNail from './bench/GrindNail.vue'
import KeptNotice from './bench/KeptNotice.vue'
import { useBenchKeys } from './bench/keys'
import { useLeaving } from './bench/leaving'
import MoreTold from './bench/MoreTold.vue'
import NailActs from './bench/NailActs.vue'
import NailHead from './bench/NailHead.vue'
import { clipped, useNails } from './bench/nails'
import { usePace } from './bench/pace'
import PressNail from './bench/PressNail.vue'
import ReactionPanel from './bench/ReactionPanel.vue'
import RestNail from './bench/RestNail.vue'
import StepNail from './bench/StepNail.vue'

const props = defineProps<{ dogId: string; sittingId: string }>()
const { data: kit } = useKit()
const sitting = useBench(props.dogId, props.sittingId)
const { bench, pending, telling, aside, unanswered, refusal, unreachable, tell, settleAside, flush } = sitting
const { leaving, end } = useLeaving(props.dogId, props.sittingId, sitting)
const beside = useGradually(
  computed(() => (bench.value ? ['hold', 'rank'] : [])),
  0,
) // after what is to be done now

const { code, nails, closing, closed, todays, open, nail, counts, marks, finished, goOn, go } = useNails(
  bench,
  () => pending.value.length === 0 && telling.value === 0,
)
const lastCut = computed(() => nail.value?.cuts[nail.value.cuts.length - 1])
const grinding = computed(() => bench.value?.tool.startsWith('grinder') ?? false)
const bleeding = ref(false)
const reckoning = computed(
  () => telling.value > 0 || (nail.value !== undefined && unanswered.value.has(nail.value.code) && !unreachable.value),
) // a moment: no cut by an advice that is out of date
const { pace, choose } = usePace(props.dogId, nail)
/** The space bar, the letters and the pedal belong to the nail, not to what was pressed last. */
const letGo = () => (document.activeElement as HTMLElement | null)?.blur()
function choosePace(p: Schemas['Pace']) {
  choose(p)
  letGo()
}
/** Nails that were clipped and are taken up again with the grinder. */
const again = ref(new Set<string>())
const trimming = computed(
  () =>
    nail.value !== undefined &&
    ((!closed(nail.value) && nail.value.asks !== undefined) || (grinding.value && again.value.has(nail.value.code))),
)
/** Nails that a press took to the first sign, and that are gone on with from there, step by step. */
const toTheDot = ref(new Set<string>())
/** How the nail in hand is gone through. */
const way = computed(() => {
  if (!trimming.value) return 'rest'
  if (grinding.value) return 'grind'
  return pace.value === 'press' && nail.value!.advice.plan.cuts_mm.length > 0 && !toTheDot.value.has(nail.value!.code)
    ? 'press'
    : 'steps'
})
const press = useTemplateRef('press')
const steps = useTemplateRef('steps')
const grind = useTemplateRef('grind')

/** Begun while the server is away: what was told is kept, and this says so. */
const unread = computed(
  () => refusal.value ?? (unreachable.value ? new Refusal(0, $t('bench.fribbet_does_not_answer'), []) : null),
)

/** What is to be done with a nail that nothing is asked of: leave it, go on, or end. */
const rest = computed(() => {
  const n = nail.value
  if (!n) return { words: '', does: () => {} }
  if (!closed(n) && n.today) return { words: $t('bench.leave_it'), does: finish }
  return open.value
    ? { words: $t('bench.next', { code: open.value.code }), does: () => (code.value = open.value?.code) }
    : { words: $t('bench.end_the_trim'), does: () => void end() }
})
const does = computed(
  () =>
    ({
      press: () => press.value?.tell(),
      steps: () => steps.value?.next(),
      grind: () => grind.value?.next(),
      rest: () => rest.value.does(),
    })[way.value],
)

/** A whole nail in one press: its cuts, what the end shows, and that it is done; undone as one. */
function told(cuts: number[], face: Schemas['Face'] | undefined, goesOn = false) {
  const n = nail.value
  if (!n || closed(n)) return
  const press = crypto.randomUUID()
  const all: Told[] = cuts.map(mm => ({ kind: 'cut', id: crypto.randomUUID(), press, nail: n.code, mm }))
  if (face) all.push({ kind: 'face', press, nail: n.code, of: all.at(-1)!.id, face })
  if (goesOn) toTheDot.value.add(n.code)
  else if (face !== 'blood')
    all.push({ kind: 'done', press, nail: n.code, ...(face ? {} : { end: 'before' as const }) })
  void tell(...all)
  if (face === 'blood') bleeding.value = true
  else if (!goesOn) goOn(n)
}
const { answer, heard } = useAnswers(bench)
/** The rest of a paw is left for another day: what was cut is done, the others are left out, in one press. */
function leavePaw(p: Schemas['Paw']) {
  heard()
  const press = crypto.randomUUID()
  const rest = nails.value.filter(n => n.code.startsWith(p) && !closed(n) && (n.today || n.cuts.length > 0))
  void tell(...rest.map((n): Told => ({ kind: n.cuts.length > 0 ? 'done' : 'skipped', press, nail: n.code })))
  for (const n of rest) closing.value.add(n.code)
  code.value = open.value?.code ?? code.value
}
const { asks: asksArrival, arrival, pass: passArrival } = useArrival(bench, props.sittingId, tell)
const about = (kind: Schemas['EventKind'], more: Partial<Told> = {}) =>
  nail.value && void tell({ kind, nail: nail.value.code, ...more })
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
function stanched() {
  bleeding.value = false
  finish()
}
function endHeard() {
  heard()
  void end()
}
function undoHeard() {
  undo()
  heard()
}
function takeTool(value: string) {
  const piece = kit.value?.items.find(i => i.id === value)
  void tell({ kind: 'tool', tool: piece?.tool ?? (value as Schemas['Tool']), item_id: piece?.id })
  letGo()
}
watch(
  () => nail.value && `${nail.value.code}: ${nail.value.advice.because}`,
  words => words && speak(words),
)

const enough = computed(() =>
  counts.value.left > 0 && counts.value.done > 0 ? $t('bench.enough_for_today') : $t('bench.end_the_trim'),
)
useBenchKeys(() => {
  if (!nail.value || bleeding.value || answer.value) return undefined
  const { faces } = nail.value
  return {
    next: does.value,
    answer: {
      press: (place: number) => faces[place] && press.value?.tell(faces[place]),
      steps: (place: number) => steps.value?.answer(place),
      grind: (place: number) => grind.value?.answer(place),
      rest: undefined,
    }[way.value],
    letters: {
      PageUp: atSign,
      '+': () => press.value?.step(1),
      '-': () => press.value?.step(-1),
      m: () => press.value?.goOn(),
      t: () => grind.value?.touch(),
      w: () => grind.value?.nextPass(),
      e: () => about('edges'),
      s: finish,
      n: () => go(1),
      p: () => go(-1),
      u: undo,
      b: blood,
    },
  }
})
</script>

<template>
  <div class="screen bench-screen" :aria-busy="telling > 0">
    <AnswerState v-if="!bench || !nail" :error="unread" :what="$t('bench.the_trim')" @again="flush()" />
    <template v-else>
      <div class="screen-head">
        <h1 dir="auto">{{ bench.name }}</h1>
        <div class="aside">
          <label for="tool" class="visually-hidden">{{ $t('bench.tool') }}</label>
          <BFormSelect
            id="tool"
            :model-value="bench.item_id ?? bench.tool"
            :options="toolChoices(kit)"
            @update:model-value="takeTool(String($event))"
          />
        </div>
      </div>
      <KeptNotice :pending="pending.length" :unreachable="unreachable" />
      <p v-if="bench.last_note && counts.done === 0" class="last-note">
        <strong>{{ $t('bench.last_time') }}</strong> <bdi>{{ bench.last_note }}</bdi>
      </p>
      <ArrivalRow v-if="asksArrival" v-model="arrival" pass @passed="passArrival" />
      <CompanionBar :bench="bench" :place="todays.findIndex(n => n.code === nail!.code) + 1" :of="todays.length" />
      <div class="work">
        <section class="nail" :aria-label="$t('bench.nail', { code: nail.code })">
          <NailHead :nail="nail" :pace="pace" :paces="!grinding" @pace="choosePace" />
          <p v-if="bench.read_dry && way !== 'rest'" class="dry">{{ bench.read_dry }}</p>
          <p v-if="bench.eye && way !== 'rest'" class="dry">{{ bench.eye }}</p>
          <PressNail
            v-if="way === 'press'"
            ref="press"
            :key="`press ${nail.code}`"
            :dog-id="dogId"
            :nail="nail"
            @told="told"
          />
          <StepNail
            v-else-if="way === 'steps'"
            ref="steps"
            :key="`steps ${nail.code}`"
            :dog-id="dogId"
            :sitting-id="sittingId"
            :nail="nail"
            :reckoning="reckoning"
            @colour="about('colour', { colour: $event })"
            @landmark="(landmark, mm) => about('landmark', { landmark, mm, by: 'eye' })"
            @unclear="about('unclear')"
            @cut="cut"
            @face="showed"
            @smooth="finish"
          />
          <GrindNail
            v-else-if="way === 'grind'"
            ref="grind"
            :key="`grind ${nail.code}`"
            :bench="bench"
            :nail="nail"
            :reckoning="reckoning"
            @touch="touched"
            @face="showed"
            @smooth="finish"
          />
          <RestNail
            v-else
            :nail="nail"
            :closed="closed(nail)"
            :grindable="grinding && clipped(nail)"
            :next="rest"
            @cut="cut"
            @take-up="again.add(nail.code)"
          />
          <NailActs
            :bench="bench"
            :nail="nail"
            :closed="closed(nail)"
            :finished="finished"
            :grinding="grinding"
            :enough="enough"
            @finish="finish"
            @edges="about('edges')"
            @undo="undo"
            @blood="blood"
            @end="end()"
            @ground="tell({ kind: 'ground', paw: $event })"
            @smooth="tell({ kind: 'smooth', paw: $event })"
            @reaction="about('reaction', { reaction: $event })"
          />
          <MoreTold :nail="nail" :note="bench.note" @about="about" @note="tell({ kind: 'note', note: $event })" />
        </section>
        <BesideNail
          v-if="beside.length > 0"
          :bench="bench"
          :code="nail.code"
          :marks="marks"
          :counts="counts"
          :ranked="beside.length > 1"
          :enough="enough"
          @select="code = $event"
          @end="end"
        />
      </div>
      <RefusalNote :error="refusal" />
      <AsideTold v-for="one in aside" :key="one.order" :one="one" @settle="settleAside(one, $event)" />
      <ReactionPanel
        v-if="answer && !bleeding && !leaving"
        :key="answer.told"
        :answer="answer"
        :name="bench.name"
        :done="counts.done"
        :of="todays.length"
        @end="endHeard"
        @leave="leavePaw(answer.paw!)"
        @go-on="heard()"
        @undo="undoHeard"
      />
      <BloodPanel
        v-if="bleeding && nail.blood"
        :nail="nail"
        :remedy="bench.remedy"
        :hold="bench.hold_seconds"
        :stops="bench.stops_seconds"
        @stopped="tell({ kind: 'blood_stopped', nail: nail.code })"
        @bleeding="tell({ kind: 'still_bleeding', nail: nail.code })"
        @end="end()"
        @hide="bleeding = false"
        @close="stanched"
      />
    </template>
  </div>
</template>

<style scoped>
.screen-head {
  align-items: center;
  margin-bottom: 0.5rem;
}
.aside select {
  max-width: 20rem;
  width: auto;
}
.work {
  display: grid;
  gap: 1.25rem 2.5rem;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
}
.last-note {
  border-left: var(--bar) solid var(--go);
  margin: 0 0 0.4rem;
  padding-left: 0.6rem;
}
.dry {
  border-left: var(--bar) solid var(--caution-edge);
  margin: 0 0 0.3rem;
  padding-left: 0.6rem;
}
@media (max-width: 700px) {
  .bench-screen {
    padding-bottom: 5.5rem;
  }
}
@media (max-width: 900px) {
  .screen-head {
    flex-wrap: nowrap;
  }
  .aside {
    flex-wrap: nowrap;
    max-width: 55%;
  }
  .screen-head h1 {
    flex: 1;
  }
  .aside select {
    max-width: 100%;
  }
  .work {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
