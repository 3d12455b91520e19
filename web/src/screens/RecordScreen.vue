<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal, type Schemas } from '../api/client'
import { useKit } from '../api/kit'
import { usePlan, useRecordSitting, useSettings } from '../api/queries'
import { dayOf } from '../dates'
import { $t } from '../i18n'
import { useCaliper } from '../local/caliper'
import { sittingOf, useDraft, type NailDraft } from '../local/drafts'
import { asides, waiting } from '../local/outbox'
import { today } from '../local/day'
import { act, onKey } from '../local/keys'
import { useNarrow } from '../local/narrow'
import { toolChoices } from '../local/tools'
import AnswerState from '../parts/AnswerState.vue'
import ArrivalRow from '../parts/ArrivalRow.vue'
import CautionList from '../parts/CautionList.vue'
import KeptNote from '../parts/KeptNote.vue'
import RefusalNote from '../parts/RefusalNote.vue'
import StandInCaliper from '../parts/StandInCaliper.vue'
import ThereAlready from '../parts/ThereAlready.vue'
import RankPicture from '../rank/RankPicture.vue'
import { number } from '../units'
import { howFar, reactions } from '../words'
import NailPanel from './record/NailPanel.vue'

const props = defineProps<{ dogId: string }>()
const router = useRouter()
// What is written down afterwards was done with whoever was there.
const { data: plan, error: unread, refetch } = usePlan(() => props.dogId, true)
const { data: kit } = useKit()
const { mutateAsync, isPending, error, reset } = useRecordSitting(() => props.dogId)
const store = useDraft(props.dogId)
const resumed = ref(false)
/** The day of a sitting that was on its way when this browser was last here, and is in the book now. */
const arrived = ref('')
watch(plan, (p) => {
  if (!p) return
  resumed.value = store.begin(p)
  if (store.draft?.sent) void arrive()
}, { immediate: true })

/** What was sent and never answered is sent again, as it was: it is not this sitting's to go on with. */
async function arrive() {
  const { day, id } = store.draft!
  const waits = (await waiting(id)).length > 0
  if (!waits && (await asides(id)).length > 0) return // it was refused: it is gone on with
  try {
    if (waits) await mutateAsync(sittingOf(store.draft!, number))
  } catch {
    return // not there: the screen says why, and it is gone on with
  }
  arrived.value = day
  store.drop()
  const again = await refetch()
  if (again.data) resumed.value = store.begin(again.data)
}

const panel = useTemplateRef('panel')
const draft = computed(() => store.draft)
const nail = computed(() => draft.value?.nails[draft.value.current])
const planned = computed(() => plan.value?.nails.find((n) => n.code === nail.value?.code))
const bar = computed(() => plan.value?.rank.bars.find((b) => b.code === nail.value?.code))
const marks = computed(() => Object.fromEntries((draft.value?.nails ?? []).map((n) => [n.code, n.blood ? 'blood' : n.mark])))
const count = (mark: string) => Object.values(marks.value).filter((m) => m === mark).length
const trimmed = computed(() => count('done') + count('blood'))
/** Today's nails of which nothing was told yet: none of them counts as done until somebody says so. */
const untold = computed(() => count('planned'))
const begun = computed(() => untold.value === 0 || resumed.value || store.past.length > 0)
const unreachable = computed(() => error.value instanceof Refusal && error.value.unreachable)
/** What the server refused for the nail that is in hand. */
const refused = computed(() => {
  if (!(error.value instanceof Refusal) || !draft.value) return []
  return error.value.errors.filter((e) => e.field.startsWith(`records[${draft.value!.current}].`))
})

const narrow = useNarrow()

/** Another nail comes to hand; a number still standing in the field belongs to the one before. */
function goTo(index: number) {
  if (panel.value?.settle() !== false) store.goTo(index)
}
function startOver() {
  store.drop()
  resumed.value = store.begin(plan.value!)
}
const { data: settings } = useSettings()
const { trouble, linked } = useCaliper((mm) => panel.value?.measured(mm))
const next = () => goTo((draft.value?.current ?? 0) + 1)
const choose = (code: string) => goTo(draft.value!.nails.findIndex((n) => n.code === code))

