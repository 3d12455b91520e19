/** A time of day from minutes since midnight: 09:05. */
export const clock = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

/** The other way; undefined where it is none. */
export function minutesOf(text: string): number | undefined {
  const found = /^(\d{1,2}):(\d{2})$/.exec(text)
  return found ? Number(found[1]) * 60 + Number(found[2]) : undefined
}
