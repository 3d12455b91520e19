import type { Schemas } from './api/client'

/** The interface's words for what the contract names. */

export const colours: Record<Schemas['Colour'], string> = {
  unknown: 'not looked at', dark: 'dark', light: 'light', mixed: 'mixed',
}
export const shapes: Record<Schemas['Shape'], string> = { straight: 'straight', usual: 'usual', hooked: 'hooked', curled: 'curled' }
export const states: Record<Schemas['NailState'], string> = {
  sound: 'sound', loose: 'loose', split: 'split', broken: 'broken', torn: 'torn', ingrown: 'grown in',
}
export const groups: Record<Schemas['Group'], string> = {
  fore: 'fore nails', hind_middle: 'hind middle nails', hind_outer: 'hind outer nails', dewclaw: 'dewclaws',
}
export const coats: Record<Schemas['Coat'], string> = { short: 'short hair', long: 'long hair' }
export const sources: Record<Schemas['Source'], string> = {
  told: 'you said so', measured: 'measured', learnt: 'learnt from this dog', assumed: 'assumed for its size',
}
/** Where a number of minutes came from. */
export const minuteSources: Record<Schemas['Source'], string> = {
  told: 'as you said', measured: 'by the clock', learnt: 'learnt from this dog', assumed: 'usual for your hand',
}
export const sourceMarks: Record<Schemas['Source'], string> = { told: '▲', measured: '■', learnt: '◆', assumed: '○' }
export const rhythms: Record<Schemas['Rhythm'], string> = {
  every_other_day: 'every other day', twice_a_week: 'twice a week', weekly: 'every week',
  fortnightly: 'every two weeks', three_weeks: 'every three weeks', four_weeks: 'every four weeks', six_weeks: 'every six weeks',
}
/** Those that can be chosen for a dog: six weeks lie beyond the ceiling and are only compared with. */
export const choosableRhythms = Object.fromEntries(Object.entries(rhythms).filter(([r]) => r !== 'six_weeks'))
export const rules: Record<Schemas['Rule'], string> = {
  pad: 'reaches past its pad', rest: 'left from last time', floor: 'reaches the floor', curl: 'a dewclaw curls', drift: 'the quick would grow', once: 'agreed for once', no: 'it said no: its training first', rhythm: 'the agreed time is up', worth: 'enough safe to trim for a cut',
}
export const tools: Record<Schemas['Tool'], string> = {
  small_scissor: 'small scissor clipper', small_plier: 'small plier clipper', large_plier: 'large plier clipper',
  guillotine: 'guillotine clipper', household_clipper: 'household nail clipper', grinder_band: 'grinder, sanding band',
  grinder_diamond: 'grinder, diamond bit', file: 'hand file', scratch_board: 'scratch board',
}
export const reactions: Record<Schemas['Reaction'], string> = {
  calm: 'calm', uneasy: 'uneasy', pulling: 'pulling', fighting: 'fighting', snapping: 'snapping',
}
/** How it took it, as it was told; nothing where nobody said. */
export const reactionOf = (r?: Schemas['Reaction']) => (r ? reactions[r] : '')
export const touchings: Record<NonNullable<Schemas['Arrival']['touching']>, string> = { none: 'none', some: 'some', most: 'most' }
/** What was so at some sittings, and what it was like without. */
export const circumstances: Record<Schemas['Calmer']['what'], [string, string]> = {
  helper: ['with a helper', 'alone'], walk: ['after a walk', 'without a walk first'], treats: ['with treats laid out', 'without treats'], grinder: ['with the grinder', 'with the clipper alone'],
  morning: ['before noon', 'later in the day'], held_standing: ['standing', 'held another way'], held_foot_forward: ['with the foot forward', 'held another way'], held_on_side: ['lying on its side', 'held another way'],
  held_on_back: ['on its back', 'held another way'], held_lap: ['on the lap', 'held another way'], held_stool: ['from the stool', 'held another way'], held_ground: ['with the foot on the ground', 'held another way'],
  held_chest: ['against a helper’s chest', 'held another way'], held_armchair: ['in the armchair', 'held another way'],
}
/** What was seen before the first cut, in a few words. */
export const arrivalOf = (a?: Schemas['Arrival']) => (a ? [a.touching && `${touchings[a.touching]} touching before`, a.clicks && 'clicked', a.limps && 'limped', a.sore && 'sore'].filter(Boolean).join(', ') : '')
/** What a reaction asks for: now, for the rest of today, and why where practitioners differ. */
export const answers: Record<Schemas['ReactionAnswer']['key'], { now: string; today: string; why?: string }> = {
  uneasy: { now: 'Pause. A treat, a softer hold.', today: 'Go on if it eases. A yawn alone says little: look at tail, ears and body.' },
  uneasy_again: { now: 'Pause, then another paw.', today: 'The second time today. Come back to this paw last, or another day.' },
  pulling: { now: 'Let go with the pull. Wait.', today: 'Take the paw again lower, when the leg is loose.' },
  pulling_again: { now: 'Leave this paw for today.', today: 'It pulled twice here. Another paw, or enough for today.', why: 'Some do one more easy touch first, so that pulling does not end it. We stop: a fight once costs months.' },
  fighting: { now: 'Stop this paw at once.', today: 'End on something easy. One more paw at most, and only if it is calm again.', why: 'This paw needs a week or two of the ladder, a helper and another hold before the next try.' },
  fighting_again: { now: 'Stop for today.', today: 'It fought twice. Hands away, a treat on the floor, and that is all.', why: 'Both paws need the ladder before the next try.' },
  snapping: { now: 'Hands away. Stop for today.', today: 'Nobody shouts. Put the tool down, let it go, a treat on the floor.', why: 'No trim for the next weeks: the ladder first, a muzzle it is trained to, a helper. What cannot wait: ask your veterinarian.' },
}
/** The same with what one sees of it. */
export const signs: Record<Schemas['Reaction'], string> = {
  calm: 'loose, takes the treat', uneasy: 'yawns, licks its lips', pulling: 'pulls, stiffens', fighting: 'fights, cries', snapping: 'snaps',
}
export const hands: Record<Schemas['Hand'], string> = { new: 'new to it', some: 'some practice', practised: 'practised' }
export const noises: Record<Schemas['Noise'], string> = { unknown: 'nobody has tried', fine: 'takes its sound', afraid: 'fears its sound' }
export const pawOrders: Record<Schemas['PawOrder'], string> = {
  hind_first: 'hind first', lower_first: 'lower legs first, lying on its side', hardest_first: 'hardest paw first, while calm',
  hardest_last: 'hardest paw last', own: 'my own order',
}
export const positions: Record<Schemas['Position'], string> = {
  standing: 'standing, foot lifted back', foot_forward: 'foot held forward', on_side: 'on its side', on_back: 'on its back, between the knees',
  lap: 'on a lap', stool: 'standing, you on a stool', ground: 'the foot stays on the ground', chest: 'against a helper’s chest', armchair: 'in an armchair',
}
export const helpings: Record<Schemas['Helping'], string> = { alone: 'not needed', wanted: 'worth having', needed: 'never without' }
export const shelves: Record<Schemas['Shelf'], string> = {
  cutters: 'Cutters', grinders: 'Grinder, bands and bits', files: 'Files and boards', supplies: 'Supplies', protection: 'Protection',
}
export const kitKinds: Record<Schemas['KitKind'], string> = {
  small_scissor: 'small scissor clipper', small_plier: 'small plier clipper', large_plier: 'large plier clipper',
  guillotine: 'guillotine clipper', household_clipper: 'household nail clipper', grinder_band: 'sanding band', grinder_diamond: 'diamond bit',
  file: 'hand file', scratch_board: 'scratch board', grinder: 'grinder', styptic_powder: 'styptic powder', silver_nitrate: 'silver nitrate stick',
  cornstarch: 'cornstarch', flour: 'plain flour', baking_soda: 'baking soda', cold_compress: 'cold compress', treats: 'treats', light: 'light',
  water_spray: 'water spray', mesh: 'mesh', non_slip_mat: 'non-slip mat', muzzle: 'muzzle', eye_protection: 'eye protection',
  dust_mask: 'dust mask', hair_tie: 'hair tie',
}
export const stocks: Record<Schemas['Stock'], string> = { full: 'full', low: 'low', empty: 'empty' }
export const tips: Record<Schemas['Tip'], string> = { flat: 'flat tip', round: 'round tip', tapered: 'tapered tip' }
/** What was done to make a piece as new, and what is to be done. */
export const serviced: Record<Schemas['KitItem']['service'], string> = { sharpen: 'Sharpened', charge: 'Charged', change: 'Changed', refill: 'Refilled' }
export const ladderKinds: Record<Schemas['LadderKind'], string> = { clipper: 'clipper', grinder: 'grinder', muzzle: 'muzzle', board: 'scratch board' }
export const weekdays: Record<Schemas['Weekday'], string> = {
  mon: 'Mon', tue: 'Tue', wed: 'Wed', thu: 'Thu', fri: 'Fri', sat: 'Sat', sun: 'Sun',
}
export const feelers: Record<Schemas['GapFeeler']['feeler'], string> = {
  touches: 'touches', paper: 'paper passes', card: 'bank card passes', coin: 'coin passes',
}

