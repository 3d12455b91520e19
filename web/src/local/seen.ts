import { readonly, ref } from 'vue'

/** Of when the last answer is, where Fribbet did not give it now and it was kept in this browser. */
const at = ref('')
export const seen = readonly(at)

/** Tells whether an answer is one that was kept. */
export function hearSeen(response: Response): boolean {
  const of = response.headers.get('Fribbet-Seen')
  at.value = of === null ? '' : new Date(of || Date.now()).toISOString()
  return of !== null
}

/** Whoever may not come in any more has nothing of what was last seen here. */
export const forgetSeen = () => ('caches' in window ? caches.delete('seen') : Promise.resolve(false))

/**
 * A device that was withdrawn keeps nothing of the book: not what it saw, not a bench, not what was still to be sent.
 */
export async function forgetAll() {
  try {
    localStorage.clear()
    indexedDB.deleteDatabase('fribbet')
    // the browser drops them by itself, too
    await Promise.race([dropCaches(), new Promise(over => setTimeout(over, 1000))])
  } catch {
    // what the browser does not give, it did not keep
  }
}
const dropCaches = async () => {
  await Promise.all((await navigator.serviceWorker.getRegistrations()).map(shell => shell.unregister()))
  await Promise.all((await caches.keys()).map(name => caches.delete(name)))
}
