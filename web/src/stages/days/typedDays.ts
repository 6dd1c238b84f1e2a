import type { Schemas } from '@/api/client'

export type DayWeather = Schemas['DayWeather']
export const parts = ['night', 'morning', 'afternoon', 'evening'] as const
type Part = (typeof parts)[number]

/** A day as it is being typed: nothing is dry, warm or calm until somebody says so. */
export type TypedDay = { date: string } & { [P in Part]: Schemas['Sky'] | null } & {
  [F in 'highC' | 'lowC' | 'windMs']: number | null
}

/** How many days a form begins with. */
const fewestDays = 3
const partHours = 6

/** The day after one, by the calendar. */
export const dayAfter = (date: string) => new Date(Date.parse(`${date}T00:00Z`) + 86_400_000).toISOString().slice(0, 10)

export const blank = (date: string): TypedDay => ({
  date,
  night: null,
  morning: null,
  afternoon: null,
  evening: null,
  highC: null,
  lowC: null,
  windMs: null,
})

/** Whether a part of a day is over, so that nobody has to say what it was. */
export const isOver = (date: string, part: Part, now: string) =>
  date === now.slice(0, 10) && (parts.indexOf(part) + 1) * partHours <= Number(now.slice(11, 13))

/** What a form begins with: what was typed last and is not over yet, and blank days after it. */
export function daysToType(now: string, typed: readonly DayWeather[] | null): TypedDay[] {
  const today = now.slice(0, 10)
  const days: TypedDay[] = (typed ?? []).filter((d) => d.date >= today).map((d) => ({ ...d }))
  while (days.length < fewestDays) days.push(blank(days.length === 0 ? today : dayAfter(days.at(-1)!.date)))
  return days
}

/** The first thing that is not said yet, by day and field; null where all is. Days that nobody began at the end are left out. */
export function firstMissing(days: readonly TypedDay[], now: string) {
  for (const day of begun(days)) {
    for (const part of parts) if (day[part] === null && !isOver(day.date, part, now)) return { date: day.date, field: part }
    for (const field of ['highC', 'lowC', 'windMs'] as const) if (day[field] === null) return { date: day.date, field }
  }
  return null
}

/** The days that somebody began, and all before them; the first one always. */
function begun(days: readonly TypedDay[]) {
  const isBlank = (d: TypedDay) => JSON.stringify(d) === JSON.stringify(blank(d.date))
  const last = days.findLastIndex((d) => !isBlank(d))
  return days.slice(0, Math.max(1, last + 1))
}

/** What is sent once all is said; a part that is over counts as dry, since no rain of it is still to come. */
export const said = (days: readonly TypedDay[]): DayWeather[] =>
  begun(days).map((d) => ({
    ...(d as DayWeather),
    ...Object.fromEntries(parts.map((p) => [p, d[p] ?? 'dry'])),
  }))
