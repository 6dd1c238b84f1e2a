import { expect, test } from 'vitest'
import { blank, dayAfter, daysToType, firstMissing, isOver, said } from './typedDays'

const now = '2031-05-12T08:40:00+01:00'
const day = (date: string, highC: number | null = 12) => ({
  date,
  night: 'dry' as const,
  morning: 'dry' as const,
  afternoon: 'rain' as const,
  evening: 'dry' as const,
  highC,
  lowC: 5,
  windMs: 4,
})

test('a form begins with today and two days more, and nothing of them is said', () => {
  const begun = daysToType('2031-02-27T08:40:00+00:00', null)
  expect(begun).toEqual([blank('2031-02-27'), blank('2031-02-28'), blank('2031-03-01')])
  expect(firstMissing(begun, '2031-02-27T08:40:00+00:00')).toEqual({ date: '2031-02-27', field: 'morning' })
})

test('what was typed and is not over stays, and the days after it are blank', () => {
  const typed = [day('2031-05-11', 10), day('2031-05-12', 11), day('2031-05-13', 19)] as never
  const begun = daysToType(now, typed)
  expect(begun.map((d) => [d.date, d.highC])).toEqual([
    ['2031-05-12', 11],
    ['2031-05-13', 19],
    ['2031-05-14', null],
  ])
  begun[0]!.highC = 30
  expect((typed as { highC: number }[])[1]!.highC).toBe(11)
  // A blank day at the end is left out; one that was begun has to be said whole.
  expect(firstMissing(begun, now)).toBeNull()
  expect(said(begun)).toHaveLength(2)
  begun[2]!.evening = 'rain'
  expect(firstMissing(begun, now)).toEqual({ date: '2031-05-14', field: 'night' })
})

test('a part that is over need not be said, a figure does', () => {
  expect(isOver('2031-05-12', 'night', '2031-05-12T05:59:00+01:00')).toBe(false)
  expect(isOver('2031-05-12', 'night', '2031-05-12T06:00:00+01:00')).toBe(true)
  expect(isOver('2031-05-13', 'night', '2031-05-12T06:00:00+01:00')).toBe(false)
  const today = { ...day('2031-05-12', null), night: null }
  expect(firstMissing([today], now)).toEqual({ date: '2031-05-12', field: 'highC' })
  expect(firstMissing([{ ...today, highC: 12 }], now)).toBeNull()
  expect(said([{ ...today, highC: 12 }])[0]!.night).toBe('dry')
})

test('the day after the last of a leap February is the first of March', () => {
  expect(dayAfter('2032-02-28')).toBe('2032-02-29')
  expect(dayAfter('2032-02-29')).toBe('2032-03-01')
})
