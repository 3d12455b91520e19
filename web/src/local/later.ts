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

/** The same value at most so often while it moves: what is dragged is asked for on the way. */
export function useOften<T>(value: Ref<T>, ms: number): Ref<T> {
  const often = ref(value.value) as Ref<T>
  let timer = 0
  watch(value, () => {
    if (timer) return
    timer = window.setTimeout(() => {
      timer = 0
      often.value = value.value
    }, ms)
  })
  onScopeDispose(() => clearTimeout(timer))
  return often
}
