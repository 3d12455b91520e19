import { onScopeDispose, ref, watch, type Ref } from 'vue'

/** The same value a moment later: what is being typed or dragged is asked for once it rests. */
export function useLater<T>(value: Ref<T>, ms = 180): Ref<T> {
  const later = ref(value.value) as Ref<T>
  let timer = 0
  watch(value, (now) => {
    clearTimeout(timer)
    timer = window.setTimeout(() => (later.value = now), ms)
  })
  onScopeDispose(() => clearTimeout(timer))
  return later
}
