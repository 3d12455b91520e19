<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal, type Schemas } from '../api/client'
import { useKit } from '../api/kit'
import { useSettings } from '../api/queries'
import { useBench } from '../local/bench'
import { act, isTyping, onKey } from '../local/keys'
import { useNarrow } from '../local/narrow'
import { speak, spoken } from '../local/speech'
import { toolChoices } from '../local/tools'
import AnswerState from '../parts/AnswerState.vue'
import AppIcon from '../parts/AppIcon.vue'
import CautionList from '../parts/CautionList.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import RankPicture from '../rank/RankPicture.vue'
import { useUnits } from '../units'
import { endPoints, faces, nailInWords, reactions } from '../words'
import BloodPanel from './bench/BloodPanel.vue'
import FacePicture from './bench/FacePicture.vue'
import NumberTold from './bench/NumberTold.vue'
import NailUnderHands from './bench/NailUnderHands.vue'
import TouchClock from './bench/TouchClock.vue'

const props = defineProps<{ dogId: string; sittingId: string }>()
const router = useRouter()
const cache = useQueryClient()
const narrow = useNarrow()
const { length } = useUnits()
const { data: kit } = useKit()
const settings = useSettings()
const { bench, pending, aside, unreckoned, refusal, unreachable, tell, settleAside, flush, forget } = useBench(props.dogId, props.sittingId)

const code = ref<string>()
const clock = useTemplateRef('clock')
const nails = computed(() => bench.value?.nails ?? [])
const closed = (n: Schemas['BenchNail']) => n.done || n.skipped || n.blood
/** Where the sitting goes on: the first of today's nails that is not finished. */
const open = computed(() => nails.value.find((n) => n.today && !closed(n)))
const nail = computed(() => nails.value.find((n) => n.code === code.value) ?? open.value ?? nails.value[0])
const lastCut = computed(() => nail.value?.cuts[nail.value.cuts.length - 1])
const grinding = computed(() => bench.value?.tool.startsWith('grinder') ?? false)
const bleeding = ref(false)
const marks = computed(() => Object.fromEntries(nails.value.map((n) => [n.code, n.blood ? 'blood' : n.done ? 'done' : n.skipped || !n.today ? 'left' : 'planned'])))
const counts = computed(() => ({ done: nails.value.filter((n) => n.done || (n.blood && n.cuts.length > 0)).length, left: nails.value.filter((n) => n.today && !closed(n)).length }))
watch(nails, (all) => {
  if (!code.value && all.length > 0) code.value = bench.value?.last?.nail ?? (open.value ?? all[0]).code
})

/** Begun while the server is away: what was told is kept, and this says so. */
const unread = computed(() => refusal.value ?? (unreachable.value ? new Refusal(0, 'Fribbet does not answer.', []) : null))