function asPlanned() {
  store.change((d) => {
    const n = d.nails[d.current]
    n.mark = n.cuts_mm.length > 0 ? 'done' : 'left'
    n.blood = false
  })
  next()
}
const paws: Schemas['Paw'][] = ['LF', 'RF', 'LH', 'RH']
/** The grinder of the kit, if there is one: what was clipped may have been ground round. */
const grinder = computed(() => kit.value?.items.find((i) => i.tool?.startsWith('grinder')))
function groundRound(paw: Schemas['Paw']) {
  store.change((d) => {
    const others = (d.ground?.paws ?? []).filter((p) => p !== paw)
    const all = others.length === (d.ground?.paws.length ?? 0) ? [...others, paw] : others
    d.ground = all.length > 0 ? { paws: all, tool: grinder.value!.tool!, item_id: grinder.value!.id } : undefined
  })
}
function allAsPlanned() {
  store.change((d) => {
    for (const n of d.nails) if (n.mark === 'planned') n.mark = 'done'
  })
}
/** A day's few nails: the rest of the plan was left for another day. */
function onlyTodays() {
  store.change((d) => {
    for (const n of d.nails) if (n.mark === 'planned') n.mark = n.today ? 'done' : 'left'
  })
}
const later = computed(() => (draft.value?.nails ?? []).filter((n) => n.mark === 'planned' && !n.today).length)
const todays = computed(() => (draft.value?.nails ?? []).filter((n) => n.mark === 'planned' && n.today).length)
function leaveOut() {
  store.change((d) => Object.assign(d.nails[d.current], { mark: 'left', blood: false }))
  next()
}
/** It bled: a nail that was to be left has been cut after all, by a cut that nobody told until somebody does. */
function bled() {
  store.change((d) => {
    const n = d.nails[d.current]
    n.blood = !n.blood
    if (n.blood) n.mark = 'done'
    if (n.blood && n.cuts_mm.length === 0) n.cuts_mm = [plan.value!.nails.find((p) => p.code === n.code)!.untold_mm]
  })
}
function nextReaction() {
  const all = Object.keys(reactions) as (keyof typeof reactions)[]
  store.change((d) => {
    const n = d.nails[d.current]
    n.reaction = all[(n.reaction ? all.indexOf(n.reaction) + 1 : 0) % all.length]
  })
}
const taken = computed(() => (kit.value?.items.some((i) => i.id === nail.value?.item_id) ? nail.value!.item_id : nail.value?.tool))
/** Another tool serves the nail in hand and those that are still to come. */
function takeTool(value: string) {
  const piece = kit.value?.items.find((i) => i.id === value)
  const tool = piece?.tool ?? (value as NailDraft['tool'])
  store.change((d) => {
    for (const n of d.nails) if (n.mark !== 'done' || n.code === nail.value!.code) Object.assign(n, { tool, item_id: piece?.id })
  })
}
const mind = computed(() => plan.value?.tool_cautions.find((c) => c.tool === nail.value?.tool)?.words ?? [])
const refusedTime = computed(() => (error.value instanceof Refusal ? error.value.errors.filter((e) => e.field.endsWith('minutes')) : []))
function undo() {
  reset()
  store.undo()
}
function save() {
  if (!draft.value || !begun.value || isPending.value || panel.value?.settle() === false) return
  const id = draft.value.id
  store.send(true)
  mutateAsync(sittingOf(draft.value, number)).then( // also when this screen was left meanwhile
    () => {
      store.drop()
      if (router.currentRoute.value.path.endsWith('/record')) void router.replace(`/dogs/${props.dogId}/saved/${id}`)
    },
    (e) => {
      if (!(e instanceof Refusal && e.unreachable)) store.send(false) // else it waits, and goes by itself
      const first = e instanceof Refusal ? /^records\[(\d+)\]/.exec(e.errors[0]?.field ?? '') : null
      if (first) goTo(Number(first[1]))
    },
  )
}
const there = computed(() => error.value instanceof Refusal && error.value.status === 409)
function keepTheirs() {
  const id = draft.value!.id
  store.drop()
  void router.replace(`/dogs/${props.dogId}/saved/${id}`)
}
function saveAnother() {
  store.change((d) => (d.id = crypto.randomUUID()))
  save()
}

onKey((event) => {
  const inNumber = event.target instanceof HTMLInputElement && event.target.id === 'number'
  const elsewhere = event.target instanceof HTMLElement && !inNumber && event.target.closest('input, select, textarea, button, summary, a')
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) return act(event, save)
  if (elsewhere || event.ctrlKey || event.metaKey || event.altKey || !draft.value) return
  // A number that is being typed keeps its keys: a caliper may send a space and a unit before its Enter.
  if (inNumber && event.target.value !== '' && !event.key.startsWith('Page')) return
  const keys: Record<string, () => void> = {
    ' ': asPlanned, a: allAsPlanned, s: leaveOut, b: bled, r: nextReaction, n: next, p: () => goTo(draft.value!.current - 1), u: undo, f: () => store.change((d) => (d.nails[d.current].took_force = !d.nails[d.current].took_force)),
    PageDown: asPlanned, PageUp: () => goTo(draft.value!.current - 1),
  }
  const does = keys[event.key] ?? keys[event.key.toLowerCase()]
  if (does) act(event, does)
  else if (/^[0-9.,]$/.test(event.key) && !inNumber) panel.value?.focus()
})
</script>

