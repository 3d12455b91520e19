import { createI18n } from 'vue-i18n'
import type { Key, Texts } from './keys'
import { language } from './language'

/** The texts of one language, there before anything else is read: a constant may hold them. */
const texts: Texts = language === 'de' ? (await import('./de')).default : (await import('./en')).default

/** A key is a subject and a name in it, and nothing deeper. */
function messageResolver(all: unknown, key: string) {
  const dot = key.indexOf('.')
  return (all as Record<string, Record<string, string>>)[key.slice(0, dot)]?.[key.slice(dot + 1)] ?? null
}

const { global } = createI18n({
  legacy: false,
  locale: language,
  messages: { [language]: texts },
  messageResolver,
})

type Values = Record<string, unknown>

/** The text of that name, with what stands in it; a number decides between one and many. */
export function $t(key: Key, named: Values | number = {}, many?: number): string {
  if (typeof named === 'number') return global.t(key, named)
  return many === undefined ? global.t(key, named) : global.t(key, named, many)
}

/** Texts by what they name, each said when it is asked for: a page shows few of them. */
export function named<K extends string>(keys: Record<K, Key>): Record<K, string> {
  const texts = {} as Record<K, string>
  for (const k in keys) Object.defineProperty(texts, k, { enumerable: true, get: () => $t(keys[k]) })
  return texts
}

export type { Key } from './keys'
