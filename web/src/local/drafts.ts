import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Schemas } from '../api/client'
import { kept } from './kept'

/** What is told of one nail while a sitting is recorded. */
export interface NailDraft {
  code: Schemas['NailCode']
  /** planned: as the plan says, not looked at yet. done: confirmed. left: nothing comes off. */
  mark: 'planned' | 'done' | 'left'
  blood: boolean
  reaction: Schemas['Reaction']
  tool: Schemas['Tool']
  cuts_mm: number[]
  length_before_mm?: number
  length_after_mm?: number
  gap_before_mm?: number
  gap_after_mm?: number
  spare_left_mm?: number
}

/** A sitting that is not saved yet. Its id is made here, so that sending it twice keeps it once. */
export interface Draft {
  id: string
  day: string
  note: string
  current: number
  nails: NailDraft[]
}

/** Unsaved sittings live in the browser: a closed tab, a dead battery or a stopped server lose nothing. */
export const useDraft = (dogId: string) =>
  defineStore(`draft-${dogId}`, () => {
    const store = kept<Draft>(`fribbet-sitting-${dogId}`)
    const draft = ref<Draft | null>(null)
    const past = ref<string[]>([])

    /** Goes on with an unsaved sitting, whatever its day, or begins one; tells which. */
    function begin(plan: Schemas['Plan']) {
      const unsaved = store.read()
      draft.value = fresh(plan)
      if (unsaved) {
        const told = new Map(unsaved.nails.map((n) => [n.code, n]))
        const nails = draft.value.nails.map((n) => told.get(n.code) ?? n)
        draft.value = { ...unsaved, nails, current: Math.min(unsaved.current, nails.length - 1) }
      }
      past.value = []
      return unsaved !== null
    }
    /** Changes the draft in a way that undo takes back. */
    function change(how: (d: Draft) => void) {
      if (!draft.value) return
      past.value.push(JSON.stringify(draft.value))
      how(draft.value)
      keep()
    }
    function undo() {
      const last = past.value.pop()
      if (last) draft.value = JSON.parse(last)
      keep()
    }
    /** Moving about is nothing to undo, and alone is nothing to keep. */
    function goTo(index: number) {
      if (!draft.value) return
      draft.value.current = Math.min(draft.value.nails.length - 1, Math.max(0, index))
      if (store.read()) keep()
    }
    function drop() {
      draft.value = null
      store.drop()
    }
    function keep() {
      if (draft.value) store.keep(draft.value)
    }
    return { draft, past, begin, change, undo, goTo, drop }
  })()

function fresh(plan: Schemas['Plan']): Draft {
  return {
    id: crypto.randomUUID(),
    day: plan.today,
    note: '',
    current: 0,
    nails: plan.nails.map((n) => ({
      code: n.code, mark: n.cuts_mm.length > 0 ? 'planned' : 'left', blood: false, reaction: 'calm', tool: plan.tool, cuts_mm: [...n.cuts_mm],
    })),
  }
}

/** The sitting as it is sent. */
export function sittingOf(draft: Draft): Schemas['SittingInput'] {
  return {
    id: draft.id,
    on: draft.day,
    note: draft.note,
    records: draft.nails.map((n) => ({
      code: n.code, tool: n.tool, reaction: n.reaction, blood: n.blood,
      cuts_mm: n.mark === 'left' ? [] : n.cuts_mm,
      // What was not measured is undefined, and JSON leaves it out.
      length_before_mm: n.length_before_mm, length_after_mm: n.length_after_mm,
      gap_before_mm: n.gap_before_mm, gap_after_mm: n.gap_after_mm, spare_left_mm: n.spare_left_mm,
    })),
  }
}
