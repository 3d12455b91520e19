import type { Schemas } from '../api/client'

type Point = Schemas['Point']

/** A closed outline in mm, x forward and z up, as an SVG path. */
export const pathOf = (outline: Point[]) => `M${outline.map(([x, z]) => `${x.toFixed(3)} ${(-z).toFixed(3)}`).join('L')}Z`

/** The box that holds the nail now and after it has turned out, with room for the floor. */
export function boxOf(section: Schemas['Section']) {
  const xs = section.outline.map((p) => p[0])
  const zs = section.outline.map((p) => p[1])
  const left = Math.min(...xs) - 4
  const right = Math.max(...xs) + 4
  const top = Math.max(...zs) + 2.5
  const floor = section.bar.group === 'dewclaw' ? [] : [0]
  const bottom = Math.min(...floor, ...zs) - 2
  return { x: left, y: -top, width: right - left, height: top - bottom }
}

/** Where a cut runs: between the two points of the kept outline that the whole one does not have. */
export function cutEdges(whole: Point[], kept: Point[]): [Point, Point][] {
  const known = new Set(whole.map((p) => p.join()))
  const edges: [Point, Point][] = []
  kept.forEach((p, i) => {
    const q = kept[(i + 1) % kept.length]
    if (!known.has(p.join()) && !known.has(q.join())) edges.push([p, q])
  })
  return edges
}

/** Saves a drawing as it stands, its colours written into it, so that it looks the same elsewhere. */
export function saveDrawing(svg: SVGSVGElement, name: string) {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const from = [svg, ...svg.querySelectorAll('*')]
  const to = [copy, ...copy.querySelectorAll('*')]
  const kept = ['fill', 'fill-opacity', 'stroke', 'stroke-width', 'stroke-dasharray', 'vector-effect', 'opacity', 'font-family', 'font-size', 'font-weight', 'text-anchor']
  from.forEach((element, i) => {
    const style = getComputedStyle(element)
    kept.forEach((k) => to[i].setAttribute(k, style.getPropertyValue(k)))
    to[i].removeAttribute('class')
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
