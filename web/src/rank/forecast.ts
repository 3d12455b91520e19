import type { Schemas } from '../api/client'

/** A number between the two samples that lie about the day. */
function between(samples: number[], days: number[], day: number): number {
  const after = days.findIndex(d => d >= day)
  if (after <= 0) return samples[0]!
  const [from, to] = [days[after - 1]!, days[after]!]
  const [low, high] = [samples[after - 1]!, samples[after]!]
  return low + ((day - from) / (to - from)) * (high - low)
}

/** The rank on a later day, drawn between the core's own samples; a bar that reaches the floor line flattens there. */
export function rankOn(rank: Schemas['Rank'], forecast: Schemas['Forecast'], day: number): Schemas['Rank'] {
  const grown = new Map(forecast.bars.map(b => [b.code, b]))
  return {
    ...rank,
    bars: rank.bars.map(bar => {
      const f = grown.get(bar.code)
      if (!f || day === 0) return bar
      const at = (samples: number[]) => between(samples, forecast.days, day)
      const room = bar.group === 'dewclaw' ? Infinity : rank.floor_mm - bar.top_mm
      const length = at(f.length_mm)
      return {
        ...bar,
        length: { ...bar.length, mm: Math.min(length, room) },
        quick_mm: at(f.quick_mm),
        quick_short_mm: at(f.quick_short_mm),
        quick_long_mm: at(f.quick_long_mm),
        on_floor: bar.on_floor || length >= room,
      }
    }),
  }
}
