import type { Schemas } from '../api/client'
import { kept } from './kept'
import { drop, isTap, put, waiting, type Tap } from './outbox'

type Event = Schemas['Event']

/**
 * Tells a sitting that this book does not know as one of its own: what the last answer of its bench held, and what
 * was tapped since. A book that was put back from a backup gets it whole.
 */
export async function tellAnew(dog: string, sitting: string) {
  const last = kept<Schemas['Bench']>(`fribbet-bench-${sitting}`).read()
  const waits = (await waiting(sitting)).filter(isTap)
  const at = last?.started ?? waits[0]?.event.at ?? new Date().toISOString()
  const anew = crypto.randomUUID()
  const ids = new Map<string, string>()
  const fresh = (id: string) => ids.get(id) ?? ids.set(id, crypto.randomUUID()).get(id)!
  const all: Event[] = [...told(last, at), ...waits.map(w => w.event)]
  if (all[0]?.kind !== 'started')
    all.unshift({ id: crypto.randomUUID(), at, kind: 'started', tool: last?.tool ?? 'file' })
  const there = new Set(all.map(e => e.id))
  const whole = all
    .filter(e => e.of === undefined || there.has(e.of) || all.some(o => o.press === e.of)) // what it was about is known
    .map((e): Tap => ({
      dog,
      sitting: anew,
      event: { ...e, id: fresh(e.id), press: e.press && fresh(e.press), of: e.of && fresh(e.of) },
    }))
  await put(...whole)
  await drop(waits)
}

/** What an answer of the bench holds, as it was told. */
function told(bench: Schemas['Bench'] | null, at: string): Event[] {
  if (!bench) return []
  const one = (kind: Event['kind'], more: Partial<Event> = {}): Event => ({
    id: crypto.randomUUID(),
    at,
    kind,
    ...more,
  })
  const all: Event[] = [one('started', { tool: bench.tool, item_id: bench.item_id, helper: bench.helper })]
  for (const n of bench.nails) {
    for (const c of n.cuts) {
      all.push(one(c.touch ? 'touch' : 'cut', { id: c.id, nail: n.code, mm: c.mm }))
      if (c.face && c.face !== 'blood') all.push(one('face', { nail: n.code, of: c.id, face: c.face }))
    }
    if (n.reaction) all.push(one('reaction', { nail: n.code, reaction: n.reaction }))
    if (n.blood) all.push(one('blood', { nail: n.code }))
    if (n.stopped) all.push(one('blood_stopped', { nail: n.code }))
    if (n.done && !n.blood) all.push(one('done', { nail: n.code }))
    else if (n.skipped) all.push(one('skipped', { nail: n.code }))
  }
  if (bench.note) all.push(one('note', { note: bench.note }))
  return all
}
