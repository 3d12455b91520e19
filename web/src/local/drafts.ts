import { reactive, ref } from 'vue'
import type { Schemas } from '../api/client'
import { today as day } from './day'
import { kept } from './kept'

/** What is told of one nail while a sitting is recorded. */
export interface NailDraft {
  code: Schemas['NailCode']
  /** planned: for today, and nothing told of it yet. done: it was done. left: nothing came off. */
  mark: 'planned' | 'done' | 'left'
  /** On today's part of the plan. */
  today: boolean
  blood: boolean
  /** Nothing where nobody said how it took it. */
  reaction?: Schemas['Reaction']
  tool: Schemas['Tool']
  /** The piece of the kit; none when nobody said. */
  item_id?: string
  took_force: boolean
  /** Nobody counted its cuts: they are the plan's. */
  assumed: boolean
  /** Its numbers were asked for again, and stand. */
  sure?: boolean
  cuts_mm: number[]
  length_before_mm?: number
  length_after_mm?: number
  gap_before_mm?: number
  gap_after_mm?: number
  spare_left_mm?: number
  /** What they were read with. */
  means?: Schemas['RecordInput']['means']
}

/** A sitting that is not saved yet. Its id is made here, so that sending it twice keeps it once. */
export interface Draft {
  id: string
  day: string
  note: string
  current: number
  nails: NailDraft[]
  helper: boolean
  /** Minutes as they were typed. */
  minutes: string
  calm: string
  /** How far the whole sitting went; nothing where nobody said. */
  far?: Schemas['SittingInput']['how_far']
  /** Paws that were ground round after they were clipped, and with what. */
  ground?: { paws: Schemas['Paw'][]; tool: Schemas['Tool']; item_id?: string }
  /** What was seen before the first cut. */
  arrival?: Schemas['Arrival']
  /** It was sent as it is, and the answer has not come. */
  sent?: boolean
}

const drafts = new Map<string, ReturnType<typeof draftOf>>()

/** Unsaved sittings live in the browser: a closed tab, a dead battery or a stopped server lose nothing. */
export function useDraft(dogId: string) {
  const there = drafts.get(dogId) ?? draftOf(dogId)
  drafts.set(dogId, there)
  return there
}

function draftOf(dogId: string) {
  const store = kept<Draft>(`fribbet-sitting-${dogId}`)
  const draft = ref<Draft | null>(null)
  const past = ref<string[]>([])

  /** Goes on with an unsaved sitting, whatever its day, or begins one; tells whether there is work in it. */
  function begin(plan: Schemas['Plan']) {
    const unsaved = store.read()
    draft.value = fresh(plan)
    if (unsaved) {
      const told = new Set(unsaved.nails.map(n => n.code))
      const nails = [...unsaved.nails, ...draft.value.nails.filter(n => !told.has(n.code))]
      draft.value = { ...draft.value, ...unsaved, nails, current: Math.min(unsaved.current, nails.length - 1) }
    }
    past.value = []
    return unsaved !== null
  }
  /** Changes the draft in a way that undo takes back. */
  function change(how: (d: Draft) => void) {
    if (!draft.value) return
    if (!store.read()) draft.value.day = day() // the day on which the telling begins, however long the page was open
    past.value.push(JSON.stringify(draft.value))
    how(draft.value)
    draft.value.sent = false
    keep()
  }
  function undo() {
    const last = past.value.pop()
    if (last) draft.value = JSON.parse(last) as Draft
    keep()
  }
  /** Moving about is nothing to undo, and alone is nothing to keep. */
  function goTo(index: number) {
    if (!draft.value) return
    draft.value.current = Math.min(draft.value.nails.length - 1, Math.max(0, index))
    if (store.read()) keep()
  }
  /** It is on its way: should no answer come here, not even that there is none, it is sent again as it is. */
  function send(sent: boolean) {
    if (draft.value) draft.value.sent = sent
    keep()
  }
  function drop() {
    draft.value = null
    store.drop()
  }
  function keep() {
    if (draft.value) store.keep(draft.value)
  }
  return reactive({ draft, past, begin, change, undo, goTo, send, drop })
}

/** Today's nails first, in the order of the work; then the others, left out until somebody says otherwise. */
function fresh(plan: Schemas['Plan']): Draft {
  const stops = plan.days.flatMap(d => d.stops) // what is told afterwards may have been more than a day's few nails
  const today = new Set((plan.days[0]?.stops ?? []).map(s => s.code))
  const cuts = new Map(plan.nails.map(n => [n.code, n.plan.cuts_mm.slice(0, n.plan.likely)]))
  const nail = (
    code: Schemas['NailCode'],
    mark: NailDraft['mark'],
    tool: Schemas['Tool'],
    item_id?: string,
  ): NailDraft => ({
    code,
    mark,
    today: today.has(code),
    blood: false,
    tool,
    item_id,
    took_force: false,
    cuts_mm: [...(cuts.get(code) ?? [])],
    assumed: true,
  })
  const planned = new Set(stops.map(s => s.code))
  return {
    id: crypto.randomUUID(),
    day: day(),
    note: '',
    minutes: '',
    calm: '',
    current: 0,
    helper: plan.helper && plan.helping !== 'alone',
    nails: [
      ...stops.map(s => nail(s.code, 'planned', s.tool, s.item_id)),
      ...plan.nails.filter(n => !planned.has(n.code)).map(n => nail(n.code, 'left', plan.tool)),
    ],
  }
}

/** The sitting as it is sent. */
export function sittingOf(draft: Draft, typed: (text: string) => number | undefined): Schemas['SittingInput'] {
  // refused by name, as no number is
  const told = (text: string) => (text.trim() === '' ? undefined : (typed(text) ?? -1))
  return {
    id: draft.id,
    on: draft.day,
    note: draft.note,
    minutes: told(draft.minutes),
    calm_minutes: told(draft.calm),
    helper: draft.helper,
    how_far: draft.far,
    arrival: draft.arrival,
    records: draft.nails.map(n => ({
      ground:
        n.mark === 'done' &&
        n.cuts_mm.length > 0 &&
        !n.blood &&
        !n.tool.startsWith('grinder') &&
        draft.ground?.paws.includes(n.code.slice(0, 2) as Schemas['Paw'])
          ? { tool: draft.ground.tool, item_id: draft.ground.item_id, touches_mm: [] }
          : undefined,
      code: n.code,
      assumed: n.mark === 'done' && n.assumed,
      tool: n.tool,
      item_id: n.item_id,
      took_force: n.took_force,
      reaction: n.reaction,
      blood: n.blood,
      sure: n.sure,
      cuts_mm: n.mark === 'done' ? n.cuts_mm : [], // what nobody told is not told as done
      // What was not measured is undefined, and JSON leaves it out.
      length_before_mm: n.length_before_mm,
      length_after_mm: n.length_after_mm,
      gap_before_mm: n.gap_before_mm,
      gap_after_mm: n.gap_after_mm,
      spare_left_mm: n.spare_left_mm,
      means: n.means,
    })),
  }
}
