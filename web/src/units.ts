import { computed } from 'vue'
import type { Schemas } from './api/client'
import { useSettings } from './api/queries'
import { $t } from './i18n'
import { decimal, written } from './i18n/language'

/** The number that was typed, a comma being a point, with or without a unit; undefined when it is none. */
export function number(text: string): number | undefined {
  const clean = text
    .trim()
    .replace(/\s*(mm|in|")$/i, '')
    .replace(',', '.')
  return clean === '' || Number.isNaN(Number(clean)) ? undefined : Number(clean)
}

/**
 * How lengths and weights are shown and typed. Everything is stored in mm and kg; the server
 * says by what to multiply and how to round, so that no unit's size stands in the browser.
 */
export function useUnits() {
  const { data } = useSettings()
  const unit = (kind: 'length' | 'weight') =>
    computed(() => {
      const u = data.value?.[kind] ?? { symbol: kind === 'length' ? 'mm' : 'kg', per_stored: 1, decimals: 1 }
      const bare = (stored: number) => decimal(stored * u.per_stored, u.decimals)
      return {
        symbol: u.symbol,
        bare,
        /** As it stands in a field: every digit that was measured, so that reading it back changes nothing. */
        inField: (stored: number) => written(Number((stored * u.per_stored).toPrecision(6))),
        /** 12.5 mm */
        show: (stored: number) => `${bare(stored)} ${u.symbol}`,
        /** 1.5 mm² */
        area: (mm2: number) => `${decimal(mm2 * u.per_stored ** 2, u.decimals)} ${u.symbol}²`,
        /** 10.2–14.8 mm */
        range: (low: number, high: number) => `${bare(low)}–${bare(high)} ${u.symbol}`,
        /** The stored number that a typed one means; undefined when it is no number. */
        typed: (text: string) => {
          const n = number(text)
          return n === undefined ? undefined : n / u.per_stored
        },
      }
    })
  return { length: unit('length'), weight: unit('weight') }
}

type Plan = Schemas['CuttingPlan']

/** The cuts of a plan as a hand thinks of them: 2 mm, then 3 × 0.5 mm. */
export function cutBy(plan: Plan, length: { show: (mm: number) => string }) {
  return plan.runs
    .map(run => (run.cuts === 1 ? length.show(run.mm) : `${run.cuts} × ${length.show(run.mm)}`))
    .join($t('units.then'))
}

/** About 4 cuts, at most 6. */
export function howMany(plan: Plan) {
  const most = plan.cuts_mm.length
  const cuts = (n: number) => $t('units.cuts', n)
  return plan.likely === most
    ? $t('units.about', { most: cuts(most) })
    : $t('units.about_at_most', { likely: cuts(plan.likely), most })
}
