import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/api/client'
import { wantedText } from '@/app/stepText'
import { holeOf, readingsOf, typedOf, type BenchStep, type Typed } from './useBenchJob'

const hold = (h: Partial<Schemas['HoldPoint']>): Schemas['HoldPoint'] => ({
  name: 'Dry inside',
  wanted: null,
  less: null,
  more: null,
  unit: null,
  ifLess: null,
  ifMore: null,
  reads: null,
  ...h,
})
const typed = (t: Partial<Typed> = {}): Typed => ({
  token: 'one',
  by: 'Ada',
  minutes: null,
  values: {},
  seen: {},
  hole: {
    topWidthMm: 400,
    bottomWidthMm: 401,
    frontHeightMm: 300,
    rearHeightMm: 300,
    risingDiagonalMm: 500,
    fallingDiagonalMm: null,
  },
  overruled: '',
  notes: '',
  nextTime: '',
  ...t,
})
const step = (...holds: Schemas['HoldPoint'][]) => ({ step: { holds } }) as unknown as BenchStep

describe('what is typed at a step', () => {
  it('goes out for each hold point, nothing said as nothing', () => {
    const at = step(hold({}), hold({ name: 'Gap', unit: 'mm', wanted: 2, less: 1, more: 1 }))
    expect(readingsOf(at, typed())).toEqual([
      { name: 'Dry inside', value: null, seen: null },
      { name: 'Gap', value: null, seen: null },
    ])
    expect(readingsOf(at, typed({ seen: { 'Dry inside': false }, values: { Gap: 0 } }))).toEqual([
      { name: 'Dry inside', value: null, seen: false },
      { name: 'Gap', value: 0, seen: null },
    ])
  })

  it('leaves to the server what the six readings of the hole stand for, which go out when all are there', () => {
    expect(readingsOf(step(hold({ name: 'Width', unit: 'mm', wanted: 400, reads: 'widths' })), typed())).toEqual([])
    expect(holeOf(typed())).toBeNull()
    const whole = typed()
    whole.hole.fallingDiagonalMm = 500
    expect(holeOf(whole)).toEqual(whole.hole)
  })

  it('comes back as it was out of a report that was not taken', () => {
    const was = typed({ seen: { 'Dry inside': false }, values: { Gap: 1.5 }, notes: 'n', nextTime: 'Tape first', minutes: 12 })
    const at = step(hold({}), hold({ name: 'Gap', unit: 'mm' }))
    const report = {
      ...was,
      readings: readingsOf(at, was),
      asCut: holeOf(was),
      overruled: null,
      told: '',
      agoMinutes: null,
    } as unknown as Schemas['StepReport']
    const back = typedOf(report)
    expect({ ...back, hole: null }).toEqual({ ...was, hole: null })
    expect(holeOf(back)).toBeNull()
    was.hole.fallingDiagonalMm = 500
    expect(typedOf({ ...report, asCut: holeOf(was) }).hole).toEqual(was.hole)
  })

  it('is told what it should be in the lengths of the vehicle', () => {
    const gap = hold({ unit: 'mm', wanted: 25.4, less: 0, more: 12.7 })
    expect(wantedText(gap, { units: 'mm', inchDenominator: 16 })).toContain('25.4 mm')
    expect(wantedText(gap, { units: 'inch', inchDenominator: 16 })).toContain('1 1/2"')
    expect(wantedText(hold({}), { units: 'mm', inchDenominator: 16 })).toBe('')
  })
})
