import type { Schemas } from '../api/client'

/** What a feeler that passes says of a nail. */
export const feelerTold = (gap_mm: number, look: Schemas['Look']): Partial<Schemas['Look']> => ({
  gap_mm,
  means: { ...look.means, gap: { by: 'feeler' } },
})
