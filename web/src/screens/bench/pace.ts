import { computed, ref, watch, type Ref } from 'vue'
import type { Schemas } from '../../api/client'
import { useSettings } from '../../api/queries'
import { kept } from '../../local/kept'

/** Which pace somebody chose for this dog; until then what is usual for the hand and the nail. */
export function usePace(dog: string, nail: Readonly<Ref<Schemas['BenchNail'] | undefined>>) {
  const settings = useSettings()
  const keptPace = computed(() =>
    kept<Schemas['Pace']>(`fribbet-pace-${dog}-${settings.data.value?.choices.hand ?? 'new'}`),
  )
  const chosen = ref<Schemas['Pace'] | null>(null)
  watch(keptPace, k => (chosen.value = k.read()), { immediate: true })
  const pace = computed(() => chosen.value ?? nail.value?.pace ?? 'steps')
  function choose(p: Schemas['Pace']) {
    chosen.value = p
    keptPace.value.keep(p)
  }
  return { pace, choose }
}
