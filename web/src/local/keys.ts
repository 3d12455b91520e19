import { useEventListener } from '@vueuse/core'
import { onMounted } from 'vue'
import type { Router } from 'vue-router'

/** Whether a key press belongs to something that is being typed into. */
export const isTyping = (event: KeyboardEvent) =>
  event.target instanceof HTMLElement && event.target.closest('input, select, textarea, [contenteditable]') !== null

/**
 * A screen's keys: they come before those that work everywhere, which leave alone what a screen acted on; what a part
 * of it opens comes before the screen.
 */
export const onKey = (handle: (event: KeyboardEvent) => void) =>
  onMounted(() => useEventListener('keydown', handle, { capture: true }))

/** Does what a key stands for, and nothing else that the browser would do with it. */
export function act(event: KeyboardEvent, does: () => unknown) {
  event.preventDefault()
  does()
}

/** Keys that work on every screen: / search, g then a letter to go somewhere, ? all keys. */
export function useGlobalKeys(router: Router, help: () => void) {
  const places: Record<string, string> = {
    d: '/',
    b: '/bench',
    l: '/ladder',
    k: '/kit',
    p: '/practice',
    n: '/today',
    o: '/round',
    t: '/round/book',
    a: '/dogs/new',
    m: '/more',
    w: '/words',
    s: '/settings',
  }
  let going = 0
  useEventListener('keydown', event => {
    if (event.defaultPrevented || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    const dog = router.currentRoute.value.params.dogId
    // of the dog one is looking at
    const place = event.key === 'r' && dog ? `/dogs/${String(dog)}/rhythm` : places[event.key]
    if (Date.now() - going < 1500 && place) {
      event.preventDefault()
      going = 0
      void router.push(place)
    } else if (event.key === 'g') {
      going = Date.now()
    } else if (event.key === '?') {
      help()
    } else if (event.key === '/') {
      event.preventDefault()
      void router.push('/').then(() => setTimeout(() => document.getElementById('search')?.focus()))
    }
  })
}