/** The one next thing, as words and as what a press does. */
const step = computed(() => {
  const n = nail.value
  if (!n) return { words: '', does: () => {} }
  if (closed(n) || settings.data.value?.veterinary_states.includes(n.state)) {
    return open.value ? { words: `Next: ${open.value.code}`, does: () => (code.value = open.value?.code) } : { words: 'End the sitting', does: end }
  }
  if (unreckoned.value.has(n.code) && !unreachable.value) return { words: '…', does: () => {} } // a moment: no cut by an advice that is out of date
  if (n.advice.action === 'ask') return { words: 'Tell where the groove ends', does: () => document.getElementById('bench-number')?.focus() }
  if (n.advice.action === 'stop') return { words: n.cuts.length > 0 ? 'Smooth it: done' : 'Leave it', does: finish }
  const mm = length.value.show(n.advice.cut_mm)
  return n.advice.action === 'touch' ? { words: `Touch ${mm}, look`, does: () => touch() } : { words: `Cut ${mm}, look`, does: cut }
})
function cut() {
  if (nail.value) void tell({ kind: 'cut', nail: nail.value.code, mm: nail.value.advice.cut_mm })
}
function touch() {
  if (grinding.value) clock.value?.touch()
  else touched()
}
function touched() {
  if (nail.value && bench.value) void tell({ kind: 'touch', nail: nail.value.code, mm: bench.value.touch_mm })
}
function showed(face: Schemas['Face']) {
  if (!nail.value || !lastCut.value) return
  if (face === 'blood') bleeding.value = true
  void tell({ kind: 'face', nail: nail.value.code, of: lastCut.value.id, face })
}
/** This nail is finished: done if something came off, else left out; and the next one comes to hand. */
function finish() {
  const n = nail.value
  if (!n) return
  if (!closed(n)) void tell({ kind: n.cuts.length > 0 ? 'done' : 'skipped', nail: n.code })
  const next = nails.value.find((other) => other.today && !closed(other) && other.code !== n.code)
  code.value = next?.code ?? n.code
}
function go(by: number) {
  const at = nails.value.findIndex((n) => n.code === nail.value?.code)
  code.value = nails.value[Math.min(nails.value.length - 1, Math.max(0, at + by))]?.code
}
function blood() {
  if (!nail.value) return
  bleeding.value = true
  if (!nail.value.blood) void tell({ kind: 'blood', nail: nail.value.code })
}
function react(reaction: Schemas['Reaction']) {
  if (nail.value) void tell({ kind: 'reaction', nail: nail.value.code, reaction })
}
function undo() {
  const last = bench.value?.last
  if (!last) return
  if (last.nail) code.value = last.nail
  bleeding.value = false
  void tell({ kind: 'undone', of: last.id })
}
function takeTool(value: string) {
  const piece = kit.value?.items.find((i) => i.id === value)
  void tell({ kind: 'tool', tool: piece?.tool ?? (value as Schemas['Tool']), item_id: piece?.id })
}
const leaving = ref(false)
async function end() {
  await tell({ kind: 'ended' })
  leaving.value = true
  await flush()
}
watch([leaving, pending], () => {
  if (!leaving.value || pending.value.length > 0) return
  forget()
  void cache.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'settings' })
  void router.replace(`/dogs/${props.dogId}/saved/${props.sittingId}`)
})
watch(() => nail.value && `${nail.value.code}: ${step.value.words}`, (words) => words && speak(words))

onKey((event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || !nail.value || bleeding.value) return
  const onButton = event.target instanceof HTMLElement && event.target.closest('button, a, summary')
  if (event.key === ' ' && onButton) return
  const face = nail.value.faces['1234567'.indexOf(event.key)]
  if (face) return act(event, () => showed(face))
  const keys: Record<string, () => void> = {
    ' ': step.value.does, PageDown: step.value.does, PageUp: finish, t: touch, s: finish,
    n: () => go(1), p: () => go(-1), u: undo, b: blood,
  }
  const does = keys[event.key] ?? keys[event.key.toLowerCase()]
  if (does) act(event, does)
})
</script>

