import { expect, test } from 'vitest'
import { clockText, dayText, hourOfDay, hoursBetween, momentText } from './moment'

test('a time is that of the clock at the vehicle, in whatever zone the browser is', () => {
  expect(clockText('2031-05-12T09:40:00+01:00')).toBe('09:40')
  expect(clockText('2031-05-12T23:40:00-11:00')).toBe('23:40')
  expect(hourOfDay('2031-05-12T09:30:00+01:00')).toBe(9.5)
  expect(dayText('2031-05-12T23:40:00-11:00', 'long')).toBe('Monday 12 May')
})

test('another day is named, today is not', () => {
  expect(momentText('2031-05-12T09:40:00+01:00', '2031-05-12T07:00:00+01:00')).toBe('09:40')
  expect(momentText('2031-05-13T09:40:00+01:00', '2031-05-12T07:00:00+01:00')).toBe('Tue 09:40')
})

test('hours between two moments count over a change of clocks', () => {
  expect(hoursBetween('2031-03-30T00:30:00+00:00', '2031-03-30T02:30:00+01:00')).toBe(1)
})
