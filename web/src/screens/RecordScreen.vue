<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next/components/BButton'
import { BFormInput } from 'bootstrap-vue-next/components/BFormInput'
import { BFormSelect } from 'bootstrap-vue-next/components/BFormSelect'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { Refusal } from '../api/client'
import { useKit } from '../api/kit'
import { usePlan, useRecordSitting, useSettings } from '../api/queries'
import { $t } from '../i18n'
import { useCaliper } from '../local/caliper'
import { sittingOf, useDraft, type NailDraft } from '../local/drafts'
import { asides, waiting } from '../local/outbox'
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
import { reactions } from '../words'
import FarChoice from './record/FarChoice.vue'
import GroundChoice from './record/GroundChoice.vue'
import NailPanel from './record/NailPanel.vue'
import ResumedLine from './record/ResumedLine.vue'
import SaveBar from './record/SaveBar.vue'
import TimeTold from './record/TimeTold.vue'

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
watch(
  plan,
  p => {
    if (!p) return
    resumed.value = store.begin(p)
    if (store.draft?.sent) void arrive()
  },
  { immediate: true },
)

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
const planned = computed(() => plan.value?.nails.find(n => n.code === nail.value?.code))
const bar = computed(() => plan.value?.rank.bars.find(b => b.code === nail.value?.code))
const marks = computed(() =>
  Object.fromEntries((draft.value?.nails ?? []).map(n => [n.code, n.blood ? 'blood' : n.mark])),
)
const count = (mark: string) => Object.values(marks.value).filter(m => m === mark).length
const trimmed = computed(() => count('done') + count('blood'))
/** Today's nails of which nothing was told yet: none of them counts as done until somebody says so. */
const untold = computed(() => count('planned'))
const begun = computed(() => untold.value === 0 || resumed.value || store.past.length > 0)
const unreachable = computed(() => error.value instanceof Refusal && error.value.unreachable)
/** What the server refused for the nail that is in hand. */
const refused = computed(() => {
  if (!(error.value instanceof Refusal) || !draft.value) return []
  return error.value.errors.filter(e => e.field.startsWith(`records[${draft.value!.current}].`))
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
const { trouble, linked } = useCaliper(mm => panel.value?.measured(mm))
const next = () => goTo((draft.value?.current ?? 0) + 1)
const choose = (code: string) => goTo(draft.value!.nails.findIndex(n => n.code === code))

const changeNail = (change: (n: NailDraft) => void) => store.change(d => change(d.nails[d.current]!))
function asPlanned() {
  changeNail(n => {
    n.mark = n.cuts_mm.length > 0 ? 'done' : 'left'
    n.blood = false
  })
  next()
}
function allAsPlanned() {
  store.change(d => {
    for (const n of d.nails) if (n.mark === 'planned') n.mark = 'done'
  })
}
/** A day's few nails: the rest of the plan was left for another day. */
function onlyTodays() {
  store.change(d => {
    for (const n of d.nails) if (n.mark === 'planned') n.mark = n.today ? 'done' : 'left'
  })
}
const later = computed(() => (draft.value?.nails ?? []).filter(n => n.mark === 'planned' && !n.today).length)
const todays = computed(() => (draft.value?.nails ?? []).filter(n => n.mark === 'planned' && n.today).length)
function leaveOut() {
  changeNail(n => Object.assign(n, { mark: 'left', blood: false }))
  next()
}
/** It bled: a nail that was to be left has been cut after all, by a cut that nobody told until somebody does. */
function bled() {
  changeNail(n => {
    n.blood = !n.blood
    if (n.blood) n.mark = 'done'
    if (n.blood && n.cuts_mm.length === 0) n.cuts_mm = [plan.value!.nails.find(p => p.code === n.code)!.untold_mm]
  })
}
function nextReaction() {
  const all = Object.keys(reactions) as (keyof typeof reactions)[]
  changeNail(n => {
    n.reaction = all[(n.reaction ? all.indexOf(n.reaction) + 1 : 0) % all.length]
  })
}
const taken = computed(() =>
  kit.value?.items.some(i => i.id === nail.value?.item_id) ? nail.value!.item_id : nail.value?.tool,
)
/** Another tool serves the nail in hand and those that are still to come. */
function takeTool(value: string) {
  const piece = kit.value?.items.find(i => i.id === value)
  const tool = piece?.tool ?? (value as NailDraft['tool'])
  store.change(d => {
    for (const n of d.nails)
      if (n.mark !== 'done' || n.code === nail.value!.code) Object.assign(n, { tool, item_id: piece?.id })
  })
}
const mind = computed(() => plan.value?.tool_cautions.find(c => c.tool === nail.value?.tool)?.words ?? [])
function undo() {
  reset()
  store.undo()
}
function save() {
  if (!draft.value || !begun.value || isPending.value || panel.value?.settle() === false) return
  const id = draft.value.id
  store.send(true)
  mutateAsync(sittingOf(draft.value, number)).then(
    // also when this screen was left meanwhile
    () => {
      store.drop()
      if (router.currentRoute.value.path.endsWith('/record')) void router.replace(`/dogs/${props.dogId}/saved/${id}`)
    },
    e => {
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
  store.change(d => (d.id = crypto.randomUUID()))
  save()
}

onKey(event => {
  const inNumber = event.target instanceof HTMLInputElement && event.target.id === 'number'
  const elsewhere =
    event.target instanceof HTMLElement &&
    !inNumber &&
    event.target.closest('input, select, textarea, button, summary, a')
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) return act(event, save)
  if (elsewhere || event.ctrlKey || event.metaKey || event.altKey || !draft.value) return
  // A number that is being typed keeps its keys: a caliper may send a space and a unit before its Enter.
  if (inNumber && event.target.value !== '' && !event.key.startsWith('Page')) return
  const keys: Record<string, () => void> = {
    ' ': asPlanned,
    a: allAsPlanned,
    s: leaveOut,
    b: bled,
    r: nextReaction,
    n: next,
    p: () => goTo(draft.value!.current - 1),
    u: undo,
    f: () => changeNail(n => (n.took_force = !n.took_force)),
    PageDown: asPlanned,
    PageUp: () => goTo(draft.value!.current - 1),
  }
  const does = keys[event.key] ?? keys[event.key.toLowerCase()]
  if (does) act(event, does)
  else if (/^[0-9.,]$/.test(event.key) && !inNumber) panel.value?.focus()
})
</script>

<template>
  <div class="screen record">
    <AnswerState
      v-if="!plan || !draft || !nail || !planned || !bar"
      :error="unread"
      :what="$t('record.todays_plan')"
      @again="refetch()"
    />
    <template v-else>
      <div class="screen-head">
        <div>
          <h1 dir="auto">{{ plan.name }}</h1>
          <ResumedLine :arrived="arrived" :resumed="resumed" :day="draft.day" @again="startOver" />
        </div>
        <div class="aside tool">
          <label for="tool" aria-hidden="true">{{ $t('record.tool') }}</label>
          <BFormSelect
            id="tool"
            :aria-label="$t('record.tool')"
            :model-value="taken"
            :options="toolChoices(kit)"
            @update:model-value="takeTool(String($event))"
          />
        </div>
      </div>
      <CautionList :cautions="plan.cautions" />
      <FarChoice :far="draft.far" @far="store.change(d => (d.far = $event))" />
      <ArrivalRow :model-value="draft.arrival" @update:model-value="store.change(d => (d.arrival = $event))" />
      <GroundChoice :kit="kit" :ground="draft.ground" @ground="store.change(d => (d.ground = $event))" />
      <div class="bench">
        <div class="navigator">
          <RankPicture
            :rank="plan.rank"
            :size="narrow ? 'narrow' : 'medium'"
            stacked
            :selected="nail.code"
            :marks="marks"
            @select="choose"
          />
          <StandInCaliper v-if="settings?.demo && !narrow" :linked="linked" :trouble="trouble" />
          <p class="soft small legend">{{ $t('record.done_left_out_bled_the') }}</p>
        </div>
        <div class="hand">
          <NailPanel
            ref="panel"
            :key="nail.code"
            :nail="nail"
            :planned="planned"
            :bar="bar"
            :refused="refused"
            @planned="asPlanned"
            @left="leaveOut"
            @blood="bled"
            @tell="changeNail(n => Object.assign(n, $event))"
            @next="next"
          />
          <ul class="mind small" :aria-label="$t('record.with_this_tool')">
            <li v-for="words in mind" :key="words">{{ words }}</li>
          </ul>
        </div>
      </div>
      <ThereAlready
        v-if="there"
        :error="error!"
        :what="$t('record.trim')"
        @theirs="keepTheirs"
        @another="saveAnother"
      />
      <RefusalNote v-else-if="error && !unreachable" :error="error" :shown="['records[', 'minutes', 'calm_minutes']" />
      <KeptNote :error="error" :begun="begun" />
      <BButton v-if="later > 0 && todays > 0" variant="plain" class="rest" @click="onlyTodays">{{
        $t('record.only_todays_as_planned', { todays })
      }}</BButton>
      <BButton v-if="begun && untold > 0" variant="plain" class="rest" @click="allAsPlanned"
        >{{ $t('record.all_as_planned_the_not', { untold }) }} <kbd>A</kbd></BButton
      >
      <TimeTold
        :draft="draft"
        :helping="plan.helping"
        :error="error"
        @change="more => store.change(d => Object.assign(d, more))"
      />
      <label for="note" class="visually-hidden">{{ $t('record.note') }}</label>
      <BFormInput
        id="note"
        class="note"
        :model-value="draft.note"
        :placeholder="$t('record.note_for_next_time')"
        autocomplete="off"
        dir="auto"
        @update:model-value="store.change(d => (d.note = String($event ?? '')))"
      />
      <SaveBar
        :trimmed="trimmed"
        :untold="untold"
        :left="count('left')"
        :bled="count('blood')"
        :begun="begun"
        :saving="isPending"
        :undoable="store.past.length > 0"
        @undo="undo"
        @all="allAsPlanned"
        @save="save"
      />
    </template>
  </div>
</template>

<style scoped>
.tool label {
  margin: 0;
}
.tool select {
  max-width: 22rem;
  width: auto;
}
.bench {
  display: grid;
  gap: 1.5rem 2.5rem;
  grid-template-columns: minmax(0, 1fr) minmax(26rem, 30rem);
}
.navigator {
  background: var(--sheet);
  border: 1px solid var(--line);
  padding: 0.9rem 1rem;
}
.legend {
  margin: 0.75rem 0 0;
}
.mind {
  color: var(--ink-soft);
  margin-top: 0.75rem;
}
.mind li {
  border-left: var(--bar) solid var(--caution-edge);
  margin-bottom: 0.25rem;
  padding-left: 0.6rem;
}
.rest {
  margin-top: 0.75rem;
  min-height: 64px;
}
.note {
  margin-top: 0.5rem;
}

@media (max-width: 900px) {
  .legend {
    display: none;
  }
  .screen-head {
    flex-wrap: nowrap;
    margin-bottom: 0.25rem;
  }
  .tool {
    min-width: 0;
  }
  .tool label {
    display: none;
  }
  .screen-head > :first-child {
    flex: 1;
    min-width: 45%;
  }
  .tool select {
    max-width: 100%;
  }
  .bench {
    gap: 0.5rem;
    grid-template-columns: minmax(0, 1fr);
  }
  .navigator {
    padding: 0.4rem;
  }
}
</style>
