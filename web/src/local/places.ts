import { $t } from '../i18n'

/** A screen that one can go to, besides those that are always in reach. */
export interface Place {
  to: string
  short: string
  words: string
  icon?: 'round' | 'ladder' | 'practice' | 'kit' | 'add'
}

/** Those of an owner at home, or of a groomer; the ones with a picture stand in the rail of a wide screen. */
export const placesOf = (groomer: boolean): Place[] => [
  ...(groomer
    ? [
        {
          to: '/round',
          short: $t('local.week'),
          words: $t('local.the_week_visits_free_hours'),
          icon: 'round' as const,
        },
        { to: '/round/book', short: $t('local.book'), words: $t('local.book_a_visit_on_the') },
        { to: '/round/calls', short: $t('local.calls'), words: $t('local.who_to_call') },
        { to: '/messages', short: $t('local.messages'), words: $t('local.messages_to_owners') },
        { to: '/owners', short: $t('local.owners'), words: $t('local.owners_and_their_dogs') },
      ]
    : []),
  { to: '/ladder', short: $t('local.ladder'), words: $t('local.training_dogs_on_the_ladder'), icon: 'ladder' },
  {
    to: '/practice',
    short: $t('local.practice'),
    words: $t('local.practice_drawn_nails_where_nothing'),
    icon: 'practice',
  },
  { to: '/kit', short: $t('local.kit'), words: $t('local.your_kit_blades_bands_styptic'), icon: 'kit' },
  { to: '/dogs/new', short: $t('local.add_dog'), words: $t('local.add_a_dog'), icon: 'add' },
]
