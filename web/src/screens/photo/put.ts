import { computed, reactive, ref, watch, type Ref } from 'vue'
import type { Schemas } from '../../api/client'
import { $t } from '../../i18n'
import { kept } from '../../local/kept'
import type { Handle } from './PictureStage.vue'
import { cardLabels, cornersOf, type SidePut, type Spot } from './side'

/** What was put on a picture; the card's corners stay for its other nails. */
export interface Put {
  side?: SidePut
  reference: 'card' | 'known'
  known: string
  held: Schemas['PhotoInput']['held']
  card: Spot[]
  ends: Spot[]
  marks: Partial<Record<Mark, Spot>>
  touched: string[]
  code: string
}
/** Points on the nail that need not be there. */
export const optional = {
  ridge: $t('photo.bend_of_the_ridge'),
  groove: $t('photo.end_of_the_groove'),
  pink: $t('photo.end_of_the_pink'),
  pad: $t('photo.edge_of_the_pad'),
  floor: $t('photo.floor_under_it'),
} as const
export type Optional = keyof typeof optional
type Mark = 'coat' | 'tip' | 'low' | Optional
const labels: Record<Mark, string> = {
  coat: $t('photo.coat_line'),
  tip: $t('photo.tip'),
  low: $t('photo.lowest_point'),
  ...optional,
}

function fresh(p: Schemas['Picture'], code: string): Put {
  const at = (x: number, y: number): Spot => [p.width * x, p.height * y]
  return {
    side: undefined,
    reference: 'card',
    known: '',
    held: undefined,
    touched: [],
    code,
    ends: [at(0.3, 0.4), at(0.5, 0.4)],
    marks: { coat: at(0.44, 0.75), tip: at(0.56, 0.8) },
    card: cornersOf(p),
  }
}

/** Handles and points on a picture, kept in this browser with the picture they stand on. */
export function usePut(picture: Readonly<Ref<Schemas['Picture'] | undefined>>, code: Readonly<Ref<string>>) {
  const put = reactive<Put>({
    side: undefined,
    reference: 'card',
    known: '',
    held: undefined,
    card: [],
    ends: [],
    marks: {},
    touched: [],
    code: '',
  })
  const store = computed(() => kept<Put>(`fribbet-photo-${picture.value?.hash}`))
  watch(
    [picture, code],
    ([p, c], [was]) => {
      if (p && p !== was) Object.assign(put, fresh(p, c), store.value.read() ?? {})
      if (put.code === c) return
      const cards = (touched: string[]) => touched.filter(key => /\d$/.test(key)) // another nail's points are nobody's
      Object.assign(put, {
        code: c,
        touched: cards(put.touched),
        side: put.side && { ...put.side, touched: cards(put.side.touched) },
      })
    },
    { immediate: true },
  )
  watch(put, () => picture.value && store.value.keep(put), { deep: true })

  const handles = computed<Handle[]>(() => [
    ...(put.reference === 'card'
      ? put.card.map(([x, y], i) => ({ key: `card${i}`, label: cardLabels[i]!, x, y, corner: true }))
      : put.ends.map(([x, y], i) => ({
          key: `ends${i}`,
          label: i === 0 ? $t('photo.one_end') : $t('photo.the_other_end'),
          x,
          y,
          corner: true,
        }))),
    ...Object.entries(put.marks).map(([key, [x, y]]) => ({ key, label: labels[key as Mark], x, y })),
  ])
  const lines = computed<Spot[][]>(() => {
    const m = put.marks
    return [
      put.reference === 'card' ? [...put.card, ...put.card.slice(0, 1)] : put.ends,
      [m.coat, m.ridge, m.tip].filter(p => p !== undefined),
      m.low && m.floor ? [m.low, m.floor] : [],
    ].filter(l => l.length > 1)
  })
  const active = ref<string>()
  function move(key: string, x: number, y: number) {
    if (!put.touched.includes(key)) put.touched.push(key)
    const list = /^(card|ends)(\d)$/.exec(key)
    if (list) put[list[1] as 'card' | 'ends'][Number(list[2])] = [x, y]
    else put.marks[key as Mark] = [x, y]
  }
  function toggle(mark: Optional) {
    const { coat, tip } = put.marks as Record<'coat' | 'tip', Spot>
    const between = (share: number, down = 0): Spot => [
      coat[0] + (tip[0] - coat[0]) * share,
      coat[1] + (tip[1] - coat[1]) * share + down,
    ]
    put.touched = put.touched.filter(key => key !== mark && (key !== 'low' || mark !== 'floor'))
    if (put.marks[mark]) {
      delete put.marks[mark]
      if (mark === 'floor') delete put.marks.low
      return
    }
    const far = (picture.value?.height ?? 0) / 20
    put.marks[mark] = {
      ridge: between(0.5),
      groove: between(0.7, far / 2),
      pink: between(0.7),
      pad: between(0.5, far),
      floor: between(1, far),
    }[mark]
    if (mark === 'floor') put.marks.low = between(1)
    active.value = mark
  }
  return { put, handles, lines, active, move, toggle }
}
