import { shallowRef } from 'vue'
import { answered, client, type Schemas } from '../api/client'

/** What was just taken away or moved, and the press that gives it back; nothing after a minute. */
export interface Undoable {
  words: string
  back: () => Promise<unknown>
}
export const undoable = shallowRef<Undoable>()

const shownFor = 60_000
let timer = 0

/** Offers to give back what a press did, in place of what was offered before. */
export function offerUndo(words: string, back: () => Promise<unknown>) {
  clearTimeout(timer)
  undoable.value = { words, back }
  timer = window.setTimeout(() => (undoable.value = undefined), shownFor)
}

/** The same for what the book itself can give back. */
export const offerBack = (words: string, what: Schemas['UndoInput']['what'], id: string) =>
  offerUndo(words, () => answered(client.POST('/api/undo', { body: { what, id } })))

export function forgetUndo() {
  clearTimeout(timer)
  undoable.value = undefined
}
