/** Where a bar stands and ends, px: x of its left edge, its width, its top and its tip. */
export interface Place {
  x: number
  w: number
  top: number
  tip: number
}

/** The bar's outline: a nail's end is pointed while it is clear of the floor, and flat where it stands on it. */
export function outline({ x, w, top, tip }: Place, flat: boolean): string {
  if (flat) return `M${x} ${top}H${x + w}V${tip - 1}L${x + w + 1.5} ${tip}H${x - 1.5}L${x} ${tip - 1}Z`
  const shoulder = Math.max(top, tip - w * 0.7)
  return `M${x} ${top}H${x + w}V${shoulder}Q${x + w} ${tip - w * 0.15} ${x + w / 2} ${tip}Q${x} ${tip - w * 0.15} ${x} ${shoulder}Z`
}
export const touch = ({ x, w, tip }: Place) => `M${x - 1.5} ${tip + 2.5}h${w + 3}`
export const curl = ({ x, w, tip }: Place) => `M${x + w / 2} ${tip + 1}q0 ${w * 0.55} ${-w * 0.5} ${w * 0.4}`
export const crack = ({ x, w, tip }: Place) =>
  `M${x + w * 0.3} ${tip}l${w * 0.3} ${-w * 0.6}l${-w * 0.3} ${-w * 0.5}l${w * 0.4} ${-w * 0.7}`
