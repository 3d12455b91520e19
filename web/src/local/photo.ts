import type { Schemas } from '../api/client'
import { useDraft } from './drafts'
import { today } from './day'
import { kept } from './kept'

/** Where what was read off a picture goes. */
export type Target = 'nail' | 'walk' | 'record' | 'bench'
/** Of a sitting: before it was cut, or after. */
export type When = 'before' | 'after'

const read = (n: Schemas['PhotoNumber']): Schemas['ReadWith'] => ({ by: 'photo', sd_mm: n.sd_mm })

/** What a picture says, as a look of a walk-round. */
export function lookOf(code: Schemas['NailCode'], said: Schemas['PhotoRead']): Schemas['Look'] {
  const look: Schemas['Look'] = { code, length_mm: said.length.mm, means: { length: read(said.length) } }
  if (said.gap) Object.assign(look, { gap_mm: said.gap.mm, means: { ...look.means, gap: read(said.gap) } })
  if (said.shape) look.shape = said.shape
  if (said.is_past_pad) look.past_pad = true
  return look
}

/** Puts it into the walk-round that is not saved yet. */
export function intoWalk(dogId: string, code: Schemas['NailCode'], said: Schemas['PhotoRead']) {
  const store = kept<Schemas['CheckInput']>(`fribbet-walk-${dogId}`)
  const check = store.read() ?? {
    id: crypto.randomUUID(),
    on: today(),
    clicks: false,
    hair: false,
    swelling: false,
    limping: false,
    breaking: false,
    looks: [],
  }
  const before = check.looks.find(l => l.code === code)
  const look = lookOf(code, said)
  const whole = { ...before, ...look, means: { ...before?.means, ...look.means }, sure: undefined }
  store.keep({ ...check, looks: [...check.looks.filter(l => l.code !== code), whole] })
}

/** Puts it into the sitting that is being recorded; false where none is. */
export function intoRecord(dogId: string, code: Schemas['NailCode'], said: Schemas['PhotoRead'], when: When) {
  const record = useDraft(dogId)
  if (!record.draft?.nails.some(n => n.code === code)) return false
  record.change(d => {
    const nail = d.nails.find(n => n.code === code)!
    const means = { ...nail.means, [`length_${when}`]: read(said.length) }
    Object.assign(nail, { [`length_${when}_mm`]: said.length.mm, sure: undefined })
    if (said.gap) {
      Object.assign(nail, { [`gap_${when}_mm`]: said.gap.mm })
      Object.assign(means, { [`gap_${when}`]: read(said.gap) })
    }
    nail.means = means // measured is not done: somebody says what came off
  })
  return true
}

/** The same as events at the bench. */
export function benchEvents(
  code: Schemas['NailCode'],
  said: Schemas['PhotoRead'],
  when: When,
): Omit<Schemas['Event'], 'id' | 'at'>[] {
  const press = crypto.randomUUID()
  const one = (n: Schemas['PhotoNumber']) => ({ nail: code, mm: n.mm, by: 'photo' as const, sd_mm: n.sd_mm, press })
  return [
    { kind: 'measured', measure: `length_${when}`, ...one(said.length) },
    ...(said.gap ? [{ kind: 'measured' as const, measure: `gap_${when}` as const, ...one(said.gap) }] : []),
    ...(said.groove && when === 'before'
      ? [{ kind: 'landmark' as const, landmark: 'groove' as const, ...one(said.groove) }]
      : []),
    ...(said.pink && when === 'before'
      ? [{ kind: 'landmark' as const, landmark: 'seen' as const, ...one(said.pink) }]
      : []),
  ]
}
