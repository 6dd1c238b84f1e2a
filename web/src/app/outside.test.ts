import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import { outside } from './outside'

describe('outside', () => {
  const gap = bounds.Joint.gapMm
  it.each([
    [-0.001, true],
    [0, false],
    [100, false],
    [100.001, true],
    [null, false],
  ])('%s mm as the width of a joint is out of bounds: %s', (figure, is) => {
    expect(outside(figure, gap, String) !== null).toBe(is)
  })
  it('says the range in the words of the document', () => {
    expect(outside(-1, gap, (mm) => `${mm} mm`)).toEqual({ label: "The joint's width", least: '0 mm', most: '100 mm' })
    expect(outside(1e9, undefined, String)).toBeNull()
  })
})

// The server's own recorded answers: every figure of a joint that it refuses as too large is refused by the field already.
describe('bounds', () => {
  const recorded = readFileSync(new URL('../../../tests/reference/bad-requests.txt', import.meta.url), 'utf8').split('\n')
  it('are those that the server refuses by', () => {
    const refused = recorded.filter(
      (line) => line.startsWith('sealant-choice /joint/') && line.includes(' 1e7 => 400 out-of-range'),
    )
    expect(refused.length).toBeGreaterThan(2)
    for (const line of refused) {
      const field = line.split(' ')[1]!.split('/').at(-1)! as keyof typeof bounds.Joint
      const [, least, most] = / between (\S+) and (\S+) /.exec(line)!
      expect([field, bounds.Joint[field].least, bounds.Joint[field].most]).toEqual([field, Number(least), Number(most)])
    }
  })
  it('enumerations are the values that are taken', () => {
    expect(enums.Setting).toEqual(['moisture', 'atOnce', 'twoPart'])
    expect(new Set(enums.JointKind).size).toBe(enums.JointKind.length)
  })
})
