import { expect, test } from 'vitest'
import { dayAfter, daysToType } from './typedDays'

const day = (date: string, highC = 12) => ({
  date,
  night: 'dry' as const,
  morning: 'dry' as const,
  afternoon: 'rain' as const,
  evening: 'dry' as const,
  highC,
  lowC: 5,
  windMs: 4,
})

test('a form begins with today and two days more', () => {
  expect(daysToType('2031-02-27T08:40:00+00:00', null).map((d) => d.date)).toEqual(['2031-02-27', '2031-02-28', '2031-03-01'])
})

test('what was typed and is not over stays, and the next days are like the last of it', () => {
  const typed = [day('2031-05-11', 10), day('2031-05-12', 11), day('2031-05-13', 19)]
  const begun = daysToType('2031-05-12T08:40:00+01:00', typed)
  expect(begun.map((d) => [d.date, d.highC])).toEqual([
    ['2031-05-12', 11],
    ['2031-05-13', 19],
    ['2031-05-14', 19],
  ])
  begun[0]!.highC = 30
  expect(typed[1]!.highC).toBe(11)
})

test('the day after the last of a leap February is the first of March', () => {
  expect(dayAfter('2032-02-28')).toBe('2032-02-29')
  expect(dayAfter('2032-02-29')).toBe('2032-03-01')
})
