import type { Schemas } from '../../api/client'
import { named } from '../../i18n'

/** The words of the round: visits, owners, messages and lists. */

export const visitStates: Record<Schemas['VisitState'], string> = named({
  offered: 'words.offered',
  agreed: 'words.agreed',
  here: 'words.on_the_table',
  done: 'words.done',
  missed: 'words.missed',
  called_off: 'words.called_off',
})
export const reaches: Record<Schemas['OwnerRow']['reach'], string> = named({
  text: 'words.text_message',
  mail: 'words.mail',
  hand: 'words.by_hand',
})
export const listColumns: Record<Schemas['ListColumn'], string> = named({
  '': 'words.not_read',
  owner: 'words.owner',
  phone: 'words.telephone',
  mail: 'words.mail',
  dog: 'words.dog',
  weight: 'words.weight',
  born: 'words.born',
  age: 'words.age',
  note: 'words.note',
})
export const messageStates: Record<Schemas['Message']['state'], string> = named({
  waiting: 'words.waits',
  sent: 'words.sent',
  delivered: 'words.delivered',
  answered: 'words.answered',
  failed: 'words.not_sent',
  person: 'words.waits_for_you',
})
export const messageKinds: Record<Schemas['MessageKind'], string> = named({
  places: 'words.places_are_offered',
  agreed: 'words.a_place_is_agreed',
  tomorrow: 'words.the_day_before',
  moved: 'words.a_visit_has_moved',
  late: 'words.the_day_runs_late',
  missed: 'words.nobody_came',
  due: 'words.due_and_nothing_agreed',
})
