import { useWakeLock } from '@vueuse/core'
import { onScopeDispose } from 'vue'

/** Keeps the screen awake, where the browser allows, as long as a screen is there: wet hands unlock nothing. */
export function useAwake() {
  const lock = useWakeLock()
  let over = false
  // given when nobody wants it any more
  const kept = lock.request('screen').then(() => (over ? lock.release() : undefined))
  void kept.catch(() => undefined) // such as a battery that is low
  onScopeDispose(() => (over = true))
}
