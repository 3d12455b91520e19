import { Workbox } from 'workbox-window'
import type { Router } from 'vue-router'

const hourMs = 3_600_000

/**
 * The offline shell, for a device in the house. When the program was updated it takes the new one over at once,
 * but never in mid-sitting: then once the bench is left.
 */
export function keepShell(router: Router) {
  const shell = new Workbox('/sw.js')
  let fresh = false
  const atBench = () => router.currentRoute.value.path.includes('/bench/')
  const takeOver = () => {
    if (fresh && !atBench()) shell.messageSkipWaiting()
  }
  shell.addEventListener('waiting', () => {
    fresh = true
    takeOver()
  })
  shell.addEventListener('controlling', event => {
    if (event.isUpdate) location.reload()
  })
  router.afterEach(takeOver)
  void shell.register()
  setInterval(() => void shell.update(), hourMs)
}
