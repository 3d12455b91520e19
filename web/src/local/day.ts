import { ref } from 'vue'

/**
 * What day the book takes for today, told with each answer. In between it moves on with this machine's clock.
 * A screen that asked for today before the first answer came asks again.
 */
const daysAhead = ref(0)

const dayOf = (at: Date) =>
  `${at.getFullYear()}-${String(at.getMonth() + 1).padStart(2, '0')}-${String(at.getDate()).padStart(2, '0')}`
const days = (day: string) => Date.parse(day) / 86_400_000

export function hearDay(response: Response) {
  const told = response.headers.get('Fribbet-Today')
  if (told) daysAhead.value = Math.round(days(told) - days(dayOf(new Date())))
}

/** This moment, on the day that the book takes for today. */
export function now(): Date {
  const at = new Date()
  at.setDate(at.getDate() + daysAhead.value)
  return at
}

export const today = () => dayOf(now())
