import { computed, ref, watch, type Ref } from 'vue'
import type { Schemas } from '../../api/client'

type Nail = Schemas['BenchNail']

/** A nail that was clipped may be ground at the same sitting: its second pass. */
export const clipped = (n: Nail) => n.done && !n.blood && n.cuts.length > 0 && !n.cuts[0]!.touch

/** The nails of a sitting: which is in hand, which are closed, and where the sitting goes on. */
export function useNails(bench: Readonly<Ref<Schemas['Bench'] | null | undefined>>, settled: () => boolean) {
  const code = ref<string>()
  const nails = computed(() => bench.value?.nails ?? [])
  /** Closed by a press that does not show yet: the next press belongs to the next nail, however soon it comes. */
  const closing = ref(new Set<string>())
  watch(settled, is => is && closing.value.clear())
  const closed = (n: Nail) => n.done || n.skipped || n.blood || closing.value.has(n.code)
  const todays = computed(() => nails.value.filter(n => n.today))
  /** Where the sitting goes on: the first of today's nails that is not finished. */
  const open = computed(() => todays.value.find(n => !closed(n)))
  const nail = computed(() => nails.value.find(n => n.code === code.value) ?? open.value ?? nails.value[0])
  const paw = computed(() => nail.value?.code.slice(0, 2) as Schemas['Paw'])
  const counts = computed(() => ({
    done: nails.value.filter(n => n.done || (n.blood && n.cuts.length > 0)).length,
    left: todays.value.filter(n => !closed(n)).length,
  }))
  const marks = computed(() =>
    Object.fromEntries(
      nails.value.map(n => [n.code, n.blood ? 'blood' : n.done ? 'done' : n.skipped || !n.today ? 'left' : 'planned']),
    ),
  )
  watch(nails, all => {
    if (!code.value && all.length > 0) code.value = bench.value?.last?.nail ?? (open.value ?? all[0]!).code
  })

  /** Paws of which every nail of today is closed: a finger goes round them. */
  const finished = computed(() =>
    (bench.value?.holds ?? [])
      .map(h => h.paw)
      .filter(
        p =>
          todays.value.some(n => n.code.startsWith(p) && n.done) &&
          !todays.value.some(n => n.code.startsWith(p) && !closed(n)),
      ),
  )
  function goOn(from: Nail) {
    closing.value.add(from.code)
    code.value = todays.value.find(other => !closed(other) && other.code !== from.code)?.code ?? from.code
  }
  function go(by: number) {
    const at = nails.value.findIndex(n => n.code === nail.value?.code)
    code.value = nails.value[Math.min(nails.value.length - 1, Math.max(0, at + by))]?.code
  }
  return { code, nails, closing, closed, todays, open, nail, paw, counts, marks, finished, goOn, go }
}
