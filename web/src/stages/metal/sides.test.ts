import { describe, expect, it } from 'vitest'
import { turned } from '@/drawing/geometry'
import { ownSide, withSide } from './sides'

const plain: Parameters<typeof ownSide>[0] = {
  shape: 'squareRectangle',
  cutBackMm: 20,
  cornerMm: 10,
  join: 'bondedAndRiveted',
  lapMm: null,
  metal: 'mildSteel',
  sheetMm: 1,
  upperEdge: 'overTheSkin',
  joggled: false,
  sides: [],
}
const fold = { to: 'inside', degrees: 90, radiusMm: 1, lengthMm: 20 } as const

describe('sides of a patch', () => {
  it('are written down only where they have something of their own', () => {
    const moved = withSide(plain, 'top', { lapMm: 40 })
    expect(moved.sides).toEqual([{ side: 'top', cutBackMm: null, lapMm: 40, folds: [] }])
    expect(withSide(moved, 'top', { lapMm: null }).sides).toEqual([])
    expect(plain.sides).toEqual([])
  })
  it('keep what else they have, and the other sides', () => {
    const folded = withSide(withSide(plain, 'rear', { folds: [fold] }), 'top', { cutBackMm: 5 })
    expect(withSide(folded, 'rear', { lapMm: 12 }).sides).toContainEqual({
      side: 'rear',
      cutBackMm: null,
      lapMm: 12,
      folds: [fold],
    })
    expect(ownSide(folded, 'top').cutBackMm).toBe(5)
    expect(ownSide(folded, 'front')).toEqual({ side: 'front', cutBackMm: null, lapMm: null, folds: [] })
  })
})

describe('turned points', () => {
  it('go from s towards t', () => {
    const p = turned({ sMm: 10, tMm: 0 }, 90)
    expect(p.sMm).toBeCloseTo(0)
    expect(p.tMm).toBeCloseTo(10)
    const back = turned(turned({ sMm: 3, tMm: 4 }, 33), -33)
    expect([back.sMm, back.tMm].map((n) => n.toFixed(9))).toEqual(['3.000000000', '4.000000000'])
  })
})
