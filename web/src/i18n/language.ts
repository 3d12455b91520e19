import { keepText, readText } from '../local/storage'

/** The languages there are, each by its own name. */
export const languages = { en: 'English', de: 'Deutsch' }
export type Language = keyof typeof languages

const key = 'fribbet-language'
const known = (tag: string | null): tag is Language => tag !== null && tag in languages
const wished = readText(key)

/** This browser's own choice; at first what it asks pages for. */
export const language: Language = known(wished)
  ? wished
  : (navigator.languages.map(tag => tag.slice(0, 2)).find(known) ?? 'en')

document.documentElement.lang = language

/** A language holds for the whole page: it is loaded anew. */
export function chooseLanguage(to: Language) {
  keepText(key, to)
  location.reload()
}

/** How days and numbers are written. */
export const locale = { en: 'en-GB', de: 'de-DE' }[language]

const point = { en: '.', de: ',' }[language]

/** A number with so many digits after the point, or the comma. */
export const decimal = (n: number, digits: number) => n.toFixed(digits).replace('.', point)

/** A number with every digit that it has, as it is typed. */
export const written = (n: number) => String(n).replace('.', point)

/** How many there are of something, thousands parted. */
export const counted = (n: number) => n.toLocaleString(locale)
