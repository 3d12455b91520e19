import { ref } from 'vue'

/**
 * What this browser keeps as text. Where it may not, or there is no room, a page keeps it for as long as it is open.
 */
const page = new Map<string, string>()
/** Whether it is kept beyond the page. */
export const textKeeps = ref(true)

export function readText(key: string): string | null {
  try {
    return page.get(key) ?? localStorage.getItem(key)
  } catch {
    return null
  }
}

export function keepText(key: string, text: string) {
  page.delete(key)
  try {
    localStorage.setItem(key, text)
    textKeeps.value = true
  } catch {
    textKeeps.value = false
    page.set(key, text)
  }
}

export function dropText(key: string) {
  page.delete(key)
  try {
    localStorage.removeItem(key)
  } catch {
    // it was never kept
  }
}
