import { describe, expect, it } from 'vitest'
import { middleOf } from '@/drawing/geometry'
import { carriedTo, dragged, nudged, reachOf, shapeAbout } from './findingShape'

const at = (sMm: number, tMm: number) => ({ sMm, tMm })

describe('the shape of a finding', () => {
  it('begins about the place that was tapped', () => {
    expect(shapeAbout('point', at(500, 200), 120)).toEqual([at(500, 200)])
    expect(shapeAbout('line', at(500, 200), 120)).toEqual([at(440, 200), at(560, 200)])
    expect(shapeAbout('area', at(500, 200), 120)).toEqual([at(440, 140), at(560, 140), at(560, 260), at(440, 260)])
    for (const shape of ['point', 'line', 'area'] as const) expect(middleOf(shapeAbout(shape, at(7, -3), 90))).toEqual(at(7, -3))
  })

  it('is carried whole to where one taps next', () => {
    const there = carriedTo(shapeAbout('area', at(0, 0), 100), at(300, -40))
    expect(middleOf(there)).toEqual(at(300, -40))
    expect(reachOf(there)).toEqual({ along: 100, across: 100 })
  })

  it.each([0, 1, 2, 3])('stays a rectangle when corner %i is dragged, and holds the corner across', (i) => {
    const before = shapeAbout('area', at(0, 0), 100)
    const to = at(before[i]!.sMm * 3, before[i]!.tMm * 2)
    const after = dragged(before, i, to)
    expect(after[i]).toEqual(to)
    expect(after[(i + 2) % 4]).toEqual(before[(i + 2) % 4])
    expect(reachOf(after)).toEqual({ along: 200, across: 150 })
    expect(new Set(after.map((p) => p.sMm)).size).toBe(2)
    expect(new Set(after.map((p) => p.tMm)).size).toBe(2)
  })

  it('never folds a rectangle into a line', () => {
    const before = shapeAbout('area', at(0, 0), 100)
    expect(dragged(before, 0, at(50, -80))).toEqual(before)
    expect(dragged(before, 0, at(-80, 50))).toEqual(before)
  })

  it('moves one point alone of what is no rectangle', () => {
    const crooked = [at(0, 0), at(100, 10), at(100, 100), at(0, 90)]
    expect(dragged(crooked, 1, at(120, 5))).toEqual([at(0, 0), at(120, 5), at(100, 100), at(0, 90)])
    expect(dragged([at(0, 0), at(80, 0)], 1, at(90, 30))).toEqual([at(0, 0), at(90, 30)])
  })

  it('goes where the arrow points on the screen, also on a wall that lies on its head', () => {
    const upright = (p: { sMm: number; tMm: number }) => ({ x: p.sMm, y: -p.tMm })
    const turned = (p: { sMm: number; tMm: number }) => ({ x: -p.sMm, y: p.tMm })
    expect(nudged(at(5, 5), [1, 0], 10, upright)).toEqual(at(15, 5))
    expect(nudged(at(5, 5), [0, 1], 10, upright)).toEqual(at(5, -5))
    expect(nudged(at(5, 5), [1, 0], 1, turned)).toEqual(at(4, 5))
    expect(nudged(at(5, 5), [0, -1], 1, turned)).toEqual(at(5, 4))
  })
})
