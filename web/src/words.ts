import type { Schemas } from './api/client'
import { $t, named } from './i18n'

/** The interface's words for what the contract names. */

export const colours: Record<Schemas['Colour'], string> = named({
  unknown: 'words.not_looked_at',
  dark: 'words.dark',
  light: 'words.light',
  mixed: 'words.mixed',
})
export const shapes: Record<Schemas['Shape'], string> = named({
  straight: 'words.straight',
  usual: 'words.usual',
  hooked: 'words.hooked',
  curled: 'words.curled',
})
export const states: Record<Schemas['NailState'], string> = named({
  sound: 'words.sound',
  loose: 'words.loose',
  split: 'words.split',
  broken: 'words.broken',
  torn: 'words.torn',
  ingrown: 'words.grown_in',
})
export const groups: Record<Schemas['Group'], string> = named({
  fore: 'words.fore_nails',
  hind_middle: 'words.hind_middle_nails',
  hind_outer: 'words.hind_outer_nails',
  dewclaw: 'words.dewclaws',
})
export const coats: Record<Schemas['Coat'], string> = named({ short: 'words.short_hair', long: 'words.long_hair' })
export const sources: Record<Schemas['Source'], string> = named({
  told: 'words.you_said_so',
  measured: 'words.measured',
  learnt: 'words.learnt_from_this_dog',
  assumed: 'words.assumed_for_its_size',
})
/** Where a number of minutes came from. */
export const minuteSources: Record<Schemas['Source'], string> = named({
  told: 'words.as_you_said',
  measured: 'words.by_the_clock',
  learnt: 'words.learnt_from_this_dog',
  assumed: 'words.usual_for_your_hand',
})
export const sourceMarks: Record<Schemas['Source'], string> = { told: '▲', measured: '■', learnt: '◆', assumed: '○' }
export const rhythms: Record<Schemas['Rhythm'], string> = named({
  every_other_day: 'words.every_other_day',
  twice_a_week: 'words.twice_a_week',
  weekly: 'words.every_week',
  fortnightly: 'words.every_two_weeks',
  three_weeks: 'words.every_three_weeks',
  four_weeks: 'words.every_four_weeks',
  six_weeks: 'words.every_six_weeks',
})
/** Those that can be chosen for a dog: six weeks lie beyond the ceiling and are only compared with. */
export const choosableRhythms = Object.fromEntries(Object.entries(rhythms).filter(([r]) => r !== 'six_weeks'))
export const rules: Record<Schemas['Rule'], string> = named({
  pad: 'words.reaches_past_its_pad',
  rest: 'words.left_from_last_time',
  floor: 'words.reaches_the_floor',
  curl: 'words.a_dewclaw_curls',
  drift: 'words.the_quick_would_grow',
  once: 'words.agreed_for_once',
  no: 'words.it_said_no_its_training',
  rhythm: 'words.the_agreed_time_is_up',
  worth: 'words.enough_safe_to_trim_for',
})
export const tools: Record<Schemas['Tool'], string> = named({
  small_scissor: 'words.small_scissor_clipper',
  small_plier: 'words.small_plier_clipper',
  large_plier: 'words.large_plier_clipper',
  guillotine: 'words.guillotine_clipper',
  household_clipper: 'words.household_nail_clipper',
  grinder_band: 'words.grinder_sanding_band',
  grinder_diamond: 'words.grinder_diamond_bit',
  file: 'words.hand_file',
  scratch_board: 'words.scratch_board',
})
export const reactions: Record<Schemas['Reaction'], string> = named({
  calm: 'words.calm',
  uneasy: 'words.uneasy',
  pulling: 'words.pulling',
  fighting: 'words.fighting',
  snapping: 'words.snapping',
})
/** How it took it, as it was told; nothing where nobody said. */
export const reactionOf = (r?: Schemas['Reaction']) => (r ? reactions[r] : '')
export const touchings: Record<NonNullable<Schemas['Arrival']['touching']>, string> = named({
  none: 'words.none',
  some: 'words.some',
  most: 'words.most',
})
/** What was so at some sittings, and what it was like without. */
export const circumstances: Record<Schemas['Calmer']['what'], [string, string]> = {
  helper: [$t('words.with_a_helper'), $t('words.alone')],
  walk: [$t('words.after_a_walk'), $t('words.without_a_walk_first')],
  treats: [$t('words.with_treats_laid_out'), $t('words.without_treats')],
  grinder: [$t('words.with_the_grinder'), $t('words.with_the_clipper_alone')],
  morning: [$t('words.before_noon'), $t('words.later_in_the_day')],
  held_standing: [$t('words.held_standing'), $t('words.held_another_way')],
  held_foot_forward: [$t('words.with_the_foot_forward'), $t('words.held_another_way')],
  held_on_side: [$t('words.lying_on_its_side'), $t('words.held_another_way')],
  held_on_back: [$t('words.on_its_back'), $t('words.held_another_way')],
  held_lap: [$t('words.on_the_lap'), $t('words.held_another_way')],
  held_stool: [$t('words.from_the_stool'), $t('words.held_another_way')],
  held_ground: [$t('words.with_the_foot_on_the'), $t('words.held_another_way')],
  held_chest: [$t('words.against_a_helpers_chest'), $t('words.held_another_way')],
  held_armchair: [$t('words.in_the_armchair'), $t('words.held_another_way')],
}
/** What was seen before the first cut, in a few words. */
export const arrivalOf = (a?: Schemas['Arrival']) =>
  a
    ? [
        a.touching && $t('words.touching_before', { touching: touchings[a.touching] }),
        a.clicks && $t('words.clicked'),
        a.limps && $t('words.limped'),
        a.sore && $t('words.sore'),
      ]
        .filter(Boolean)
        .join(', ')
    : ''
