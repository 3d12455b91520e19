import type { Schemas } from './api/client'

/** The interface's words for what the contract names. */

export const colours: Record<Schemas['Colour'], string> = {
  unknown: 'not looked at', dark: 'dark', light: 'light', mixed: 'mixed',
}
export const shapes: Record<Schemas['Shape'], string> = { straight: 'straight', usual: 'usual', hooked: 'hooked', curled: 'curled' }
export const states: Record<Schemas['NailState'], string> = {
  sound: 'sound', loose: 'loose', split: 'split', broken: 'broken', torn: 'torn', ingrown: 'grown in',
}
export const coats: Record<Schemas['Coat'], string> = { short: 'short hair', long: 'long hair' }
export const sources: Record<Schemas['Source'], string> = {
  told: 'told by you', measured: 'measured', learnt: 'learnt from this dog', assumed: 'assumed for its size',
}
export const sourceMarks: Record<Schemas['Source'], string> = { told: '▲', measured: '■', learnt: '◆', assumed: '○' }
export const rhythms: Record<Schemas['Rhythm'], string> = {
  every_other_day: 'every other day', twice_a_week: 'twice a week', weekly: 'every week',
  fortnightly: 'every two weeks', four_weeks: 'every four weeks',
}
export const rules: Record<Schemas['Rule'], string> = {
  pad: 'reaches past its pad', floor: 'reaches the floor', curl: 'a dewclaw curls', rhythm: 'the rhythm is up', worth: 'enough spare for a cut',
}
export const tools: Record<Schemas['Tool'], string> = {
  small_scissor: 'small scissor clipper', small_plier: 'small plier clipper', large_plier: 'large plier clipper',
  guillotine: 'guillotine clipper', household_clipper: 'household nail clipper', grinder_band: 'grinder, sanding band',
  grinder_diamond: 'grinder, diamond bit', file: 'hand file', scratch_board: 'scratch board',
}
export const reactions: Record<Schemas['Reaction'], string> = {
  calm: 'calm', uneasy: 'uneasy', pulling: 'pulling', fighting: 'fighting', snapping: 'snapping',
}
export const weekdays: Record<Schemas['Weekday'], string> = {
  mon: 'Mon', tue: 'Tue', wed: 'Wed', thu: 'Thu', fri: 'Fri', sat: 'Sat', sun: 'Sun',
}
export const feelers: Record<Schemas['GapFeeler']['feeler'], string> = {
  touches: 'touches', paper: 'paper passes', card: 'bank card passes', coin: 'coin passes',
}

export const schools: Record<Schemas['School'], { name: string; says: string; but: string }> = {
  level: { name: 'level', says: 'One cut parallel to the floor: quick, and the nail clears it evenly.', but: 'Takes little ridge, so the nail stays long in front.' },
  square: { name: 'square', says: 'Straight across the nail: the shortest face, easy to read.', but: 'Leaves an edge at the bottom that meets the floor first.' },
  steep: { name: 'steep', says: 'Leans back: the quick runs low, so the top front may go.', but: 'Gains little height: the bottom edge stays.' },
  sculpted: { name: 'sculpted', says: 'Square, then the top bevelled: rounds the horn round the quick.', but: 'More cuts, and a steady hand.' },
}

/** Options of a select, in the order in which the words stand. */
export const options = <K extends string>(words: Record<K, string>) =>
  (Object.entries(words) as [K, string][]).map(([value, text]) => ({ value, text }))

const pawWords = { LF: 'left fore', RF: 'right fore', LH: 'left hind', RH: 'right hind' }
const digitWords = ['', 'dewclaw', 'second toe', 'third toe', 'fourth toe', 'fifth toe']

/** LF3 as a person would say it: left fore, third toe. */
export function nailInWords(code: string): string {
  const paw = pawWords[code.slice(0, 2) as keyof typeof pawWords]
  const digit = code.endsWith('b') ? 'second dewclaw' : digitWords[Number(code[2])]
  return `${paw}, ${digit}`
}

/** A chance as people say it: about 1 in 20. */
export function chance(risk: number): string {
  if (risk < 0.001) return 'less than 1 in 1000'
  return `about 1 in ${Math.max(1, Math.round(1 / risk))}`
}
