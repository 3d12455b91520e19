/** Keeps the screen awake, where the browser allows, until what is returned is called: wet hands unlock nothing. */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | undefined
  let over = false
  async function ask() {
    if (over || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
    const got = await navigator.wakeLock.request('screen').catch(() => undefined) // such as a battery that is low
    if (over) void got?.release()
    else lock = got
  }
  void ask()
  document.addEventListener('visibilitychange', ask) // the browser lets it go with the page
  return () => {
    over = true
    document.removeEventListener('visibilitychange', ask)
    void lock?.release()
  }
}