/** What a number was read with. */
export const means: Record<Schemas['Means'], string> = { caliper: 'by caliper', feeler: 'by feeler', eye: 'by eye', photo: 'from a picture' }
export const typedWiths = { caliper: means.caliper, eye: means.eye }

export const schools: Record<Schemas['School'], { name: string; says: string; but: string }> = {
  level: { name: 'level', says: 'One cut parallel to the floor: quick, and the nail clears it evenly.', but: 'Takes little ridge, so the nail stays long in front.' },
  square: { name: 'square', says: 'Straight across the nail: the shortest cut end, easy to read.', but: 'Leaves an edge at the bottom that meets the floor first.' },
  steep: { name: 'steep', says: 'Leans back: the quick runs low, so the top front may go.', but: 'Gains little height: the bottom edge stays.' },
  sculpted: { name: 'sculpted', says: 'Square, then the top bevelled: rounds the horn round the quick.', but: 'More cuts, and a steady hand.' },
}

/** Options of a select, in the order in which the words stand. */
export const options = <K extends string>(words: Record<K, string>) =>
  (Object.entries(words) as [K, string][]).map(([value, text]) => ({ value, text }))

export const pawWords: Record<Schemas['Paw'], string> = { LF: 'left fore', RF: 'right fore', LH: 'left hind', RH: 'right hind' }
const digitWords = ['', 'dewclaw', 'second toe', 'third toe', 'fourth toe', 'fifth toe']

