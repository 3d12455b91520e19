import type { Schemas } from '../api/client'

/** What the advice falls back to when the server, which reckons it, is away. */
const away: Schemas['BenchAdvice'] = {
  kind: 'trim',
  action: 'sliver',
  cut_mm: 0,
  plan: { cuts_mm: [], likely: 0, runs: [], most_mm: 0, chance: '' },
  left_mm: 0,
  risk: 0,
  chance: '',
  eye: true,
  because: '',
}

/**
 * The server's last answer with what waits shown over it. It reckons nothing: a nail with news follows its
 * last verdict and the eye's rules until the server answers, and one that was to stop is not cut.
 */
export function over(bench: Schemas['Bench'], pending: Schemas['Event'][], because: string): Schemas['Bench'] {
  const undone = new Set(pending.flatMap(e => (e.kind === 'undone' && e.of ? [e.of] : [])))
  const gone = (e: Schemas['Event']) => undone.has(e.id) || (e.press !== undefined && undone.has(e.press))
  const shown: Schemas['Bench'] = {
    ...bench,
    nails: bench.nails.map(n => ({ ...n, cuts: n.cuts.filter(c => !undone.has(c.id)).map(c => ({ ...c })) })),
  }
  const held = new Map<string, Action>() // what each nail's advice came to but for an end that nobody looked at yet
  for (const e of pending) {
    if (gone(e)) continue
    if (e.kind === 'tool') Object.assign(shown, { tool: e.tool, item_id: e.item_id })
    if (e.kind === 'ended') shown.ended = true
    if (e.kind === 'note') shown.note = e.note ?? ''
    if (e.kind === 'smooth' && e.paw) shown.smooth = [...shown.smooth, e.paw]
    if (e.kind === 'ground' && e.paw)
      for (const n of shown.nails) if (n.code.startsWith(e.paw) && n.cuts.length > 0 && !n.blood) n.ground = true
    if (e.kind === 'arrival') shown.arrival = e.arrival
    if (e.kind === 'reaction') {
      // until the server has reckoned with it: what it asks for the first time, which is never less
      const first = (bench.first_answers ?? []).find(a => a.key === e.reaction)
      shown.answer = first && {
        ...first,
        paw: e.nail?.slice(0, 2) as Schemas['Paw'],
        told: (shown.answer?.told ?? 0) + 1,
      }
    }
    const nail = shown.nails.find(n => n.code === e.nail)
    if (nail)
      held.set(nail.code, follow(nail, e, held.get(nail.code) ?? nail.advice.action, bench.stopping ?? [], because))
  }
  const last = pending.filter(e => e.kind !== 'undone' && !gone(e)).at(-1)
  if (last) shown.last = { id: last.press ?? last.id, kind: last.kind, nail: last.nail }
  return shown
}

type Action = Schemas['BenchAdvice']['action']

/** What one event does to its nail, as far as the eye's rules go; was is what its advice came to before. */
function follow(
  nail: Schemas['BenchNail'],
  e: Schemas['Event'],
  was: Action,
  stopping: Schemas['Face'][],
  because: string,
): Action {
  const stopped = was === 'stop' || was === 'ask'
  if ((e.kind === 'cut' || e.kind === 'touch') && e.pass !== 'sides' && !nail.cuts.some(c => c.id === e.id))
    nail.cuts.push({ id: e.id, mm: e.mm ?? 0, touch: e.kind === 'touch' })
  if (e.kind === 'touch' && nail.done) Object.assign(nail, { done: false, ground: true })
  if (e.kind === 'face') Object.assign(nail.cuts.find(c => c.id === e.of) ?? {}, { face: e.face })
  if (e.kind === 'blood' || e.face === 'blood') nail.blood = true
  if (e.kind === 'skipped') nail.skipped = true
  if (e.kind === 'done') nail.done = true
  if (e.kind === 'edges' || e.pass === 'sides') nail.edged = true
  if (e.kind === 'blood_stopped') nail.stopped = true
  if (e.kind === 'still_bleeding') nail.bleeding = true
  if (e.kind === 'reaction' && e.reaction) nail.reaction = e.reaction
  if (e.kind === 'colour' && e.colour) nail.colour = e.colour
  const last = nail.cuts[nail.cuts.length - 1]
  const face = last?.face
  const unseen = last !== undefined && face === undefined && !last.touch // look first
  const closed = nail.blood || nail.done || nail.skipped
  const stops = closed || (face !== undefined && stopping.includes(face)) || (stopped && nail.cuts.length > 0)
  const action = stops ? 'stop' : was === 'ask' ? 'sliver' : was
  nail.advice =
    stops || unseen ? { ...away, because, action: 'stop' } : { ...away, because, action, cut_mm: nail.thin_mm }
  nail.asks = closed
    ? undefined
    : nail.cuts.length > 0 && face === undefined
      ? 'face'
      : e.kind === 'colour' && !nail.known
        ? 'landmark'
        : stops
          ? 'smooth'
          : 'sliver'
  return action
}
