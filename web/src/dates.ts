import { $t } from './i18n'

/**
 * What stands in a date: the names of its weekday and month are texts like others (the browser's own formatter takes 55
 * ms to begin with).
 */
function parts(date: Date) {
  const day = date.getUTCDate()
  const two = (n: number) => String(n).padStart(2, '0')
  return {
    weekday: $t('dates.weekdays').split(' ')[date.getUTCDay()],
    day,
    month: $t('dates.months').split(' ')[date.getUTCMonth()],
    year: date.getUTCFullYear(),
    hour: `${two(date.getUTCHours())}:${two(date.getUTCMinutes())}`,
  }
}
const of = (date: string) => parts(new Date(`${date}T00:00:00Z`))

/** Tue 8 Dec */
export const dayOf = (date: string) => $t('dates.day', of(date))
/** Tue 8 Dec 2026 */
export const fullDayOf = (date: string) => $t('dates.day_and_year', of(date))
/** Dec 2026 */
export const monthOf = (date: string) => $t('dates.month_and_year', of(date))
/** 8 Dec */
export const shortDayOf = (date: string) => $t('dates.short_day', of(date))

/** Tue 8 Dec 14:05, by this browser's clock */
export function momentOf(at: string) {
  const moment = new Date(at)
  return $t('dates.moment', parts(new Date(moment.getTime() - moment.getTimezoneOffset() * 60_000)))
}

/** How far a date lies from today: today, tomorrow, in 14 days, 3 days late. */
export function inDays(days: number): string {
  if (days === 0) return $t('dates.today')
  if (days === 1) return $t('dates.tomorrow')
  if (days > 1) return $t('dates.in_days', { days })
  return days === -1 ? $t('dates.n1_day_late') : $t('dates.days_late', { days: -days })
}

/** A day so many days on, for leafing through a calendar. */
export function daysOn(day: string, by: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number)
  return new Date(Date.UTC(year, month - 1, date + by)).toISOString().slice(0, 10)
}
