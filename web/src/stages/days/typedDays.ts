import type { Schemas } from '@/api/client'

export type DayWeather = Schemas['DayWeather']

/** Most days that are typed, and how many a form begins with. */
export const mostDays = 16
const fewestDays = 3

/** The day after one, by the calendar. */
export const dayAfter = (date: string) => new Date(Date.parse(`${date}T00:00Z`) + 86_400_000).toISOString().slice(0, 10)

/** What a form begins with: what was typed last and is not over yet, then days like the last of them. */
export function daysToType(now: string, typed: readonly DayWeather[] | null): DayWeather[] {
  const today = now.slice(0, 10)
  const dry: DayWeather = {
    date: today,
    night: 'dry',
    morning: 'dry',
    afternoon: 'dry',
    evening: 'dry',
    highC: 16,
    lowC: 8,
    windMs: 3,
  }
  const days = (typed ?? []).filter((d) => d.date >= today).map((d) => ({ ...d }))
  while (days.length < fewestDays) {
    const last = days.at(-1)
    days.push(last ? { ...last, date: dayAfter(last.date) } : dry)
  }
  return days
}
