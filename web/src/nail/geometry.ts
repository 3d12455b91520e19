import type { Schemas } from '../api/client'

type Point = Schemas['Point']

/** The contract has a point as a list of two: forward and up, mm; up is down in a drawing. */
export const at = ([x = 0, z = 0]: Point) => ({ x, y: -z })

/** A straight line between two points, as attributes of an SVG line. */
export function lineOf(from: Point = [], to: Point = []) {
  const [p, q] = [at(from), at(to)]
  return { x1: p.x, y1: p.y, x2: q.x, y2: q.y }
}

/** The toe behind a nail whose outline begins and ends at the coat line, from the drawing's left edge. */
export function toeOf(outline: Point[], left: number) {
  const [from, to] = [at(outline[0] ?? []), at(outline.at(-1) ?? [])]
  return `M${left} ${from.y - 1.5}L${from.x} ${from.y}L${to.x} ${to.y}L${left} ${to.y + 1.5}Z`
}

/** A closed outline in mm, x forward and z up, as an SVG path. */
export const pathOf = (outline: Point[]) =>
  `M${outline
    .map(at)
    .map(p => `${p.x.toFixed(3)} ${p.y.toFixed(3)}`)
    .join('L')}Z`

/** The box that holds the nail now and after it has turned out, with room for the floor. */
export function boxOf(section: Schemas['Section']) {
  const xs = section.outline.map(p => at(p).x)
  const zs = section.outline.map(p => -at(p).y)
  const left = Math.min(...xs) - 4
  const right = Math.max(...xs) + 4
  const top = Math.max(...zs) + 2.5
  const floor = section.bar.group === 'dewclaw' ? [] : [0]
  const bottom = Math.min(...floor, ...zs) - 2
  return { x: left, y: -top, width: right - left, height: top - bottom }
}

/** Where a cut runs: between the two points of the kept outline that the whole one does not have. */
export function cutEdges(whole: Point[], kept: Point[]): [Point, Point][] {
  const known = new Set(whole.map(p => p.join()))
  const edges: [Point, Point][] = []
  kept.forEach((p, i) => {
    const q = kept[(i + 1) % kept.length] ?? p
    if (!known.has(p.join()) && !known.has(q.join())) edges.push([p, q])
  })
  return edges
}

/** Saves a drawing as it stands, its colours written into it, so that it looks the same elsewhere. */
export function saveDrawing(svg: SVGSVGElement, name: string) {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const from = [svg, ...svg.querySelectorAll('*')]
  const to = [copy, ...copy.querySelectorAll('*')]
  const kept = [
    'fill',
    'fill-opacity',
    'stroke',
    'stroke-width',
    'stroke-dasharray',
    'vector-effect',
    'opacity',
    'font-family',
    'font-size',
    'font-weight',
    'text-anchor',
  ]
  to.forEach((element, i) => {
    const style = getComputedStyle(from[i]!)
    kept.forEach(k => element.setAttribute(k, style.getPropertyValue(k)))
    element.removeAttribute('class')
  })
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', `${svg.viewBox.baseVal.width}mm`) // printed, it is the nail's own size
  copy.setAttribute('height', `${svg.viewBox.baseVal.height}mm`)
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([new XMLSerializer().serializeToString(copy)], { type: 'image/svg+xml' }))
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}
