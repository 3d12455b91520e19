import { locale } from './i18n/language'
import { $t } from './i18n'

const day = new Intl.DateTimeFormat(locale, { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })
const dayAndYear = new Intl.DateTimeFormat(locale, {
  weekday: 'short', day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC',
})
const month = new Intl.DateTimeFormat(locale, { month: 'short', year: 'numeric', timeZone: 'UTC' })
const short = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'short', timeZone: 'UTC' })

const at = (date: string) => new Date(`${date}T00:00:00Z`)

/** Tue 8 Dec */
export const dayOf = (date: string) => day.format(at(date)).replace(',', '')
/** Tue 8 Dec 2026 */
export const fullDayOf = (date: string) => dayAndYear.format(at(date)).replace(',', '')
/** Dec 2026 */
export const monthOf = (date: string) => month.format(at(date))
/** 8 Dec */
export const shortDayOf = (date: string) => short.format(at(date))

const moment = new Intl.DateTimeFormat(locale, { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
/** Tue 8 Dec, 14:05 */
export const momentOf = (at: string) => moment.format(new Date(at)).replace(',', '')

/** How far a date lies from today: today, tomorrow, in 14 days, 3 days late. */
export function inDays(days: number): string {
  if (days === 0) return $t('dates.today')
  if (days === 1) return $t('dates.tomorrow')
  if (days > 1) return $t('dates.in_days', { days })
  return days === -1 ? $t('dates.n1_day_late') : $t('dates.days_late', { days: -days })
}

/** A day so many days on, for leafing through a calendar. */
export function daysOn(day: string, by: number): string {
  const [y, m, d] = day.split('-').map(Number)
  return new Date(Date.UTC(y, m - 1, d + by)).toISOString().slice(0, 10)
}
