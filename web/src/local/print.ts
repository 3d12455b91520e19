import { useEventListener } from '@vueuse/core'

/** On paper nothing can be opened: what is folded is printed open, and folded again afterwards. */
export function printWhole() {
  let opened: HTMLDetailsElement[] = []
  useEventListener('beforeprint', () => {
    opened = [...document.querySelectorAll<HTMLDetailsElement>('main details:not([open])')]
    opened.forEach(d => (d.open = true))
  })
  useEventListener('afterprint', () => {
    opened.forEach(d => (d.open = false))
    opened = []
  })
}

export const print = () => window.print()
