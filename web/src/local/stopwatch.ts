import { computed, onScopeDispose, ref } from 'vue'

/** Seconds since now, and as a clock shows them: 3:07. */
export function useStopwatch() {
  const began = Date.now()
  const now = ref(began)
  const ticking = setInterval(() => (now.value = Date.now()), 250)
  onScopeDispose(() => clearInterval(ticking))
  const seconds = computed(() => Math.floor((now.value - began) / 1000))
  return { seconds, clock: computed(() => `${Math.floor(seconds.value / 60)}:${String(seconds.value % 60).padStart(2, '0')}`) }
}
