import { expect, test, vi } from 'vitest'

/**
 * The browser's own formatter (CLDR) is the other way to write them; in German it puts a comma where none is wanted.
 */
test.each([
  ['en', 'en-GB'],
  ['de', 'de-DE'],
])('dates are written as a browser would write them: %s', async (language, locale) => {
  vi.resetModules()
  vi.stubGlobal('navigator', { languages: [language] })
  vi.stubGlobal('document', { documentElement: {}, createElement: () => ({}) })
  const { dayOf, fullDayOf, momentOf, monthOf, shortDayOf } = await import('./dates')
  const by = (options: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat(locale, options)
    return (date: Date) => format.format(date).replace(',', '')
  }
  const short = { weekday: 'short', day: 'numeric', month: 'short' } as const
  const day = by({ timeZone: 'UTC', ...short })
  const full = by({ timeZone: 'UTC', ...short, year: 'numeric' })
  const month = by({ timeZone: 'UTC', month: 'short', year: 'numeric' })
  const brief = by({ timeZone: 'UTC', day: 'numeric', month: 'short' })
  const moment = by({ ...short, hour: '2-digit', minute: '2-digit' })
  for (let n = 0; n < 400; n++) {
    const date = new Date(Date.UTC(2026, 0, 1 + n))
    const iso = date.toISOString().slice(0, 10)
    expect(dayOf(iso)).toBe(day(date))
    expect(fullDayOf(iso)).toBe(full(date))
    expect(monthOf(iso)).toBe(month(date))
    expect(shortDayOf(iso)).toBe(brief(date))
    expect(momentOf(date.toISOString())).toBe(moment(date))
  }
})
