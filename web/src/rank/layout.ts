import type { Schemas } from '../api/client'
import { $t } from '../i18n'

/** A bar, as much of it as a picture needs. */
export type Bar = Schemas['SmallBar'] & Partial<Pick<Schemas['Bar'], 'gap' | 'spare'>>
export interface Rank {
  floor_mm: number
  bars: Bar[]
}

/** Sizes of the rank, in px: small on Due, medium as navigator (narrow on a phone), large on Dog. */
export const sizes = {
  small: { bar: 5, gap: 2, toeGap: 4, pawGap: 6, depth: 40, head: 0, foot: 3, labels: false },
  narrow: { bar: 19, gap: 11, toeGap: 5, pawGap: 8, depth: 56, head: 16, foot: 29, labels: true },
  medium: { bar: 20, gap: 12, toeGap: 14, pawGap: 22, depth: 122, head: 18, foot: 30, labels: true },
  large: { bar: 24, gap: 12, toeGap: 14, pawGap: 26, depth: 210, head: 20, foot: 20, labels: true },
} as const
export type Size = keyof typeof sizes

export interface Placed {
  bar: Bar
  x: number
}

/** Two paws side by side as the dog stands, with the stretches under which there is a floor. */
export interface Pair {
  name: string
  placed: Placed[]
  paws: { name: string; x: number }[]
  floors: { from: number; to: number }[]
  width: number
}

/** The deepest thing drawn, mm: the floor, or a nail that reaches below it. */
export const deepest = (rank: Rank) => Math.max(rank.floor_mm, ...rank.bars.map(b => b.top_mm + b.length.mm))

/** How many nails there are, and which of them stand on the floor. */
export function onFloor(rank: Rank): string {
  const touching = rank.bars.filter(b => b.on_floor).map(b => b.code)
  return touching.length > 0
    ? $t('rank.nails_on_the_floor', { n: rank.bars.length, touching: touching.join(', ') })
    : $t('rank.nails_none_on_the_floor', { n: rank.bars.length })
}

/** Places the bars of the fore or the hind paws from left to right. */
export function pairOf(rank: Rank, name: string, paws: [string, string], size: Size): Pair {
  const s = sizes[size]
  const pair: Pair = { name, placed: [], paws: [], floors: [], width: 0 }
  let x = size === 'large' ? s.gap * 2 : s.gap // beside the scale
  let before: Bar | undefined
  for (const bar of rank.bars.filter(b => paws.includes(b.code.slice(0, 2)))) {
    const paw = bar.code.slice(0, 2)
    const changesPaw = before && before.code.slice(0, 2) !== paw
    const setsApart = before && (before.group === 'dewclaw') !== (bar.group === 'dewclaw')
    if (changesPaw) x += s.pawGap
    else if (setsApart) x += s.toeGap
    pair.placed.push({ bar, x })
    stretchFloor(pair, bar, x, s)
    x += s.bar + s.gap
    before = bar
  }
  pair.width = x
  pair.paws = paws.flatMap(paw => {
    const mine = pair.placed.filter(p => p.bar.code.startsWith(paw))
    if (mine.length === 0) return []
    return [{ name: paw, x: (mine[0]!.x + mine.at(-1)!.x + s.bar) / 2 }]
  })
  return pair
}

function stretchFloor(pair: Pair, bar: Bar, x: number, s: (typeof sizes)[Size]) {
  if (bar.group === 'dewclaw') return
  const last = pair.floors[pair.floors.length - 1]
  const to = x + s.bar + s.gap
  if (last && x - last.to <= s.gap + 0.5) last.to = to
  else pair.floors.push({ from: x - s.gap, to })
}
