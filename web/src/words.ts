import type { Schemas } from './api/client'
import { $t } from './i18n'

/** The interface's words for what the contract names. */

export const colours: Record<Schemas['Colour'], string> = {
  unknown: $t('words.not_looked_at'), dark: $t('words.dark'), light: $t('words.light'), mixed: $t('words.mixed'),
}
export const shapes: Record<Schemas['Shape'], string> = { straight: $t('words.straight'), usual: $t('words.usual'), hooked: $t('words.hooked'), curled: $t('words.curled') }
export const states: Record<Schemas['NailState'], string> = {
  sound: $t('words.sound'), loose: $t('words.loose'), split: $t('words.split'), broken: $t('words.broken'), torn: $t('words.torn'), ingrown: $t('words.grown_in'),
}
export const groups: Record<Schemas['Group'], string> = {
  fore: $t('words.fore_nails'), hind_middle: $t('words.hind_middle_nails'), hind_outer: $t('words.hind_outer_nails'), dewclaw: $t('words.dewclaws'),
}
export const coats: Record<Schemas['Coat'], string> = { short: $t('words.short_hair'), long: $t('words.long_hair') }
export const sources: Record<Schemas['Source'], string> = {
  told: $t('words.you_said_so'), measured: $t('words.measured'), learnt: $t('words.learnt_from_this_dog'), assumed: $t('words.assumed_for_its_size'),
}
/** Where a number of minutes came from. */
export const minuteSources: Record<Schemas['Source'], string> = {
  told: $t('words.as_you_said'), measured: $t('words.by_the_clock'), learnt: $t('words.learnt_from_this_dog'), assumed: $t('words.usual_for_your_hand'),
}
export const sourceMarks: Record<Schemas['Source'], string> = { told: '▲', measured: '■', learnt: '◆', assumed: '○' }
export const rhythms: Record<Schemas['Rhythm'], string> = {
  every_other_day: $t('words.every_other_day'), twice_a_week: $t('words.twice_a_week'), weekly: $t('words.every_week'),
  fortnightly: $t('words.every_two_weeks'), three_weeks: $t('words.every_three_weeks'), four_weeks: $t('words.every_four_weeks'), six_weeks: $t('words.every_six_weeks'),
}
/** Those that can be chosen for a dog: six weeks lie beyond the ceiling and are only compared with. */
export const choosableRhythms = Object.fromEntries(Object.entries(rhythms).filter(([r]) => r !== 'six_weeks'))
export const rules: Record<Schemas['Rule'], string> = {
  pad: $t('words.reaches_past_its_pad'), rest: $t('words.left_from_last_time'), floor: $t('words.reaches_the_floor'), curl: $t('words.a_dewclaw_curls'), drift: $t('words.the_quick_would_grow'), once: $t('words.agreed_for_once'), no: $t('words.it_said_no_its_training'), rhythm: $t('words.the_agreed_time_is_up'), worth: $t('words.enough_safe_to_trim_for'),
}
export const tools: Record<Schemas['Tool'], string> = {
  small_scissor: $t('words.small_scissor_clipper'), small_plier: $t('words.small_plier_clipper'), large_plier: $t('words.large_plier_clipper'),
  guillotine: $t('words.guillotine_clipper'), household_clipper: $t('words.household_nail_clipper'), grinder_band: $t('words.grinder_sanding_band'),
  grinder_diamond: $t('words.grinder_diamond_bit'), file: $t('words.hand_file'), scratch_board: $t('words.scratch_board'),
}
export const reactions: Record<Schemas['Reaction'], string> = {
  calm: $t('words.calm'), uneasy: $t('words.uneasy'), pulling: $t('words.pulling'), fighting: $t('words.fighting'), snapping: $t('words.snapping'),
}
/** How it took it, as it was told; nothing where nobody said. */
export const reactionOf = (r?: Schemas['Reaction']) => (r ? reactions[r] : '')
export const touchings: Record<NonNullable<Schemas['Arrival']['touching']>, string> = { none: $t('words.none'), some: $t('words.some'), most: $t('words.most') }
/** What was so at some sittings, and what it was like without. */
export const circumstances: Record<Schemas['Calmer']['what'], [string, string]> = {
  helper: [$t('words.with_a_helper'), $t('words.alone')], walk: [$t('words.after_a_walk'), $t('words.without_a_walk_first')], treats: [$t('words.with_treats_laid_out'), $t('words.without_treats')], grinder: [$t('words.with_the_grinder'), $t('words.with_the_clipper_alone')],
  morning: [$t('words.before_noon'), $t('words.later_in_the_day')], held_standing: ['standing', $t('words.held_another_way')], held_foot_forward: [$t('words.with_the_foot_forward'), $t('words.held_another_way')], held_on_side: [$t('words.lying_on_its_side'), $t('words.held_another_way')],
  held_on_back: [$t('words.on_its_back'), $t('words.held_another_way')], held_lap: [$t('words.on_the_lap'), $t('words.held_another_way')], held_stool: [$t('words.from_the_stool'), $t('words.held_another_way')], held_ground: [$t('words.with_the_foot_on_the'), $t('words.held_another_way')],
  held_chest: [$t('words.against_a_helpers_chest'), $t('words.held_another_way')], held_armchair: [$t('words.in_the_armchair'), $t('words.held_another_way')],
}
/** What was seen before the first cut, in a few words. */
export const arrivalOf = (a?: Schemas['Arrival']) => (a ? [a.touching && $t('words.touching_before', { touching: touchings[a.touching] }), a.clicks && $t('words.clicked'), a.limps && $t('words.limped'), a.sore && $t('words.sore')].filter(Boolean).join(', ') : '')
/** What a reaction asks for: now, for the rest of today, and why where practitioners differ. */
export const answers: Record<Schemas['ReactionAnswer']['key'], { now: string; today: string; why?: string }> = {
  uneasy: { now: $t('words.pause_a_treat_a_softer'), today: $t('words.go_on_if_it_eases') },
  uneasy_again: { now: $t('words.pause_then_another_paw'), today: $t('words.the_second_time_today_come') },
  pulling: { now: $t('words.let_go_with_the_pull'), today: $t('words.take_the_paw_again_lower') },
  pulling_again: { now: $t('words.leave_this_paw_for_today'), today: $t('words.it_pulled_twice_here_another'), why: $t('words.some_do_one_more_easy') },
  fighting: { now: $t('words.stop_this_paw_at_once'), today: $t('words.end_on_something_easy_one'), why: $t('words.this_paw_needs_a_week') },
  fighting_again: { now: $t('words.stop_for_today'), today: $t('words.it_fought_twice_hands_away'), why: $t('words.both_paws_need_the_ladder') },
  snapping: { now: $t('words.hands_away_stop_for_today'), today: $t('words.nobody_shouts_put_the_tool'), why: $t('words.no_trim_for_the_next') },
}
/** The same with what one sees of it. */
export const signs: Record<Schemas['Reaction'], string> = {
  calm: $t('words.loose_takes_the_treat'), uneasy: $t('words.yawns_licks_its_lips'), pulling: $t('words.pulls_stiffens'), fighting: $t('words.fights_cries'), snapping: $t('words.snaps'),
}
export const hands: Record<Schemas['Hand'], string> = { new: $t('words.new_to_it'), some: $t('words.some_practice'), practised: $t('words.practised') }
export const noises: Record<Schemas['Noise'], string> = { unknown: $t('words.nobody_has_tried'), fine: $t('words.takes_its_sound'), afraid: $t('words.fears_its_sound') }
export const pawOrders: Record<Schemas['PawOrder'], string> = {
  hind_first: $t('words.hind_first'), lower_first: $t('words.lower_legs_first_lying_on'), hardest_first: $t('words.hardest_paw_first_while_calm'),
  hardest_last: $t('words.hardest_paw_last'), own: $t('words.my_own_order'),
}
export const positions: Record<Schemas['Position'], string> = {
  standing: $t('words.standing_foot_lifted_back'), foot_forward: $t('words.foot_held_forward'), on_side: $t('words.on_its_side'), on_back: $t('words.on_its_back_between_the'),
  lap: $t('words.on_a_lap'), stool: $t('words.standing_you_on_a_stool'), ground: $t('words.the_foot_stays_on_the'), chest: $t('words.against_a_helpers_chest'), armchair: $t('words.in_an_armchair'),
}
export const helpings: Record<Schemas['Helping'], string> = { alone: $t('words.not_needed'), wanted: $t('words.worth_having'), needed: $t('words.never_without') }
export const shelves: Record<Schemas['Shelf'], string> = {
  cutters: $t('words.cutters'), grinders: $t('words.grinder_bands_and_bits'), files: $t('words.files_and_boards'), supplies: $t('words.supplies'), protection: $t('words.protection'),
}
export const kitKinds: Record<Schemas['KitKind'], string> = {
  small_scissor: $t('words.small_scissor_clipper'), small_plier: $t('words.small_plier_clipper'), large_plier: $t('words.large_plier_clipper'),
  guillotine: $t('words.guillotine_clipper'), household_clipper: $t('words.household_nail_clipper'), grinder_band: $t('words.sanding_band'), grinder_diamond: $t('words.diamond_bit'),
  file: $t('words.hand_file'), scratch_board: $t('words.scratch_board'), grinder: $t('words.grinder'), styptic_powder: $t('words.styptic_powder'), silver_nitrate: $t('words.silver_nitrate_stick'),
  cornstarch: $t('words.cornstarch'), flour: $t('words.plain_flour'), baking_soda: $t('words.baking_soda'), cold_compress: $t('words.cold_compress'), treats: $t('words.treats'), light: $t('words.lamp'),
  water_spray: $t('words.water_spray'), mesh: $t('words.mesh'), non_slip_mat: $t('words.non_slip_mat'), muzzle: $t('words.muzzle'), eye_protection: $t('words.eye_protection'),
  dust_mask: $t('words.dust_mask'), hair_tie: $t('words.hair_tie'),
}
export const stocks: Record<Schemas['Stock'], string> = { full: $t('words.full'), low: $t('words.low'), empty: $t('words.empty') }
export const tips: Record<Schemas['Tip'], string> = { flat: $t('words.flat_tip'), round: $t('words.round_tip'), tapered: $t('words.tapered_tip') }
/** What was done to make a piece as new, and what is to be done. */
export const serviced: Record<Schemas['KitItem']['service'], string> = { sharpen: $t('words.sharpened'), charge: $t('words.charged'), change: $t('words.changed'), refill: $t('words.refilled') }
export const ladderKinds: Record<Schemas['LadderKind'], string> = { clipper: $t('words.clipper'), grinder: $t('words.grinder'), muzzle: $t('words.muzzle'), board: $t('words.scratch_board') }
export const weekdays: Record<Schemas['Weekday'], string> = {
  mon: $t('words.mon'), tue: $t('words.tue'), wed: $t('words.wed'), thu: $t('words.thu'), fri: $t('words.fri'), sat: $t('words.sat'), sun: $t('words.sun'),
}
export const feelers: Record<Schemas['GapFeeler']['feeler'], string> = {
  touches: $t('words.touches'), paper: $t('words.paper_passes'), card: $t('words.bank_card_passes'), coin: $t('words.coin_passes'),
}

