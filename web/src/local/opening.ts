import { readonly, ref } from 'vue'

/** How far the opening of the book is, while it is being opened: at the start, or after a restore. */
const state = ref<{ done: number; all: number }>()
export const opening = readonly(state)

const again: (() => void)[] = []
/** What is done once the book is open again. */
export const onOpened = (act: () => void) => again.push(act)

const everyMs = 700
export function heardOpening(told: { done: number; all: number }) {
  if (!state.value) setTimeout(ask, everyMs)
  state.value = told
}

async function ask() {
  const answer = await fetch('/api/settings').catch(() => undefined)
  const told = answer?.status === 503 ? await answer.json().catch(() => undefined) : undefined
  if (!answer || told?.opening) {
    state.value = told?.opening ?? state.value
    setTimeout(ask, everyMs)
    return
  }
  state.value = undefined
  for (const act of again) act()
}
