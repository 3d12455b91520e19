import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'

/** Seconds since now, and as a clock shows them: 3:07. */
export function useStopwatch() {
  const began = Date.now()
  const now = ref(began)
  useIntervalFn(() => (now.value = Date.now()), 250)
  const seconds = computed(() => Math.floor((now.value - began) / 1000))
  return {
    seconds,
    clock: computed(() => `${Math.floor(seconds.value / 60)}:${String(seconds.value % 60).padStart(2, '0')}`),
  }
}
