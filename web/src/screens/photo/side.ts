import { computed, type ComputedRef } from 'vue'
import type { Schemas } from '../../api/client'
import type { Handle } from './PictureStage.vue'
import { $t } from '../../i18n'

export type Spot = [number, number]
/** What was put on a second picture, taken from the side: the same card and the same two points of the nail. */
export interface SidePut {
  id: string
  card: Spot[]
  coat: Spot
  tip: Spot
  touched: string[]
}

export const cardLabels = [
  $t('photo.first_corner'),
  $t('photo.second_corner'),
  $t('photo.third_corner'),
  $t('photo.fourth_corner'),
]
const found = (p: Schemas['Picture']) => p.corners.length === 4
export function cornersOf(p: Schemas['Picture']): Spot[] {
  const at = (x: number, y: number): Spot => [p.width * x, p.height * y]
  return found(p) ? (p.corners as Spot[]) : [at(0.25, 0.15), at(0.75, 0.15), at(0.75, 0.6), at(0.25, 0.6)]
}
export const freshSide = (p: Schemas['Picture']): SidePut => ({
  id: p.id,
  card: cornersOf(p),
  coat: [p.width * 0.44, p.height * 0.75],
  tip: [p.width * 0.56, p.height * 0.8],
  touched: [],
})

/** The second picture as the stage shows it, what is still to be put on it, and what of it is sent. */
export function useSide(put: { side?: SidePut }, pictures: ComputedRef<Schemas['Picture'][]>) {
  const picture = computed(() => pictures.value.find(p => p.id === put.side?.id))
  const handles = computed<Handle[]>(() => {
    const s = put.side
    if (!s) return []
    return [
      ...s.card.map(([x, y], i) => ({ key: `card${i}`, label: cardLabels[i]!, x, y, corner: true })),
      { key: 'coat', label: $t('photo.coat_line'), x: s.coat[0], y: s.coat[1] },
      { key: 'tip', label: $t('photo.tip'), x: s.tip[0], y: s.tip[1] },
    ]
  })
  const lines = computed<Spot[][]>(() =>
    put.side
      ? [
          [...put.side.card, ...put.side.card.slice(0, 1)],
          [put.side.coat, put.side.tip],
        ]
      : [],
  )
  function move(key: string, x: number, y: number) {
    const s = put.side
    if (!s) return
    if (!s.touched.includes(key)) s.touched.push(key)
    if (key.startsWith('card')) s.card[Number(key.slice(4))] = [x, y]
    else s[key as 'coat' | 'tip'] = [x, y]
  }
  const missing = computed(() => {
    const s = put.side
    const p = picture.value
    if (!s) return ''
    if (!p) return $t('photo.the_picture_from_the_side')
    if (!found(p) && s.card.some((_, i) => !s.touched.includes(`card${i}`))) return $t('photo.from_the_side_drag_the')
    return s.touched.includes('coat') && s.touched.includes('tip') ? '' : $t('photo.from_the_side_drag_the_two')
  })
  const input = computed<Schemas['PhotoSide'] | undefined>(() => {
    const s = put.side
    const p = picture.value
    return s && p
      ? { width: p.width, height: p.height, handles: s.card, coat: s.coat, tip: s.tip, picture_id: p.id }
      : undefined
  })
  return { picture, handles, lines, move, missing, input }
}
