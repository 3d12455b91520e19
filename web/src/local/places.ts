/** A screen that one can go to, besides those that are always in reach. */
export interface Place { to: string; short: string; words: string; icon?: 'round' | 'ladder' | 'practice' | 'kit' | 'add' }

/** Those of an owner at home, or of a groomer; the ones with a picture stand in the rail of a wide screen. */
export const placesOf = (groomer: boolean): Place[] => [
  ...(groomer ? [
    { to: '/round', short: 'Week', words: 'The week: visits, free hours, moves', icon: 'round' as const },
    { to: '/round/book', short: 'Book', words: 'Book a visit, on the telephone' },
    { to: '/round/calls', short: 'Calls', words: 'Who to call' },
    { to: '/messages', short: 'Messages', words: 'Messages to owners' },
    { to: '/owners', short: 'Owners', words: 'Owners and their dogs' },
  ] : []),
  { to: '/ladder', short: 'Ladder', words: 'Training: dogs on the ladder', icon: 'ladder' },
  { to: '/practice', short: 'Practice', words: 'Practice: drawn nails, where nothing bleeds', icon: 'practice' },
  { to: '/kit', short: 'Kit', words: 'Your kit: blades, bands, styptic', icon: 'kit' },
  { to: '/dogs/new', short: 'Add dog', words: 'Add a dog', icon: 'add' },
]
