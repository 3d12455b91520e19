import { useQueryClient } from '@tanstack/vue-query'
import { onBeforeUnmount, ref, shallowRef } from 'vue'
import { answered, client, Refusal, type Schemas } from '../api/client'
import { asides, drop, isTap, put, putAside, waiting, type Aside, type Tap, type Waiting, type Whole } from './outbox'

/** What stopped the sending: Fribbet is away, or this book does not take what waits, such as another book's. */
export interface Halt {
  error: Error
  away: boolean
}

/** This device may not come in now: what waits, waits. */
const closed = [401, 403, 426, 429]

/**
 * Sends what waits for a sitting, oldest first; taps that come meanwhile go with the next turn. Only the
 * book's own word that this very event cannot be puts one aside; the rest goes on.
 */
export async function send(
  dog: string,
  sitting: string,
  waits?: (batch: Tap[]) => void,
  took?: (bench: Schemas['Bench'], batch: Tap[]) => void,
): Promise<Halt | undefined> {
  const path = { params: { path: { dog_id: dog, sitting_id: sitting } } }
  for (;;) {
    const all = await waiting(sitting)
    const whole = all.find(w => !isTap(w))
    if (whole) {
      const halt = await sendWhole(whole as Whole)
      if (halt) return halt
      continue
    }
    const batch = all.filter(isTap).slice(0, 200)
    waits?.(batch)
    if (batch.length === 0) return
    try {
      const bench = await answered(
        client.POST('/api/dogs/{dog_id}/sittings/{sitting_id}/events', {
          ...path,
          body: { events: batch.map(w => w.event) },
        }),
      )
      took?.(bench, batch)
      await drop(batch)
    } catch (e) {
      const named =
        e instanceof Refusal && [409, 422].includes(e.status)
          ? batch[Number(/^events\[(\d+)\]/.exec(e.errors[0]?.field ?? '')?.[1] ?? -1)]
          : undefined
      if (!named) return halted(e)
      await putAside(named, (e as Refusal).errors[0]!.expected)
    }
  }
}

const halted = (e: unknown): Halt => ({
  error: e as Error,
  away: !(e instanceof Refusal) || e.unreachable || e.status >= 500 || closed.includes(e.status),
})

const post = (w: Whole) => {
  const at = { params: { path: { dog_id: w.dog } } }
  return 'tally' in w
    ? answered(client.POST('/api/dogs/{dog_id}/sittings', { ...at, body: w.tally }))
    : answered(client.POST('/api/dogs/{dog_id}/checks', { ...at, body: w.walk }))
}
/** The book's own word that this cannot be. */
const refused = (e: unknown): e is Refusal =>
  e instanceof Refusal && !e.unreachable && e.status < 500 && !closed.includes(e.status)

/** Sends a sitting or a walk-round as it was saved. One that the book refuses is put aside, whole. */
async function sendWhole(w: Whole): Promise<Halt | undefined> {
  try {
    await post(w)
    await drop([w])
  } catch (e) {
    if (!refused(e) || e.status === 404) return halted(e)
    await putAside(w, e.message)
  }
}

/**
 * Saves a sitting or a walk-round: it waits here until the book has it, from any page. What the book refuses is put
 * right on the screen.
 */
export async function save(w: Whole) {
  await drop((await waiting(w.sitting)).filter(other => !isTap(other))) // as it was before it was put right
  atBench.add(w.sitting)
  try {
    await put(w)
    const view = await post(w)
    await drop(await waiting(w.sitting))
    return view
  } catch (e) {
    if (refused(e)) await drop(await waiting(w.sitting))
    throw e
  } finally {
    atBench.delete(w.sitting)
  }
}

/** Sittings that a bench on this page sends for, and what a screen sends that was just saved on it. */
export const atBench = new Set<string>()

/** What waits in this browser, of every sitting: any open page sends it and says what waits. */
export function useCarrier() {
  const cache = useQueryClient()
  const waits = shallowRef<Waiting[]>([])
  const aside = shallowRef<Aside[]>([])
  /** Sittings that this book does not know: kept, and sent no more by this page. */
  const foreign = ref(new Set<string>())
  let busy = false

  async function turn() {
    if (busy) return
    busy = true
    try {
      const all = new Map((await waiting()).map(w => [w.sitting, w.dog]))
      for (const [sitting, dog] of all) {
        if (atBench.has(sitting) || foreign.value.has(sitting)) continue
        const halt = await send(dog, sitting)
        if (!halt) void cache.invalidateQueries({ predicate: q => q.queryKey[0] !== 'settings' })
        else if (halt.away) break
        else foreign.value.add(sitting)
      }
      waits.value = (await waiting()).filter(w => !atBench.has(w.sitting))
      aside.value = (await asides()).filter(a => !atBench.has(a.sitting))
    } finally {
      busy = false
    }
  }
  void turn()
  const again = setInterval(() => void turn(), 3000)
  onBeforeUnmount(() => clearInterval(again))
  return { waits, aside, foreign, turn }
}