/** What a number was read with. */
export const means: Record<Schemas['Means'], string> = { caliper: $t('words.by_caliper'), feeler: $t('words.by_feeler'), eye: $t('words.by_eye'), photo: $t('words.from_a_picture') }
export const typedWiths = { caliper: means.caliper, eye: means.eye }

export const schools: Record<Schemas['School'], { name: string; says: string; but: string }> = {
  level: { name: $t('words.level'), says: $t('words.one_cut_parallel_to_the'), but: $t('words.takes_little_ridge_so_the') },
  square: { name: $t('words.square'), says: $t('words.straight_across_the_nail_the'), but: $t('words.leaves_an_edge_at_the') },
  steep: { name: $t('words.steep'), says: $t('words.leans_back_the_quick_runs'), but: $t('words.gains_little_height_the_bottom') },
  sculpted: { name: $t('words.sculpted'), says: $t('words.square_then_the_top_bevelled'), but: $t('words.more_cuts_and_a_steady') },
}

/** Options of a select, in the order in which the words stand. */
export const options = <K extends string>(words: Record<K, string>) =>
  (Object.entries(words) as [K, string][]).map(([value, text]) => ({ value, text }))

export const pawWords: Record<Schemas['Paw'], string> = { LF: $t('words.left_fore'), RF: $t('words.right_fore'), LH: $t('words.left_hind'), RH: $t('words.right_hind') }
const digitWords = ['', $t('words.dewclaw'), $t('words.second_toe'), $t('words.third_toe'), $t('words.fourth_toe'), $t('words.fifth_toe')]

