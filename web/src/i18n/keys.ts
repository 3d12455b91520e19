import type en from './en'

/** What every language has: the same subjects, the same keys. */
export type Texts = { [S in keyof typeof en]: Record<keyof (typeof en)[S], string> }

/** A text's name: its subject, and what it says. */
export type Key = { [S in keyof Texts]: `${S}.${Extract<keyof Texts[S], string>}` }[keyof Texts]