/** What a reaction asks for: now, for the rest of today, and why where practitioners differ. */
export const answers: Record<Schemas['ReactionAnswer']['key'], { now: string; today: string; why?: string }> = {
  uneasy: { now: $t('words.pause_a_treat_a_softer'), today: $t('words.go_on_if_it_eases') },
  uneasy_again: { now: $t('words.pause_then_another_paw'), today: $t('words.the_second_time_today_come') },
  pulling: { now: $t('words.let_go_with_the_pull'), today: $t('words.take_the_paw_again_lower') },
  pulling_again: {
    now: $t('words.leave_this_paw_for_today'),
    today: $t('words.it_pulled_twice_here_another'),
    why: $t('words.some_do_one_more_easy'),
  },
  fighting: {
    now: $t('words.stop_this_paw_at_once'),
    today: $t('words.end_on_something_easy_one'),
    why: $t('words.this_paw_needs_a_week'),
  },
  fighting_again: {
    now: $t('words.stop_for_today'),
    today: $t('words.it_fought_twice_hands_away'),
    why: $t('words.both_paws_need_the_ladder'),
  },
  snapping: {
    now: $t('words.hands_away_stop_for_today'),
    today: $t('words.nobody_shouts_put_the_tool'),
    why: $t('words.no_trim_for_the_next'),
  },
}
/** The same with what one sees of it. */
export const signs: Record<Schemas['Reaction'], string> = named({
  calm: 'words.loose_takes_the_treat',
  uneasy: 'words.yawns_licks_its_lips',
  pulling: 'words.pulls_stiffens',
  fighting: 'words.fights_cries',
  snapping: 'words.snaps',
})
export const hands: Record<Schemas['Hand'], string> = named({
  new: 'words.new_to_it',
  some: 'words.some_practice',
  practised: 'words.practised',
})
export const noises: Record<Schemas['Noise'], string> = named({
  unknown: 'words.nobody_has_tried',
  fine: 'words.takes_its_sound',
  afraid: 'words.fears_its_sound',
})
export const pawOrders: Record<Schemas['PawOrder'], string> = named({
  hind_first: 'words.hind_first',
  lower_first: 'words.lower_legs_first_lying_on',
  hardest_first: 'words.hardest_paw_first_while_calm',
  hardest_last: 'words.hardest_paw_last',
  own: 'words.my_own_order',
})
export const positions: Record<Schemas['Position'], string> = named({
  standing: 'words.standing_foot_lifted_back',
  foot_forward: 'words.foot_held_forward',
  on_side: 'words.on_its_side',
  on_back: 'words.on_its_back_between_the',
  lap: 'words.on_a_lap',
  stool: 'words.standing_you_on_a_stool',
  ground: 'words.the_foot_stays_on_the',
  chest: 'words.against_a_helpers_chest',
  armchair: 'words.in_an_armchair',
})
export const helpings: Record<Schemas['Helping'], string> = named({
  alone: 'words.not_needed',
  wanted: 'words.worth_having',
  needed: 'words.never_without',
})
export const shelves: Record<Schemas['Shelf'], string> = named({
  cutters: 'words.cutters',
  grinders: 'words.grinder_bands_and_bits',
  files: 'words.files_and_boards',
  supplies: 'words.supplies',
  protection: 'words.protection',
})
export const kitKinds: Record<Schemas['KitKind'], string> = named({
  small_scissor: 'words.small_scissor_clipper',
  small_plier: 'words.small_plier_clipper',
  large_plier: 'words.large_plier_clipper',
  guillotine: 'words.guillotine_clipper',
  household_clipper: 'words.household_nail_clipper',
  grinder_band: 'words.sanding_band',
  grinder_diamond: 'words.diamond_bit',
  file: 'words.hand_file',
  scratch_board: 'words.scratch_board',
  grinder: 'words.grinder',
  styptic_powder: 'words.styptic_powder',
  silver_nitrate: 'words.silver_nitrate_stick',
  cornstarch: 'words.cornstarch',
  flour: 'words.plain_flour',
  baking_soda: 'words.baking_soda',
  cold_compress: 'words.cold_compress',
  treats: 'words.treats',
  light: 'words.lamp',
  water_spray: 'words.water_spray',
  mesh: 'words.mesh',
  non_slip_mat: 'words.non_slip_mat',
  muzzle: 'words.muzzle',
  eye_protection: 'words.eye_protection',
  dust_mask: 'words.dust_mask',
  hair_tie: 'words.hair_tie',
})
export const stocks: Record<Schemas['Stock'], string> = named({
  full: 'words.full',
  low: 'words.low',
  empty: 'words.empty',
})
export const tips: Record<Schemas['Tip'], string> = named({
  flat: 'words.flat_tip',
  round: 'words.round_tip',
  tapered: 'words.tapered_tip',
})
/** What was done to make a piece as new, and what is to be done. */
export const serviced: Record<Schemas['KitItem']['service'], string> = named({
  sharpen: 'words.sharpened',
  charge: 'words.charged',
  change: 'words.changed',
  refill: 'words.refilled',
})
export const ladderKinds: Record<Schemas['LadderKind'], string> = named({
  clipper: 'words.clipper',
  grinder: 'words.grinder',
  muzzle: 'words.muzzle',
  board: 'words.scratch_board',
})
export const weekdays: Record<Schemas['Weekday'], string> = named({
  mon: 'words.mon',
  tue: 'words.tue',
  wed: 'words.wed',
  thu: 'words.thu',
  fri: 'words.fri',
  sat: 'words.sat',
  sun: 'words.sun',
})
export const feelers: Record<Schemas['GapFeeler']['feeler'], string> = named({
  touches: 'words.touches',
  paper: 'words.paper_passes',
  card: 'words.bank_card_passes',
  coin: 'words.coin_passes',
})

