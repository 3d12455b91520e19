import type { Schemas } from '../api/client'

type Point = Schemas['HistoryPoint']

/** The past holds the nail after its first event, then before and after each of the others. */
export const afterEvents = (past: Point[]) => past.filter((_, i) => i % 2 === 0)

/** The same as events, latest first, each with the nail before it where that is known. */
export const eventsOf = (past: Point[]) =>
  afterEvents(past)
    .map((after, i) => ({ after, before: i === 0 ? undefined : past[2 * i - 1] }))
    .reverse()
