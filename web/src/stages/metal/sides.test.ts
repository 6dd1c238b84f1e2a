import { describe, expect, it } from 'vitest'
import { turned } from '@/drawing/geometry'
import { asKind, blankPatch, newRepair } from './newRepair'
import { ownSide, withSide } from './sides'

const panel = { kind: 'left', outline: [], skinMm: 0.8, material: 'galvanisedSteel' } as unknown as Parameters<
  typeof blankPatch
>[0]
const fold = { to: 'inside', degrees: 90, radiusMm: 1, lengthMm: 20 } as const

describe('sides of a patch', () => {
  it('are written down only where they have something of their own', () => {
    const plain = blankPatch(panel)
    const moved = withSide(plain, 'top', { lapMm: 40 })
    expect(moved.sides).toEqual([{ side: 'top', cutBackMm: null, lapMm: 40, folds: [] }])
    expect(withSide(moved, 'top', { lapMm: null }).sides).toEqual([])
    expect(plain.sides).toEqual([])
  })
  it('keep what else they have, and the other sides', () => {
    const folded = withSide(withSide(blankPatch(panel), 'rear', { folds: [fold] }), 'top', { cutBackMm: 5 })
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

describe('a new repair', () => {
  it('lies round the place, in the metal of the skin, with nothing taken for sound', () => {
    const value = newRepair('Repair', ['Repair'], panel, { sMm: 100, tMm: 200 })
    expect(value.name).toBe('Repair 2')
    expect(value.points[0]).toEqual({ sMm: 70, tMm: 170 })
    expect(value.patch?.metal).toBe('galvanisedSteel')
    expect(value.spot?.leftMm).toBeNull()
  })
  it('keeps what was typed when it is done in another way', () => {
    const patch = newRepair('Repair', [], panel, { sMm: 0, tMm: 0 })
    const plate = asKind(patch, 'plate', panel)
    expect(plate.patch?.shape).toBe('noHole')
    expect(asKind(plate, 'patch', panel).patch?.shape).toBe('squareRectangle')
    const treated = asKind(patch, 'treat', panel)
    expect(treated.patch).toEqual(patch.patch)
    expect(asKind(treated, 'plug', panel).holes?.diameterMm).toBe(8)
    expect(asKind(treated, 'gutter', panel).seam).toEqual({ wideMm: 12, deepMm: 6, spotWelds: 0 })
    expect(asKind(treated, 'trim', panel).trim?.held).toBe('screws')
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
