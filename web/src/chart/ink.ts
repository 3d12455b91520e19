import { onBeforeUnmount, onMounted, ref } from 'vue'

/** A token's colour as the theme gives it now: a canvas cannot read CSS variables itself. */
export const token = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()

/** Counts up whenever the theme changes, so that what is drawn on a canvas is drawn anew. */
export function useThemeChanges() {
  const changes = ref(0)
  const watcher = new MutationObserver(() => changes.value++)
  onMounted(() => watcher.observe(document.documentElement, { attributeFilter: ['data-bs-theme'] }))
  onBeforeUnmount(() => watcher.disconnect())
  return changes
}

/** A hatch of one colour on another, so that no area is told by its colour alone. */
export function hatch(line: string, ground: string, step = 7): CanvasPattern | string {
  const tile = document.createElement('canvas')
  tile.width = tile.height = step
  const pen = tile.getContext('2d')
  if (!pen) return ground
  pen.fillStyle = ground
  pen.fillRect(0, 0, step, step)
  pen.strokeStyle = line
  pen.lineWidth = 1
  pen.beginPath()
  pen.moveTo(0, step)
  pen.lineTo(step, 0)
  pen.stroke()
  return pen.createPattern(tile, 'repeat') ?? ground
}