<template>
  <div class="screen bench-screen">
    <AnswerState v-if="!bench || !nail" :error="unread" what="the sitting" @again="flush()" />
    <template v-else>
      <div class="screen-head">
        <h1 dir="auto">{{ bench.name }}</h1>
        <div class="aside">
          <label for="tool" class="visually-hidden">Tool</label>
          <BFormSelect id="tool" :model-value="bench.item_id ?? bench.tool" :options="toolChoices(kit)" @update:model-value="takeTool(String($event))" />
        </div>
      </div>
      <p v-if="unreachable || pending.length > 0" class="kept" role="status"><strong>Kept here, not yet saved</strong>: {{ pending.length }} {{ pending.length === 1 ? 'tap' : 'taps' }}<template v-if="unreachable">. Fribbet does not answer; they go when it is back</template>.</p>
      <div class="work">
        <section class="nail" :aria-label="`Nail ${nail.code}`">
          <div class="head"><span class="code">{{ nail.code }}</span><span>{{ nailInWords(nail.code) }}<br /><span class="soft small">{{ nail.cuts.length }} {{ nail.cuts.length === 1 ? 'cut' : 'cuts' }}, {{ length.show(nail.removed_mm) }} off · {{ endPoints[bench.stop] }}</span></span>
            <FacePicture v-if="lastCut" :face="lastCut.face" :light="nail.colour === 'light'" class="last" />
          </div>
          <NailUnderHands :nail="nail" />
          <p class="why">
            <template v-if="unreckoned.has(nail.code) && !unreachable">Reckoning with what you told…</template>
            <template v-else><template v-if="nail.advice.action === 'sliver' || nail.advice.action === 'touch'">{{ nail.advice.because }}. <template v-if="nail.advice.slivers > 1">Up to <strong>{{ nail.advice.slivers }}</strong> more. </template><template v-if="nail.advice.chance">That the next one bleeds: <strong>{{ nail.advice.chance }}</strong>.</template></template>
            <template v-else>{{ nail.advice.because }}.</template></template>
            <button v-if="nail.advice.action === 'stop' && nail.advice.kind === 'leave' && nail.advice.cut_mm > 0 && !closed(nail)" type="button" class="anyway" @click="cut">take {{ length.show(nail.advice.cut_mm) }} all the same</button>
          </p>
          <BButton variant="go" class="next" @click="step.does">{{ step.words }} <kbd v-if="!narrow">Space</kbd></BButton>
          <TouchClock v-if="grinding && !closed(nail)" ref="clock" :key="`clock ${nail.code}`" :touches="nail.cuts.filter((c) => c.touch).length" :seconds="bench.contact_seconds" :cooling="bench.cooling_seconds" :passes="bench.passes" :speed="bench.speed" @touch="touched" />
          <div v-if="lastCut && !nail.blood" :class="['faces', { both: nail.faces.length > 5 }]" role="group" aria-label="What the face shows">
            <button v-for="(f, i) in nail.faces" :key="f" type="button" :aria-pressed="lastCut.face === f" @click="showed(f)"><FacePicture :face="f" :light="nail.colour === 'light' || f === 'blush' || f === 'pink_dot'" /><span>{{ faces[f] }}</span><kbd v-if="!narrow">{{ i + 1 }}</kbd></button>
          </div>
          <div class="acts">
            <BButton variant="plain" class="act" @click="finish">Stop this nail <kbd>S</kbd></BButton>
            <BButton variant="plain" class="act" :disabled="!bench.last" @click="undo">Undo <kbd>U</kbd></BButton>
            <BButton variant="plain" class="act drop" @click="blood"><AppIcon name="blood" />Blood <kbd>B</kbd></BButton>
          </div>
          <NumberTold :key="nail.code" :nail="nail" @seen="(landmark, mm, by) => tell({ kind: 'landmark', nail: nail!.code, landmark, mm, by })" @measured="(measure, mm, by) => tell({ kind: 'measured', nail: nail!.code, measure, mm, by })" />
          <div class="choices" role="group" aria-label="How it took it">
            <button v-for="(words, r) in reactions" :key="r" type="button" :aria-pressed="nail.reaction === r" @click="react(r)">{{ words }}</button>
            <button type="button" :aria-pressed="nail.forced" @click="tell({ kind: 'force', nail: nail!.code })">it took force</button>
          </div>
        </section>
        <div class="side">
          <RankPicture :rank="bench.rank_before" :size="narrow ? 'narrow' : 'medium'" stacked :selected="nail.code" :marks="marks" @select="code = $event" />
          <CautionList :cautions="bench.cautions" />
          <ul class="mind small" aria-label="With this tool"><li v-for="words in bench.mind" :key="words">{{ words }}</li></ul>
          <p class="tally" aria-live="polite"><strong>{{ counts.done }}</strong> done · <strong>{{ counts.left }}</strong> to go today</p>
          <BButton variant="plain" class="btn-big" @click="end">End the sitting</BButton>
          <BButton variant="plain" :aria-pressed="spoken" class="voice" @click="spoken = !spoken">{{ spoken ? 'Spoken prompts are on' : 'Spoken prompts are off' }}</BButton>
        </div>
      </div>
      <RefusalNote :error="refusal" />
      <div v-for="one in aside" :key="one.order" class="kept aside-told" role="alert">
        <strong>{{ one.event.nail }}: not in the book.</strong> {{ one.why }}
        <BButton v-if="one.event.mm !== undefined" variant="plain" @click="settleAside(one, true)">It is {{ length.show(one.event.mm) }}: keep it</BButton>
        <BButton variant="plain" @click="settleAside(one, false)">Forget it</BButton>
      </div>
      <BloodPanel
        v-if="bleeding && nail.blood" :nail="nail" :remedy="bench.remedy" :hold="bench.hold_seconds" :stops="bench.stops_seconds" @stopped="tell({ kind: 'blood_stopped', nail: nail.code })"
        @bleeding="tell({ kind: 'still_bleeding', nail: nail.code })" @end="end" @hide="bleeding = false" @close="bleeding = false; finish()"
      />
    </template>
  </div>
