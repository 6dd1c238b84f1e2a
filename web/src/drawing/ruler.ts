import type { LengthFormat } from '@/api/client'

/** Places of ruler marks, mm: a round step in the unit of the tape, so that numbers stay at least `apart` pixels apart. */
export function rulerMarks(
  from: number,
  to: number,
  scale: number,
  lengths: LengthFormat,
  apart = 56,
): { mm: number; major: boolean }[] {
  const unit = lengths.units === 'inch' ? 25.4 : 1
  const steps = lengths.units === 'inch' ? [1, 2, 6, 12, 24, 60] : [5, 10, 20, 50, 100, 200, 500, 1000]
  const major = (steps.find((s) => s * unit * scale >= apart) ?? steps.at(-1)!) * unit
  const minor = major / (lengths.units === 'inch' ? 2 : 4)
  const marks = []
  for (let i = Math.ceil(from / minor); i * minor <= to; i++)
    marks.push({ mm: i * minor, major: i % Math.round(major / minor) === 0 })
  return marks
}
