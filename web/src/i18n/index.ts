import { createI18n } from 'vue-i18n'
import type { Key, Texts } from './keys'
import { language } from './language'

/** The texts of one language, there before anything else is read: a constant may hold them. */
const texts: Texts = language === 'de' ? (await import('./de')).default : (await import('./en')).default

const { global } = createI18n({ legacy: false, locale: language, messages: { [language]: texts } as Record<string, Texts> })

type Named = Record<string, unknown>

/** The text of that name, with what stands in it; a number decides between one and many. */
export function $t(key: Key, named: Named | number = {}, many?: number): string {
  if (typeof named === 'number') return global.t(key, named)
  return many === undefined ? global.t(key, named) : global.t(key, named, many)
}

export type { Key } from './keys'