/** LF3 as a person would say it: left fore, third toe. */
export function nailInWords(code: string): string {
  const paw = pawWords[code.slice(0, 2) as keyof typeof pawWords]
  const digit = code.endsWith('b') ? 'second dewclaw' : digitWords[Number(code[2])]
  return `${paw}, ${digit}`
}

/** Minutes as people say them: under a minute, 6 min. */
export const minutesInWords = (minutes: number) => (minutes < 1 ? 'a minute' : `${Math.round(minutes)} min`)

export const faces: Record<Schemas['Face'], string> = {
  white: 'dry, white', grey: 'light grey', dark_centre: 'dark centre', dot: 'dark, a dot', blush: 'pinkish', pink_dot: 'pink dot', blood: 'blood',
}
export const landmarks: Record<Schemas['Landmark'], string> = {
  groove: 'where the groove ends', hook: 'where the hook begins', torch: 'by torch', seen: 'seen through the nail',
}
export const measures: Record<Schemas['Measure'], string> = {
  length_before: 'length before', length_after: 'length after', gap_before: 'gap before', gap_after: 'gap after', spare_left: 'left before the quick',
}
/** The sign at which to stop, within a sentence. */
export const stopSigns: Partial<Record<Schemas['Face'], string>> = { dark_centre: 'the dark centre', dot: 'the dot', blush: 'the pinkish end', pink_dot: 'the pink dot' }
export const asks: Record<Schemas['Ask'], string> = {
  colour: 'Light or dark?', landmark: 'Where does the quick end?', sliver: 'Take it, then look', face: 'What does the end show?', smooth: 'Run a finger round the edge: smooth?',
}
/** What people note of a sitting, in one press. */
export const phrases = ['half asleep', 'better with treats', 'did not like the sound', 'did not like hind paws', 'needs a second pair of hands', 'bath before', 'bath after', 'hair cleared from the pads', 'hair wetted down', 'mesh over the paw', 'horn was wet: cut ends hard to read']
export const endPoints: Record<Schemas['EndPoint'], string> = { first_sign: 'stop at the first sign', full: 'thin slices until the dot' }

/** How a hand works a nail. */
/** What sets a dog’s dates; empty is as the role has it. */
export const datesBy: Record<NonNullable<Schemas['Dates']>, string> = { '': 'as is usual for you', floor: 'by the floor: when a nail touches', calendar: 'by the calendar: as often as was agreed' }
export const ways: Record<NonNullable<Schemas['Way']>, string> = { '': 'with whatever suits the nail', clip: 'clip', grind: 'grind', clip_then_grind: 'clip all of a paw, then grind it round' }
/** The largest cuts that one may choose, mm. */
export const largestCuts = [0.5, 1, 1.5, 2, 2.5, 3]
export const howFar: Record<NonNullable<Schemas['SittingInput']['how_far']>, string> = {
  tips: 'tips only', first_sign: 'to the first sign', full: 'as far as it goes',
}
export const visitStates: Record<Schemas['VisitState'], string> = { offered: 'offered', agreed: 'agreed', here: 'on the table', done: 'done', missed: 'missed', called_off: 'called off' }
export const reaches: Record<Schemas['OwnerRow']['reach'], string> = { text: 'text message', mail: 'mail', hand: 'by hand' }
export const listColumns: Record<Schemas['ListColumn'], string> = { '': 'not read', owner: 'owner', phone: 'telephone', mail: 'mail', dog: 'dog', weight: 'weight', born: 'born', age: 'age', note: 'note' }
export const messageStates: Record<Schemas['Message']['state'], string> = { waiting: 'waits', sent: 'sent', delivered: 'delivered', answered: 'answered', failed: 'not sent', person: 'waits for you' }
export const messageKinds: Record<Schemas['MessageKind'], string> = { places: 'Places are offered', agreed: 'A place is agreed', tomorrow: 'The day before', moved: 'A visit has moved', late: 'The day runs late', missed: 'Nobody came', due: 'Due, and nothing agreed' }
