import { nextTick, ref } from 'vue'
import { expect, test } from 'vitest'
import type { Schemas } from '../../api/client'
import { clipped, useNails } from './nails'

type Nail = Schemas['BenchNail']
const nail = (code: string, more: Partial<Nail> = {}) =>
  ({ code, today: true, done: false, skipped: false, blood: false, cuts: [], ...more }) as unknown as Nail
const benchOf = (nails: Nail[], more: Partial<Schemas['Bench']> = {}) =>
  ({ nails, holds: [{ paw: 'LF' }, { paw: 'RF' }], ...more }) as unknown as Schemas['Bench']

function at(...nails: Nail[]) {
  const bench = ref(benchOf(nails))
  const settled = ref(true)
  return { bench, settled, ...useNails(bench, () => settled.value) }
}

test('a sitting begins at the first of today’s nails that is open', () => {
  const { nail: inHand, counts } = at(nail('LF5', { today: false }), nail('LF4', { done: true }), nail('LF3'))
  expect(inHand.value!.code).toBe('LF3')
  expect(counts.value).toEqual({ done: 1, left: 1 })
})

test('where a page is opened anew, the nail that was told of last is in hand', async () => {
  const { bench, nail: inHand } = at()
  bench.value = benchOf([nail('LF5'), nail('LF4')], { last: { id: '', kind: 'cut', nail: 'LF4' } })
  await nextTick()
  expect(inHand.value!.code).toBe('LF4')
})

test('a nail that was closed by a press that does not show yet is not offered again', async () => {
  const { settled, goOn, nail: inHand, nails, closed, counts } = at(nail('LF5'), nail('LF4'), nail('LF3'))
  settled.value = false
  await nextTick()
  goOn(nails.value[0]!)
  expect(inHand.value!.code).toBe('LF4')
  goOn(nails.value[1]!)
  expect(inHand.value!.code).toBe('LF3')
  expect(counts.value.left).toBe(1)
  settled.value = true // the answers are there: what they say holds
  await nextTick()
  expect(closed(nails.value[0]!)).toBe(false)
})

test('the last nail stays in hand when nothing is left to go on to', () => {
  const { goOn, nails, nail: inHand } = at(nail('LF5', { done: true }), nail('LF4'))
  goOn(nails.value[1]!)
  expect(inHand.value!.code).toBe('LF4')
})

test('one may leaf through all nails, and stops at the ends', () => {
  const { go, nail: inHand } = at(nail('LF5'), nail('LF4', { today: false }))
  go(1)
  expect(inHand.value!.code).toBe('LF4')
  go(1)
  expect(inHand.value!.code).toBe('LF4')
  go(-1)
  go(-1)
  expect(inHand.value!.code).toBe('LF5')
})

test('a paw is finished when all of its nails of today are closed and one of them was done', () => {
  const { bench, finished } = at(nail('LF5', { done: true }), nail('LF4'), nail('RF5', { skipped: true }))
  expect(finished.value).toEqual([])
  bench.value = benchOf([nail('LF5', { done: true }), nail('LF4', { blood: true }), nail('RF5', { skipped: true })])
  expect(finished.value).toEqual(['LF'])
})

test('marks tell blood before done, and nails of another day as left', () => {
  const { marks } = at(
    nail('LF5', { done: true, blood: true }),
    nail('LF4', { done: true }),
    nail('LF3', { today: false }),
    nail('LF2'),
  )
  expect(marks.value).toEqual({ LF5: 'blood', LF4: 'done', LF3: 'left', LF2: 'planned' })
})

test('only what was clipped, and did not bleed, may be ground at the same sitting', () => {
  const cut = { touch: false } as Nail['cuts'][number]
  expect(clipped(nail('LF5', { done: true, cuts: [cut] }))).toBe(true)
  expect(clipped(nail('LF5', { done: true, blood: true, cuts: [cut] }))).toBe(false)
  expect(clipped(nail('LF5', { done: true, cuts: [{ ...cut, touch: true }] }))).toBe(false)
  expect(clipped(nail('LF5', { done: true }))).toBe(false)
})