<template>
  <div class="screen record">
    <AnswerState v-if="!plan || !draft || !nail || !planned || !bar" :error="unread" :what="$t('record.todays_plan')" @again="refetch()" />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1 dir="auto">{{ plan.name }}</h1>
          <p v-if="arrived" class="resumed" role="status">{{ $t('record.the_trim_of_which_was', { arrived: dayOf(arrived) }) }}</p>
          <p v-else-if="!resumed" class="soft lead">{{ $t('record.say_what_was_different_then') }}</p>
          <p v-else class="resumed" role="status">{{ $t('record.going_on_where_you_were') }}<template v-if="draft.day !== today()">{{ $t('record.on', { day: dayOf(draft.day) }) }}</template>. <button type="button" @click="startOver">{{ $t('record.start_over') }}</button></p>
        </div>
        <div class="aside tool">
          <label for="tool" aria-hidden="true">{{ $t('record.tool') }}</label>
          <BFormSelect id="tool" :aria-label="$t('record.tool')" :model-value="taken" :options="toolChoices(kit)" @update:model-value="takeTool(String($event))" />
        </div>
      </div>
      <CautionList :cautions="plan.cautions" />
      <div class="choices far" role="group" :aria-label="$t('record.how_far_did_you_go')"><span>{{ $t('record.how_far_did_you_go') }}</span>
        <button v-for="(words, far) in howFar" :key="far" type="button" :aria-pressed="draft.far === far" @click="store.change((d) => (d.far = d.far === far ? undefined : far))">{{ words }}</button>
      </div>
      <p class="soft small far-why">{{ draft.far ? $t('record.cuts_that_you_take_over') : $t('record.without_it_both_are_kept') }}</p>
      <ArrivalRow :model-value="draft.arrival" @update:model-value="store.change((d) => (d.arrival = $event))" />
      <div v-if="grinder" class="choices far" role="group" :aria-label="$t('record.ground_round_afterwards')"><span>{{ $t('record.ground_round_afterwards_2') }}</span>
        <button v-for="p in paws" :key="p" type="button" :aria-pressed="draft.ground?.paws.includes(p) ?? false" @click="groundRound(p)">{{ p }}</button>
      </div>
      <div class="bench">
        <div class="navigator">
          <RankPicture :rank="plan.rank" :size="narrow ? 'narrow' : 'medium'" stacked :selected="nail.code" :marks="marks" @select="choose" />
          <StandInCaliper v-if="settings?.demo && !narrow" :linked="linked" :trouble="trouble" />
          <p class="soft small legend">{{ $t('record.done_left_out_bled_the') }}</p>
        </div>
        <div class="hand">
          <NailPanel
            ref="panel" :key="nail.code" :nail="nail" :planned="planned" :bar="bar" :refused="refused"
            @planned="asPlanned" @left="leaveOut" @blood="bled" @tell="store.change((d) => Object.assign(d.nails[d.current], $event))" @next="next"
          />
          <ul class="mind small" :aria-label="$t('record.with_this_tool')"><li v-for="words in mind" :key="words">{{ words }}</li></ul>
        </div>
      </div>
      <ThereAlready v-if="there" :error="error!" :what="$t('record.trim')" @theirs="keepTheirs" @another="saveAnother" />
      <RefusalNote v-else-if="error && !unreachable" :error="error" :shown="['records[', 'minutes', 'calm_minutes']" />
      <KeptNote :error="error" :begun="begun" />
      <BButton v-if="later > 0 && todays > 0" variant="plain" class="rest" @click="onlyTodays">{{ $t('record.only_todays_as_planned', { todays }) }}</BButton>
      <BButton v-if="begun && untold > 0" variant="plain" class="rest" @click="allAsPlanned">{{ $t('record.all_as_planned_the_not', { untold }) }} <kbd>A</kbd></BButton>
      <div class="minutes">
        <label for="minutes">{{ $t('record.took_min') }}</label>
        <BFormInput id="minutes" :model-value="draft.minutes" inputmode="decimal" autocomplete="off" @update:model-value="store.change((d) => (d.minutes = String($event ?? '')))" />
        <label for="calm">{{ $t('record.calm_for_min') }}</label>
        <BFormInput id="calm" :model-value="draft.calm" inputmode="decimal" autocomplete="off" @update:model-value="store.change((d) => (d.calm = String($event ?? '')))" />
        <label v-if="plan.helping !== 'alone'" class="helped"><input type="checkbox" class="form-check-input" :checked="draft.helper" @change="store.change((d) => (d.helper = !d.helper))" /> {{ $t('record.with_a_helper') }}</label>
      </div>
      <p v-for="e in refusedTime" :key="e.field" class="refused" role="alert">{{ $t('record.you_gave', { field: e.field === 'minutes' ? $t('record.what_it_took') : $t('record.how_long_it_was_calm'), expected: e.expected, e: e.value }) }}</p>
      <label for="note" class="visually-hidden">{{ $t('record.note') }}</label>
      <BFormInput id="note" class="note" :model-value="draft.note" :placeholder="$t('record.note_for_next_time')" autocomplete="off" dir="auto" @update:model-value="store.change((d) => (d.note = String($event ?? '')))" />
      <div class="finish">
        <p class="tally" aria-live="polite"><strong>{{ trimmed }}</strong> {{ $t('record.trimmed') }}<template v-if="untold > 0"> · <strong>{{ untold }}</strong> {{ $t('record.not_said') }}</template><template v-else> · <strong>{{ count('left') }}</strong> {{ $t('record.left_out') }}</template><template v-if="count('blood')"> · <strong>{{ count('blood') }}</strong> {{ $t('record.bled') }}</template></p>
        <BButton variant="plain" :disabled="store.past.length === 0" @click="undo">{{ $t('record.undo') }}</BButton>
        <BButton v-if="!begun" variant="go" class="btn-big" @click="allAsPlanned">{{ $t('record.all_as_planned') }} <kbd>A</kbd></BButton>
        <BButton v-else variant="go" class="btn-big" :disabled="isPending" @click="save">{{ $t('record.save_the_trim') }}</BButton>
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead { margin: 0.15rem 0 0; }
.tool label { margin: 0; }
.tool select { max-width: 22rem; width: auto; }
.resumed { margin: 0.15rem 0 0; }
.resumed button { background: none; border: 0; color: var(--go); font-weight: 600; min-height: 32px; text-decoration: underline; text-underline-offset: 3px; }
.bench { display: grid; gap: 1.5rem 2.5rem; grid-template-columns: minmax(0, 1fr) minmax(26rem, 30rem); }
.navigator { background: var(--sheet); border: 1px solid var(--line); padding: 0.9rem 1rem; }
.legend { margin: 0.75rem 0 0; }
.mind { color: var(--ink-soft); margin-top: 0.75rem; }
.mind li { border-left: var(--bar) solid var(--caution-edge); margin-bottom: 0.25rem; padding-left: 0.6rem; }
.rest { margin-top: 0.75rem; min-height: 64px; }
.far { align-items: center; margin-top: 0.5rem; }
.far button { min-height: 56px; }
.far-why { margin: 0.25rem 0 0.75rem; }
.minutes { align-items: center; display: flex; flex-wrap: wrap; gap: 0.4rem 0.6rem; margin-top: 1rem; }
.minutes label { font-weight: 400; margin: 0; }
.minutes .form-control { width: 5rem; }
.helped { align-items: center; display: flex; gap: 0.5rem; min-height: 44px; }
.refused { color: var(--quick-text); font-weight: 600; margin: 0.25rem 0 0; }
.refused::before { content: '▲ '; }
.note { margin-top: 0.5rem; }
.finish { align-items: center; background: var(--paper); border-top: 2px solid var(--ink); bottom: 0; display: flex; gap: 1rem; margin-top: 1rem; padding-block: 0.6rem; position: sticky; }
.finish .btn { white-space: nowrap; }
.finish .tally { flex: 1; margin: 0; }

@media (max-width: 900px) {
  .lead, .legend { display: none; }
  .screen-head { flex-wrap: nowrap; margin-bottom: 0.25rem; }
  .tool { min-width: 0; }
  .tool label { display: none; }
  .screen-head > :first-child { flex: 1; min-width: 45%; }
  .tool select { max-width: 100%; }
  .bench { gap: 0.5rem; grid-template-columns: minmax(0, 1fr); }
  .navigator { padding: 0.4rem; }
  .finish { bottom: 60px; flex-wrap: wrap; gap: 0.5rem; padding-block: 0.4rem; }
  .finish .btn { max-width: 100%; white-space: normal; }
  .finish .btn-big { font-size: 1.05rem; padding-inline: 0.9rem; }
}
</style>