</template>

<style scoped>
.screen-head { align-items: center; margin-bottom: 0.5rem; }
.aside select { max-width: 20rem; width: auto; }
.kept { background: var(--caution-ground); border-left: var(--bar) solid var(--caution-edge); margin: 0 0 0.5rem; padding: 0.35rem 0.75rem; }
.work { display: grid; gap: 1.25rem 2.5rem; grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr); }
.head { align-items: center; display: flex; gap: 0.9rem; line-height: 1.25; }
.last { margin-left: auto; }
.code { font-size: 2.25rem; font-weight: 700; line-height: 1; min-width: 5rem; }
.why { margin: 0.25rem 0 0.5rem; }
/* Written within sentences elsewhere. */
.why::first-letter { text-transform: uppercase; }
.anyway { background: none; border: 0; color: var(--go); min-height: 44px; text-decoration: underline; text-underline-offset: 3px; }
.next { font-size: 1.5rem; min-height: 84px; width: 100%; }
.faces { display: grid; gap: 0.4rem; grid-template-columns: repeat(5, minmax(0, 1fr)); margin-top: 0.5rem; }
.faces button { align-items: center; background: var(--sheet); border: 1px solid var(--line-strong); border-radius: 3px; color: var(--ink); display: flex; flex-direction: column; gap: 0.2rem; line-height: 1.15; min-height: 64px; padding: 0.4rem 0.2rem; }
.faces button[aria-pressed='true'] { background: var(--sunk); box-shadow: inset 0 -4px 0 var(--go); font-weight: 650; }
.faces.both { grid-template-columns: repeat(7, minmax(0, 1fr)); }
.aside-told { align-items: center; display: flex; flex-wrap: wrap; gap: 0.5rem; }
.choices { margin-top: 0.5rem; }
.acts { display: grid; gap: 0.4rem; grid-template-columns: repeat(3, 1fr); margin-block: 0.5rem; }
.act { flex-wrap: wrap; gap: 0 0.4rem; line-height: 1.2; min-height: 64px; padding-inline: 0.3rem; }
.drop { color: var(--quick-text); }
.side { align-self: start; }
.mind { color: var(--ink-soft); margin-top: 0.5rem; }
.mind li { border-left: var(--bar) solid var(--caution-edge); margin-bottom: 0.25rem; padding-left: 0.6rem; }
.tally { margin: 0.75rem 0; }
.side .btn { width: 100%; }
.voice { margin-top: 0.5rem; }

@media (max-width: 900px) {
  .screen-head { flex-wrap: nowrap; }
  .aside { flex-wrap: nowrap; max-width: 55%; }
  .screen-head h1 { flex: 1; }
  .aside select { max-width: 100%; }
  .work { grid-template-columns: minmax(0, 1fr); }
  .code { font-size: 1.75rem; min-width: 4rem; }
  .act kbd { display: none; }
  .next { font-size: 1.375rem; min-height: 72px; }
  .why { font-size: var(--small); }
  .faces { gap: 0.25rem; }
  .faces.both { grid-template-columns: repeat(4, minmax(0, 1fr)); }
  .faces span { font-size: var(--small); }
}
</style>
