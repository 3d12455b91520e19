import { readonly, ref } from 'vue'

/** How far the opening of the book is, while it is being opened: at the start, or after a restore. */
const state = ref<{ done: number; all: number }>()
export const opening = readonly(state)

const again: (() => void)[] = []
/** What is done once the book is open again. */
export const onOpened = (act: () => void) => again.push(act)

const everyMs = 700
export function heardOpening(told: { done: number; all: number }) {
  if (!state.value) setTimeout(() => void ask(), everyMs)
  state.value = told
}

const toldBy = (answer: Response) =>
  answer.json().catch(() => undefined) as Promise<{ opening?: { done: number; all: number } } | undefined>

async function ask() {
  const answer = await fetch('/api/settings').catch(() => undefined)
  const told = answer?.status === 503 ? await toldBy(answer) : undefined
  if (!answer || told?.opening) {
    state.value = told?.opening ?? state.value
    setTimeout(() => void ask(), everyMs)
    return
  }
  state.value = undefined
  for (const act of again) act()
}
