import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { fineMm, lengthNumber, lengthText, nudgeMm } from './length'

/** The table that Core's tests read too: both sides write lengths alike. */
const rows = readFileSync(new URL('../../../tests/reference/length-format.csv', import.meta.url), 'utf8')
  .trim()
  .split('\n')
  .filter((line) => !line.startsWith('#'))
  .slice(1)
  .map((line) => line.split(',').map((cell) => (cell.startsWith('"') ? cell.slice(1, -1).replaceAll('""', '"') : cell)))

describe('a length on the screen', () => {
  it('stands in the shared table', () => expect(rows.length).toBeGreaterThan(8))
  it.each(rows)('%s mm is written as Core writes it', (mm, mmText, inch16, inch32) => {
    expect(lengthText(Number(mm), { units: 'mm', inchDenominator: 16 })).toBe(mmText)
    expect(lengthText(Number(mm), { units: 'inch', inchDenominator: 16 })).toBe(inch16)
    expect(lengthText(Number(mm), { units: 'inch', inchDenominator: 32 })).toBe(inch32)
  })
  it('has a figure without its unit', () => expect(lengthNumber(41.275, { units: 'inch', inchDenominator: 16 })).toBe('1 5/8'))
})

describe('an arrow key', () => {
  it('moves a millimetre or a sixteenth, with Shift ten or half an inch', () => {
    const inch = { units: 'inch', inchDenominator: 32 } as const
    const mm = { units: 'mm', inchDenominator: 16 } as const
    expect([nudgeMm(mm, false), nudgeMm(mm, true)]).toEqual([1, 10])
    expect([nudgeMm(inch, false), nudgeMm(inch, true)].map((n) => lengthText(n, inch))).toEqual(['1/16"', '1/2"'])
  })

  it('still stands on a sixteenth after a hundred presses', () => {
    const inch = { units: 'inch', inchDenominator: 16 } as const
    let at = 254
    for (let i = 0; i < 100; i++) at = fineMm(at + nudgeMm(inch, false), inch)
    expect(at).toBeCloseTo(254 + 6.25 * 25.4, 2)
    expect(fineMm(12.3456, { units: 'mm', inchDenominator: 16 })).toBe(12.3)
  })
})
