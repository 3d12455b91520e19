import { useQueryClient } from '@tanstack/vue-query'
import { onBeforeUnmount, ref, shallowRef } from 'vue'
import { answered, client, Refusal, type Schemas } from '../api/client'
import { asides, drop, putAside, waiting, type Aside, type Waiting } from './outbox'

/** What stopped the sending: Fribbet is away, or this book does not take what waits, such as another book's. */
export interface Halt { error: Error; away: boolean }

/** This device may not come in now: what waits, waits. */
const closed = [401, 403, 426, 429]

/**
 * Sends what waits for a sitting, oldest first; taps that come meanwhile go with the next turn. Only the
 * book's own word that this very event cannot be puts one aside; the rest goes on.
 */
export async function send(dog: string, sitting: string, waits?: (batch: Waiting[]) => void, took?: (bench: Schemas['Bench']) => void): Promise<Halt | undefined> {
  const path = { params: { path: { dog_id: dog, sitting_id: sitting } } }
  for (;;) {
    const batch = (await waiting(sitting)).slice(0, 200)
    waits?.(batch)
    if (batch.length === 0) return
    try {
      const bench = await answered(client.POST('/api/dogs/{dog_id}/sittings/{sitting_id}/events', { ...path, body: { events: batch.map((w) => w.event) } }))
      took?.(bench)
      await drop(batch)
    } catch (e) {
      const named = e instanceof Refusal && [409, 422].includes(e.status) ? batch[Number(/^events\[(\d+)\]/.exec(e.errors[0]?.field ?? '')?.[1] ?? -1)] : undefined
      if (!named) return { error: e as Error, away: !(e instanceof Refusal) || e.unreachable || e.status >= 500 || closed.includes(e.status) }
      await putAside(named, (e as Refusal).errors[0].expected)
    }
  }
}

/** Sittings that a bench on this page sends for. */
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
      const all = new Map((await waiting()).map((w) => [w.sitting, w.dog]))
      for (const [sitting, dog] of all) {
        if (atBench.has(sitting) || foreign.value.has(sitting)) continue
        const halt = await send(dog, sitting)
        if (!halt) void cache.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'settings' })
        else if (halt.away) break
        else foreign.value.add(sitting)
      }
      waits.value = (await waiting()).filter((w) => !atBench.has(w.sitting))
      aside.value = (await asides()).filter((a) => !atBench.has(a.sitting))
    } finally {
      busy = false
    }
  }
  void turn()
  const again = setInterval(() => void turn(), 3000)
  onBeforeUnmount(() => clearInterval(again))
  return { waits, aside, foreign, turn }
}
