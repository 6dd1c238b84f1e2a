/**
 * Times as the clock at the vehicle shows them. The server sends them with that clock's offset, such as 2031-05-12T09:40:00+01:00; whatever zone the
 * browser is in, what stands before the offset is shown.
 */
const parts = (at: string) => ({ day: at.slice(0, 10), clock: at.slice(11, 16) })

/** Monday 12 May. */
export function dayText(at: string, form: 'short' | 'long' = 'short'): string {
  const [year, month, day] = parts(at).day.split('-').map(Number)
  return new Date(year!, month! - 1, day).toLocaleDateString('en-GB', {
    weekday: form,
    ...(form === 'long' ? { day: 'numeric', month: 'long' } : {}),
  })
}

/** 09:40. */
export const clockText = (at: string) => parts(at).clock

/** 09:40, and the day before it where it is not that of another moment: Tue 09:40; a week away and more with its date: Tue 24, 09:40. */
export function momentText(at: string, today: string): string {
  if (parts(at).day === parts(today).day) return clockText(at)
  const isFar = Math.abs(hoursBetween(today, at)) > 6 * 24
  return `${dayText(at)}${isFar ? ` ${Number(parts(at).day.slice(8))},` : ''} ${clockText(at)}`
}

/** Hours from one moment to another. */
export const hoursBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / 3_600_000

/** Hours after midnight by that clock. */
export const hourOfDay = (at: string) => Number(at.slice(11, 13)) + Number(at.slice(14, 16)) / 60
