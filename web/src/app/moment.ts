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

/** 12 May 2031, of a day without a time. */
export function dateText(date: string): string {
  const [year, month, day] = date.split('-').map(Number)
  return new Date(year!, month! - 1, day).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
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

/** How far the clock of a time zone is ahead of universal time at a moment, ms. */
function aheadOf(ms: number, zone: string): number {
  const shown = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  }).formatToParts(ms)
  const part = (type: string) => Number(shown.find((p) => p.type === type)!.value)
  return Date.UTC(part('year'), part('month') - 1, part('day'), part('hour'), part('minute')) - Math.floor(ms / 60_000) * 60_000
}

/** A moment by the clock of a time zone, as an input of date and time takes it: 2031-05-13T09:00. */
export const inputTime = (at: string, zone: string) =>
  new Date(Date.parse(at) + aheadOf(Date.parse(at), zone)).toISOString().slice(0, 16)

/** The moment at which the clock of a time zone shows what stands in such an input. */
export function momentOf(text: string, zone: string): string {
  const shown = Date.parse(`${text}Z`)
  const near = shown - aheadOf(shown, zone)
  return new Date(shown - aheadOf(near, zone)).toISOString()
}
