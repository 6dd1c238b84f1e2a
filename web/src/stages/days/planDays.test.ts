import { expect, test } from 'vitest'
import { daysOf, hoursShown, leftOut, nearest, startsOf } from './planDays'
import type { PlanLine } from './usePlan'

const at = (day: number, clock: string) => `2031-05-${day}T${clock}:00+01:00`
const line = (name: string, from: string, until: string, more: Partial<PlanLine['kept']> = {}): PlanLine =>
  ({
    key: { job: { kind: 'opening', id: name }, key: 'cut' },
    name,
    title: `${name}: cut`,
    panelId: null,
    steps: [],
    minutes: 60,
    hands: 1,
    opensShell: false,
    mark: null,
    trouble: null,
    kept: {
      task: { job: { kind: 'opening', id: name }, key: 'cut' },
      from,
      until,
      readyAt: until,
      opensShell: false,
      hands: [{ name: 'Ada', from, until }],
      isForeseen: true,
      covered: [],
      ...more,
    },
  }) as PlanLine

test('a row stands for each day from today to the last task, those without work too', () => {
  const days = daysOf(
    [line('a', at(13, '09:00'), at(13, '10:30')), line('b', at(15, '08:00'), at(15, '09:00'))],
    ['Ada'],
    at(12, '08:40'),
  )
  expect(days.map((d) => [d.day, d.bars.length])).toEqual([
    ['2031-05-12', 0],
    ['2031-05-13', 1],
    ['2031-05-14', 0],
    ['2031-05-15', 1],
  ])
  expect(days[1]!.bars[0]).toMatchObject({ from: 9, to: 10.5, lane: 0, first: true })
  expect(hoursShown(days)).toEqual({ from: 7, to: 20 })
})

test('what a cover bridges over night is no work, and the shell stands open on both days', () => {
  const days = daysOf(
    [
      line('vent', at(13, '15:00'), at(14, '10:00'), {
        opensShell: true,
        readyAt: at(14, '14:00'),
        covered: [{ title: 'Cover', from: at(13, '17:00'), to: at(14, '08:00') }],
      }),
    ],
    ['Ada'],
    at(13, '08:00'),
  )
  expect(days.map((d) => d.bars.map((b) => [b.from, b.to]))).toEqual([[[15, 17]], [[8, 10]]])
  expect(days.map((d) => d.open)).toEqual([
    [
      { from: 15, to: 24, covered: false },
      { from: 17, to: 24, covered: true },
    ],
    [
      { from: 0, to: 14, covered: false },
      { from: 0, to: 8, covered: true },
    ],
  ])
})

test('each of those who do it has a lane, for as long as they are needed', () => {
  const [day] = daysOf(
    [
      line('glass', at(13, '08:00'), at(13, '12:00'), {
        hands: [
          { name: 'Ada', from: at(13, '08:00'), until: at(13, '12:00') },
          { name: 'Ben', from: at(13, '11:00'), until: at(13, '11:30') },
        ],
      }),
    ],
    ['Ada', 'Ben'],
    at(13, '07:00'),
  )
  expect(day!.bars.map((b) => [b.lane, b.from, b.to, b.first])).toEqual([
    [0, 8, 12, true],
    [1, 11, 11.5, false],
  ])
})

test('the nearest slot of the day that is pointed at is taken, else that of the nearest day', () => {
  const starts = startsOf([
    { from: at(13, '09:00'), until: at(13, '10:00') },
    { from: at(15, '13:30'), until: at(15, '13:30') },
  ])
  expect(starts.map((s) => [s.day, s.hour])).toEqual([
    ['2031-05-13', 9],
    ['2031-05-13', 9.5],
    ['2031-05-13', 10],
    ['2031-05-15', 13.5],
  ])
  expect(starts[1]!.at).toBe('2031-05-13T08:30:00.000Z')
  expect(nearest(starts, '2031-05-13', 9.6)?.hour).toBe(9.5)
  expect(nearest(starts, '2031-05-16', 9)?.day).toBe('2031-05-15')
  expect(nearest([], '2031-05-16', 9)).toBeNull()
})

test('what found no time is told once for each job and reason', () => {
  const out = (name: string, trouble: string) => ({ ...line(name, at(13, '09:00'), at(13, '10:00')), kept: null, trouble })
  expect(leftOut([out('a', 'x'), out('a', 'x'), out('b', 'x'), line('c', at(13, '09:00'), at(13, '10:00'))])).toEqual([
    { name: 'a', why: 'x', count: 2 },
    { name: 'b', why: 'x', count: 1 },
  ])
})