/** What a number was read with. */
export const means: Record<Schemas['Means'], string> = named({
  caliper: 'words.by_caliper',
  feeler: 'words.by_feeler',
  eye: 'words.by_eye',
  photo: 'words.from_a_picture',
})
export const typedWiths = { caliper: means.caliper, eye: means.eye }

export const schools: Record<Schemas['School'], { name: string; says: string; but: string }> = {
  level: {
    name: $t('words.level'),
    says: $t('words.one_cut_parallel_to_the'),
    but: $t('words.takes_little_ridge_so_the'),
  },
  square: {
    name: $t('words.square'),
    says: $t('words.straight_across_the_nail_the'),
    but: $t('words.leaves_an_edge_at_the'),
  },
  steep: {
    name: $t('words.steep'),
    says: $t('words.leans_back_the_quick_runs'),
    but: $t('words.gains_little_height_the_bottom'),
  },
  sculpted: {
    name: $t('words.sculpted'),
    says: $t('words.square_then_the_top_bevelled'),
    but: $t('words.more_cuts_and_a_steady'),
  },
}

/** Options of a select, in the order in which the words stand. */
export const options = <K extends string>(words: Record<K, string>) =>
  (Object.entries(words) as [K, string][]).map(([value, text]) => ({ value, text }))

export const pawWords: Record<Schemas['Paw'], string> = named({
  LF: 'words.left_fore',
  RF: 'words.right_fore',
  LH: 'words.left_hind',
  RH: 'words.right_hind',
})
const digitWords = [
  '',
  $t('words.dewclaw'),
  $t('words.second_toe'),
  $t('words.third_toe'),
  $t('words.fourth_toe'),
  $t('words.fifth_toe'),
]

