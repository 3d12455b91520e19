import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'

/**
 * How much of a long list is drawn: what the first view shows at once, the rest in small portions while nothing
 * else waits, so that a slow phone answers a thumb meanwhile.
 */
export function useGradually<T>(list: Ref<T[]>, first = 3, portion = 1): Ref<T[]> {
  const drawn = ref(first)
  let timer = 0
  watch(() => list.value.length, next, { immediate: true })
  function next() {
    clearTimeout(timer)
    if (drawn.value < list.value.length)
      timer = window.setTimeout(() => {
        drawn.value += portion
        next()
      }, 16)
  }
  onScopeDispose(() => clearTimeout(timer))
  return computed(() => list.value.slice(0, drawn.value))
}