/** LF3 as a person would say it: left fore, third toe. */
export function nailInWords(code: string): string {
  const paw = pawWords[code.slice(0, 2) as keyof typeof pawWords]
  const digit = code.endsWith('b') ? $t('words.second_dewclaw') : digitWords[Number(code[2])]
  return `${paw}, ${digit}`
}

/** Minutes as people say them: under a minute, 6 min. */
export const minutesInWords = (minutes: number) => (minutes < 1 ? $t('words.a_minute') : $t('words.min', { minutes: Math.round(minutes) }))

export const faces: Record<Schemas['Face'], string> = {
  white: $t('words.dry_white'), grey: $t('words.light_grey'), dark_centre: $t('words.dark_centre'), dot: $t('words.dark_a_dot'), blush: $t('words.pinkish'), pink_dot: $t('words.pink_dot'), blood: $t('words.blood'),
}
export const landmarks: Record<Schemas['Landmark'], string> = {
  groove: $t('words.where_the_groove_ends'), hook: $t('words.where_the_hook_begins'), torch: $t('words.by_torch'), seen: $t('words.seen_through_the_nail'),
}
export const measures: Record<Schemas['Measure'], string> = {
  length_before: $t('words.length_before'), length_after: $t('words.length_after'), gap_before: $t('words.gap_before'), gap_after: $t('words.gap_after'), spare_left: $t('words.left_before_the_quick'),
}
/** The sign at which to stop, within a sentence. */
export const stopSigns: Partial<Record<Schemas['Face'], string>> = { dark_centre: $t('words.the_dark_centre'), dot: $t('words.the_dot'), blush: $t('words.the_pinkish_end'), pink_dot: $t('words.the_pink_dot') }
export const asks: Record<Schemas['Ask'], string> = {
  colour: $t('words.light_or_dark'), landmark: $t('words.where_does_the_quick_end'), sliver: $t('words.take_it_then_look'), face: $t('words.what_does_the_end_show'), smooth: $t('words.run_a_finger_round_the'),
}
/** What people note of a sitting, in one press. */
export const phrases = [$t('words.half_asleep'), $t('words.better_with_treats'), $t('words.did_not_like_the_sound'), $t('words.did_not_like_hind_paws'), $t('words.needs_a_second_pair_of'), $t('words.bath_before'), $t('words.bath_after'), $t('words.hair_cleared_from_the_pads'), $t('words.hair_wetted_down'), $t('words.mesh_over_the_paw'), $t('words.horn_was_wet_cut_ends')]
export const endPoints: Record<Schemas['EndPoint'], string> = { first_sign: $t('words.stop_at_the_first_sign'), full: $t('words.thin_slices_until_the_dot') }