/** LF3 as a person would say it: left fore, third toe. */
export function nailInWords(code: string): string {
  const paw = pawWords[code.slice(0, 2) as keyof typeof pawWords]
  const digit = code.endsWith('b') ? $t('words.second_dewclaw') : digitWords[Number(code[2])]
  return `${paw}, ${digit}`
}

/** Minutes as people say them: under a minute, 6 min. */
export const minutesInWords = (minutes: number) =>
  minutes < 1 ? $t('words.a_minute') : $t('words.min', { minutes: Math.round(minutes) })

export const faces: Record<Schemas['Face'], string> = named({
  white: 'words.dry_white',
  grey: 'words.light_grey',
  dark_centre: 'words.dark_centre',
  dot: 'words.dark_a_dot',
  blush: 'words.pinkish',
  pink_dot: 'words.pink_dot',
  blood: 'words.blood',
})
export const landmarks: Record<Schemas['Landmark'], string> = named({
  groove: 'words.where_the_groove_ends',
  hook: 'words.where_the_hook_begins',
  torch: 'words.by_torch',
  seen: 'words.seen_through_the_nail',
})
export const measures: Record<Schemas['Measure'], string> = named({
  length_before: 'words.length_before',
  length_after: 'words.length_after',
  gap_before: 'words.gap_before',
  gap_after: 'words.gap_after',
  spare_left: 'words.left_before_the_quick',
})
/** The sign at which to stop, within a sentence. */
export const stopSigns: Partial<Record<Schemas['Face'], string>> = named({
  dark_centre: 'words.the_dark_centre',
  dot: 'words.the_dot',
  blush: 'words.the_pinkish_end',
  pink_dot: 'words.the_pink_dot',
})
export const asks: Record<Schemas['Ask'], string> = named({
  colour: 'words.light_or_dark',
  landmark: 'words.where_does_the_quick_end',
  sliver: 'words.take_it_then_look',
  face: 'words.what_does_the_end_show',
  smooth: 'words.run_a_finger_round_the',
})
/** What people note of a sitting, in one press. */
export const phrases = [
  $t('words.half_asleep'),
  $t('words.better_with_treats'),
  $t('words.did_not_like_the_sound'),
  $t('words.did_not_like_hind_paws'),
  $t('words.needs_a_second_pair_of'),
  $t('words.bath_before'),
  $t('words.bath_after'),
  $t('words.hair_cleared_from_the_pads'),
  $t('words.hair_wetted_down'),
  $t('words.mesh_over_the_paw'),
  $t('words.horn_was_wet_cut_ends'),
]
export const endPoints: Record<Schemas['EndPoint'], string> = named({
  first_sign: 'words.stop_at_the_first_sign',
  full: 'words.thin_slices_until_the_dot',
})

/** What sets a dog’s dates; empty is as the role has it. */
export const datesBy: Record<NonNullable<Schemas['Dates']>, string> = named({
  '': 'words.as_is_usual_for_you',
  floor: 'words.by_the_floor_when_a',
  calendar: 'words.by_the_calendar_as_often',
})
/** How a hand works a nail. */
export const ways: Record<NonNullable<Schemas['Way']>, string> = named({
  '': 'words.with_whatever_suits_the_nail',
  clip: 'words.clip',
  grind: 'words.grind',
  clip_then_grind: 'words.clip_all_of_a_paw',
})
/** The largest cuts that one may choose, mm. */
export const largestCuts = [0.5, 1, 1.5, 2, 2.5, 3]
export const howFar: Record<NonNullable<Schemas['SittingInput']['how_far']>, string> = named({
  tips: 'words.tips_only',
  first_sign: 'words.to_the_first_sign',
  full: 'words.as_far_as_it_goes',
})
