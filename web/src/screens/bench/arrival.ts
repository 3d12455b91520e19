import { computed, ref, watch, type Ref } from 'vue'
import type { Schemas } from '../../api/client'
import type { Told } from '../../local/bench'
import { kept } from '../../local/kept'

/** What a dog's feet were like on arrival: asked once, until something is done to a nail. */
export function useArrival(
  bench: Readonly<Ref<Schemas['Bench'] | null | undefined>>,
  sitting: string,
  tell: (told: Told) => unknown,
) {
  const kind = 'arrival'
  const passed = kept<boolean>(`fribbet-arrival-${sitting}`)
  const isPassed = ref(passed.read() ?? false)
  const asks = computed(
    () =>
      !isPassed.value &&
      !bench.value?.arrival &&
      (bench.value?.nails ?? []).every(n => n.cuts.length === 0 && !n.done && !n.skipped),
  )
  const arrival = ref<Schemas['Arrival']>()
  function pass() {
    if (arrival.value) tell({ kind, arrival: arrival.value })
    isPassed.value = true
    passed.keep(true)
  }
  watch(arrival, a => a?.touching && tell({ kind, arrival: a }))
  return { asks, arrival, pass }
}
