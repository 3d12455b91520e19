import { act, isTyping, onKey } from '../../local/keys'

/** What the keys of the bench do; undefined while another panel stands over it. */
export interface BenchKeys {
  /** The space bar and the pedal: what the large button says. */
  next: () => void
  /** The figures: the nth of what the nail in hand asks. Undefined where it asks nothing. */
  answer?: (place: number) => void
  /** Letters, and the pedal's other side. */
  letters: Record<string, () => void>
}

export function useBenchKeys(keys: () => BenchKeys | undefined) {
  onKey(event => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    const now = keys()
    if (!now) return
    const onButton = event.target instanceof HTMLElement && event.target.closest('button, a, summary')
    if (event.key === ' ' && onButton) return
    const place = '1234567'.indexOf(event.key)
    const { answer } = now
    if (place >= 0 && answer) return act(event, () => answer(place))
    const does =
      event.key === ' ' || event.key === 'PageDown'
        ? now.next
        : (now.letters[event.key] ?? now.letters[event.key.toLowerCase()])
    if (does) act(event, does)
  })
}
