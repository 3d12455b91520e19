import { expect, test } from 'vitest'
import { rankOn } from './forecast'
import type { Schemas } from '../api/client'

const bar = (more: object) =>
  ({ code: 'LF3', group: 'fore', top_mm: 0, on_floor: false, length: { mm: 10 }, ...more }) as unknown
const rank = (more: object = {}) => ({ floor_mm: 12, bars: [bar(more)] }) as unknown as Schemas['Rank']
const forecast = {
  days: [0, 10, 20],
  bars: [
    {
      code: 'LF3',
      length_mm: [10, 11, 14],
      quick_mm: [7, 7, 8],
      quick_short_mm: [6, 6, 7],
      quick_long_mm: [8, 8, 9],
    },
  ],
} as unknown as Schemas['Forecast']
const on = (day: number, more: object = {}) => rankOn(rank(more), forecast, day).bars[0]!

test('today is what it is', () => expect(on(0)).toEqual(rank().bars[0]))

test('between two samples it is in proportion', () => {
  expect(on(5).length.mm).toBeCloseTo(10.5)
  expect(on(10).length.mm).toBe(11)
  expect(on(15).quick_mm).toBeCloseTo(7.5)
})

test('a nail that reaches the floor line flattens there, and stands on it', () => {
  expect(on(10).on_floor).toBe(false)
  expect(on(20).length.mm).toBe(12)
  expect(on(20).on_floor).toBe(true)
})

test('a dewclaw grows on past any floor', () => {
  expect(on(20, { group: 'dewclaw' }).length.mm).toBe(14)
  expect(on(20, { group: 'dewclaw' }).on_floor).toBe(false)
})