/** How a hand works a nail. */
/** What sets a dog’s dates; empty is as the role has it. */
export const datesBy: Record<NonNullable<Schemas['Dates']>, string> = { '': $t('words.as_is_usual_for_you'), floor: $t('words.by_the_floor_when_a'), calendar: $t('words.by_the_calendar_as_often') }
export const ways: Record<NonNullable<Schemas['Way']>, string> = { '': $t('words.with_whatever_suits_the_nail'), clip: $t('words.clip'), grind: $t('words.grind'), clip_then_grind: $t('words.clip_all_of_a_paw') }
/** The largest cuts that one may choose, mm. */
export const largestCuts = [0.5, 1, 1.5, 2, 2.5, 3]
export const howFar: Record<NonNullable<Schemas['SittingInput']['how_far']>, string> = {
  tips: $t('words.tips_only'), first_sign: $t('words.to_the_first_sign'), full: $t('words.as_far_as_it_goes'),
}
export const visitStates: Record<Schemas['VisitState'], string> = { offered: $t('words.offered'), agreed: $t('words.agreed'), here: $t('words.on_the_table'), done: $t('words.done'), missed: $t('words.missed'), called_off: $t('words.called_off') }
export const reaches: Record<Schemas['OwnerRow']['reach'], string> = { text: $t('words.text_message'), mail: $t('words.mail'), hand: $t('words.by_hand') }
export const listColumns: Record<Schemas['ListColumn'], string> = { '': $t('words.not_read'), owner: $t('words.owner'), phone: $t('words.telephone'), mail: $t('words.mail'), dog: $t('words.dog'), weight: $t('words.weight'), born: $t('words.born'), age: $t('words.age'), note: $t('words.note') }
export const messageStates: Record<Schemas['Message']['state'], string> = { waiting: $t('words.waits'), sent: $t('words.sent'), delivered: $t('words.delivered'), answered: $t('words.answered'), failed: $t('words.not_sent'), person: $t('words.waits_for_you') }
export const messageKinds: Record<Schemas['MessageKind'], string> = { places: $t('words.places_are_offered'), agreed: $t('words.a_place_is_agreed'), tomorrow: $t('words.the_day_before'), moved: $t('words.a_visit_has_moved'), late: $t('words.the_day_runs_late'), missed: $t('words.nobody_came'), due: $t('words.due_and_nothing_agreed') }
