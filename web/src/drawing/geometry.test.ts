import { describe, expect, it } from 'vitest'
import type { Point } from '@/api/client'
import { boxAround, crossing, footprintOutline, gapsAround, nearestOnEdge, regionHolds } from './geometry'

const bow = (s1: number, s2: number): Point[] => [
  { sMm: s1, tMm: -850 },
  { sMm: s2, tMm: -850 },
  { sMm: s2, tMm: 850 },
  { sMm: s1, tMm: 850 },
]
const square = { outline: bow(0, 100), holes: [] }

describe('the distances that follow the finger', () => {
  // Worked by hand, as in Core's test of the verdict: (545 - 400) / 2 = 72.5
  it('are 72.5 to either bow in the middle of a bay of 545', () => {
    const gaps = gapsAround(boxAround({ sMm: 892.5, tMm: 0 }, 400, 400), [bow(560, 620), bow(1165, 1225)])
    expect(gaps.map((g) => [g.side, g.mm, g.index])).toEqual([
      ['front', 72.5, 0],
      ['rear', 72.5, 1],
    ])
  })
  it('leave out what is crossed, and say so', () => {
    const cut = boxAround({ sMm: 700, tMm: 0 }, 400, 400)
    expect(crossing(cut, [bow(560, 620), bow(1165, 1225)])).toEqual([0])
    expect(gapsAround(cut, [bow(560, 620), bow(1165, 1225)]).map((g) => g.side)).toEqual(['rear'])
  })
})

describe('a region', () => {
  it('holds what lies inside and not what lies in its hole', () => {
    const holed = [{ outline: bow(0, 100), holes: [bow(40, 60)] }]
    expect(regionHolds(holed, { sMm: 20, tMm: 0 })).toBe(true)
    expect(regionHolds(holed, { sMm: 50, tMm: 0 })).toBe(false)
  })
  it('is snapped to at its nearest edge', () => {
    expect(nearestOnEdge([square], { sMm: 108, tMm: 10 })).toEqual({ at: { sMm: 100, tMm: 10 }, mm: 8 })
  })
})

describe('a footprint', () => {
  it('is a strip along a straight spine', () => {
    const outline = footprintOutline({
      shape: 'spine',
      widthMm: 60,
      points: [
        { sMm: 590, tMm: -850 },
        { sMm: 590, tMm: 850 },
      ],
    })
    expect(Math.min(...outline.map((p) => p.sMm))).toBeCloseTo(560)
    expect(Math.max(...outline.map((p) => p.sMm))).toBeCloseTo(620)
  })
  it('is mitred where the spine bends', () => {
    const outline = footprintOutline({
      shape: 'spine',
      widthMm: 40,
      points: [
        { sMm: 0, tMm: 0 },
        { sMm: 1000, tMm: 0 },
        { sMm: 1000, tMm: 500 },
      ],
    })
    expect(outline.some((p) => Math.abs(p.sMm - 1020) < 1e-9 && Math.abs(p.tMm + 20) < 1e-9)).toBe(true)
  })
})
