import { expect, test } from 'vitest'
import { at, boxOf, cutEdges, lineOf, pathOf, toeOf } from './geometry'
import type { Schemas } from '../api/client'

const square = [
  [0, 0],
  [4, 0],
  [4, 2],
  [0, 2],
]

test('up is up: heights in mm become heights of a drawing', () => {
  expect(at([3, 2])).toEqual({ x: 3, y: -2 })
  expect(pathOf(square)).toBe('M0.000 0.000L4.000 0.000L4.000 -2.000L0.000 -2.000Z')
  expect(lineOf([1, 2], [3, -4])).toEqual({ x1: 1, y1: -2, x2: 3, y2: 4 })
})

test('a cut runs where the kept outline has points that the whole one has not', () => {
  const kept = [
    [0, 0],
    [3, 0],
    [3, 2],
    [0, 2],
  ]
  expect(cutEdges(square, kept)).toEqual([
    [
      [3, 0],
      [3, 2],
    ],
  ])
  expect(cutEdges(square, square)).toEqual([])
})

test('a drawing holds the nail and the floor, but for a dewclaw, which meets none', () => {
  const high = square.map(([x, z]) => [x!, z! + 5])
  const section = (group: string) => ({ outline: high, bar: { group } }) as unknown as Schemas['Section']
  const [floored, free] = [boxOf(section('fore')), boxOf(section('dewclaw'))]
  expect(floored.y + floored.height).toBe(2) // two below the floor
  expect(free.y + free.height).toBe(-3) // two below the nail
  expect(floored.width).toBe(12)
})

test('the toe reaches from the left edge to both ends of the coat line', () => {
  expect(toeOf(square, -5)).toBe('M-5 -1.5L0 0L0 -2L-5 -0.5Z')
})
