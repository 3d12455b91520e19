import { dropText, keepText, readText } from './storage'

/** Something unsaved that this browser keeps, so that a closed tab or a stopped server loses nothing. */
export function kept<T>(key: string) {
  return {
    read(): T | null {
      try {
        return JSON.parse(readText(key) ?? 'null') as T | null
      } catch {
        return null // not ours, or half written: as if there were nothing
      }
    },
    keep: (value: T) => keepText(key, JSON.stringify(value)),
    drop: () => dropText(key),
  }
}
