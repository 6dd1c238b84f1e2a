import type { Schemas } from '@/api/client'
import { hourOfDay, hoursBetween } from '@/app/moment'
import type { PlanLine } from './usePlan'

/** A task on the lane of somebody who does it: hours by the clock at the vehicle. */
export interface PlanBar {
  line: PlanLine
  from: number
  to: number
  lane: number
  /** Whether it is the first person's, who is told by it. */
  first: boolean
}

/** A stretch of hours of a day, and whether a cover lies over the hole. */
export interface OpenStretch {
  from: number
  to: number
  covered: boolean
}

/** A day of the plan. */
export interface PlanDay {
  day: string
  at: string
  bars: PlanBar[]
  open: OpenStretch[]
}

/** A slot at which a task may begin. */
export interface Start {
  day: string
  hour: number
  at: string
}

const dayOf = (at: string) => at.slice(0, 10)
const half = 0.5

/** The dates from one to another, both included. */
function dates(first: string, last: string): string[] {
  const found: string[] = []
  for (let ms = Date.parse(`${first}T12:00Z`); ms <= Date.parse(`${last}T12:00Z`); ms += 86_400_000)
    found.push(new Date(ms).toISOString().slice(0, 10))
  return found
}

/** The part of a time that lies on a day, in hours of it; null where none does. */
function onDay(day: string, from: string, to: string): { from: number; to: number } | null {
  if (dayOf(from) > day || dayOf(to) < day) return null
  const begin = dayOf(from) === day ? hourOfDay(from) : 0
  const end = dayOf(to) === day ? hourOfDay(to) : 24
  return end > begin ? { from: begin, to: end } : null
}

/** What is left of a time without others, in their order. */
function without(part: { from: number; to: number }, others: readonly { from: number; to: number }[]) {
  return others.reduce(
    (left, o) =>
      left.flatMap((p) =>
        [
          { from: p.from, to: Math.min(p.to, o.from) },
          { from: Math.max(p.from, o.to), to: p.to },
        ].filter((q) => q.to > q.from),
      ),
    [part],
  )
}

/** The days of a plan from today to its last task, each with its tasks by person and when the shell stands open. */
export function daysOf(lines: readonly PlanLine[], people: readonly string[], now: string): PlanDay[] {
  const kept = lines.filter((l) => l.kept !== null)
  if (kept.length === 0) return []
  const all = kept.map((l) => l.kept!)
  const first = all.map((k) => dayOf(k.from)).reduce((a, b) => (a < b ? a : b), dayOf(now))
  const last = all.map((k) => dayOf(k.until)).reduce((a, b) => (a > b ? a : b), dayOf(now))
  return dates(first, last).map((day) => ({
    day,
    at: `${day}T12:00`,
    bars: kept.flatMap((line) =>
      line.kept!.hands.flatMap((hand, i) => {
        const part = onDay(day, hand.from, hand.until)
        const covers = line.kept!.covered.flatMap((c) => onDay(day, c.from, c.to) ?? [])
        const lane = Math.max(0, people.indexOf(hand.name))
        return part ? without(part, covers).map((p) => ({ line, ...p, lane, first: i === 0 })) : []
      }),
    ),
    open: kept
      .filter((l) => l.kept!.opensShell)
      .flatMap((l) => {
        const open = onDay(day, l.kept!.from, l.kept!.readyAt)
        const covered = l.kept!.covered.flatMap((c) => onDay(day, c.from, c.to) ?? [])
        return [...(open ? [{ ...open, covered: false }] : []), ...covered.map((c) => ({ ...c, covered: true }))]
      }),
  }))
}

/** The hours that the rows have to show: a working day, and what goes beyond it. */
export function hoursShown(days: readonly PlanDay[]): { from: number; to: number } {
  const bars = days.flatMap((d) => d.bars)
  return {
    from: Math.floor(Math.min(7, ...bars.map((b) => b.from))),
    to: Math.ceil(Math.max(20, ...bars.map((b) => b.to))),
  }
}

/** Every slot of some windows. */
export const startsOf = (windows: readonly Schemas['StartWindow'][]): Start[] =>
  windows.flatMap((w) =>
    Array.from({ length: Math.round(hoursBetween(w.from, w.until) / half) + 1 }, (_, i) => ({
      day: dayOf(w.from),
      hour: hourOfDay(w.from) + i * half,
      at: new Date(Date.parse(w.from) + i * half * 3_600_000).toISOString(),
    })).filter((s) => s.hour < 24),
  )

/** The slot that lies nearest to where something is held: on that day if there is one, else on the nearest. */
export function nearest(starts: readonly Start[], day: string, hour: number): Start | null {
  const far = (s: Start) => Math.abs(Date.parse(s.day) - Date.parse(day)) / 3_600_000 + Math.abs(s.hour - hour)
  return starts.reduce<Start | null>((best, s) => (best === null || far(s) < far(best) ? s : best), null)
}

/** Tasks that found no time, job by job, each reason once. */
export function leftOut(lines: readonly PlanLine[]): { name: string; why: string; count: number }[] {
  const found: { name: string; why: string; count: number }[] = []
  for (const line of lines.filter((l) => l.kept === null && l.trouble !== null)) {
    const same = found.find((f) => f.name === line.name && f.why === line.trouble)
    if (same) same.count++
    else found.push({ name: line.name, why: line.trouble!, count: 1 })
  }
  return found
}
