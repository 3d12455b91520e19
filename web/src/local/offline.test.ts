import { expect, test } from 'vitest'
import type { Schemas } from '../api/client'
import kept from './offline.cases.json'
import { over } from './offline'

interface Nail {
  code: string
  colour: string
  cuts: { id: string; mm: number; face?: string }[]
  asks?: string
  thin_mm: number
  advice: { action: string; cut_mm: number }
}
interface Case {
  Name: string
  Before: { nails: Nail[] }
  Pending: Schemas['Event'][]
  After: { ended: boolean; nails: Nail[] }
}
const cases = kept as unknown as Case[]
const told = (cuts: Nail['cuts']) => cuts.map(c => [c.id, c.mm, c.face])

/**
 * The cases are the server's own answers (internal/api/offline_cases_test.go writes them): the browser alone must show
 * the same of what happened, and be no bolder: where the server stops it stops, and no cut is thicker than a tip's.
 */
for (const one of cases) {
  test(one.Name, () => {
    const shown = over(structuredClone(one.Before) as unknown as Schemas['Bench'], one.Pending, '')
    expect(shown.ended).toBe(one.After.ended)
    one.After.nails.forEach((server, i) => {
      const before = one.Before.nails[i]!
      const browser = shown.nails[i] as unknown as Nail
      const { advice, asks, cuts, colour, ...happened } = server
      expect(browser).toMatchObject(happened)
      // else the server reads it off the faces
      if (one.Pending.some(e => e.kind === 'colour')) expect(browser.colour).toBe(colour)
      expect(told(browser.cuts)).toEqual(told(cuts))
      if (advice.action === 'stop') expect(browser.advice.action).toBe('stop')
      if (browser.advice.action === 'sliver' && browser.advice.cut_mm !== before.advice.cut_mm)
        expect(browser.advice.cut_mm).toBeLessThanOrEqual(server.thin_mm)
      // nor does it stop where all is white
      if (advice.action === 'sliver' && server.cuts.length > 0) expect(browser.advice.action).toBe('sliver')
      if (asks === 'face') expect(browser.asks).toBe('face')
    })
  })
}
