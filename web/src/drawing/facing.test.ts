import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Panel, Stored } from '@/api/client'
import { viewSigns, type Facing, type ViewedFrom } from './facing'
import { boxOf } from './geometry'
import { unfolded } from './unfolded'

const rows = readFileSync(new URL('../../../tests/reference/panel-view.csv', import.meta.url), 'utf8')
  .trim()
  .split('\n')
  .filter((line) => !line.startsWith('#'))
  .slice(1)
  .map((line) => line.split(',') as [Facing, ViewedFrom, string, string])

describe('a panel on the screen', () => {
  it.each(rows)('that faces %s, seen from %s, is drawn as Core draws it', (facing, from, s, t) => {
    expect(viewSigns(facing, from)).toEqual({ s: Number(s), t: Number(t) })
  })
})

const box = (s1: number, s2: number, t1: number, t2: number) => [
  { sMm: s1, tMm: t1 },
  { sMm: s2, tMm: t1 },
  { sMm: s2, tMm: t2 },
  { sMm: s1, tMm: t2 },
]
const panel = (kind: Panel['kind'], outline: Panel['outline']): Stored<Panel> => ({
  id: kind,
  version: 1,
  ownerId: 'v',
  value: { kind, outline, skinMm: 1, material: 'mildSteel', taperDeg: 0, surface: 'drawn' },
})
const shell = [
  panel('roof', box(0, 4000, -850, 850)),
  panel('left', box(0, 4000, 0, 1900)),
  panel('right', box(0, 4000, 0, 1900)),
  panel('slidingDoor', box(900, 2100, 40, 1700)),
  panel('rearLeftDoor', box(0, 850, 0, 1900)),
  panel('rearRightDoor', box(-850, 0, 0, 1900)),
  panel('bulkhead', box(-850, 850, 0, 1900)),
  panel('floor', box(0, 4000, -850, 850)),
  panel('step', box(4000, 4200, -850, 850)),
]

describe.each(['outside', 'inside'] as const)('the shell unfolded, seen from %s', (from) => {
  const laid = unfolded(shell, from)
  const of = (kind: string) => laid.find((l) => l.row.id === kind)!

  it('turns panels but never mirrors one: the hand of each is that of its own view', () => {
    for (const l of laid) {
      const [a, b, c] = [l.at({ sMm: 0, tMm: 0 }), l.at({ sMm: 1, tMm: 0 }), l.at({ sMm: 0, tMm: 1 })]
      // y runs down the screen, so that the sign turns round.
      const hand = -((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x))
      const facing = {
        up: 'roof step',
        down: 'floor',
        left: 'left',
        right: 'right slidingDoor',
        rear: 'rearLeftDoor rearRightDoor',
        front: 'bulkhead',
      }
      const own = (Object.keys(facing) as Facing[]).find((f) => facing[f].split(' ').includes(l.row.id))!
      const signs = viewSigns(own, from)
      expect([l.row.id, Math.sign(hand)]).toEqual([l.row.id, signs.s * signs.t])
    }
  })
  it('runs one set of stations through roof, sides and floor', () => {
    for (const kind of ['roof', 'left', 'right', 'floor', 'slidingDoor']) expect(of(kind).at({ sMm: 1234, tMm: 0 }).x).toBe(1234)
  })
  it('hinges each side at the edge of the roof that it meets', () => {
    const gap = (a: number, b: number) => Math.abs(a - b)
    expect(gap(of('roof').at({ sMm: 0, tMm: 850 }).y, of('left').at({ sMm: 0, tMm: 1900 }).y)).toBe(130)
    expect(gap(of('roof').at({ sMm: 0, tMm: -850 }).y, of('right').at({ sMm: 0, tMm: 1900 }).y)).toBe(130)
    expect(gap(of('left').at({ sMm: 0, tMm: 0 }).y, of('floor').at({ sMm: 0, tMm: 850 }).y)).toBe(130)
  })
  it('stands doors upright and lays no panel over another, but for the sliding door in its side', () => {
    for (const kind of ['rearLeftDoor', 'rearRightDoor', 'bulkhead'])
      expect(of(kind).at({ sMm: 0, tMm: 1900 }).y).toBeLessThan(of(kind).at({ sMm: 0, tMm: 0 }).y)
    const apart = laid.filter((l) => l.row.id !== 'slidingDoor')
    for (const a of apart)
      for (const b of apart)
        if (a !== b)
          expect([
            a.row.id,
            b.row.id,
            a.box.x1 < b.box.x2 && b.box.x1 < a.box.x2 && a.box.y1 < b.box.y2 && b.box.y1 < a.box.y2,
          ]).toEqual([a.row.id, b.row.id, false])
  })
  it('keeps sizes true', () => {
    for (const l of laid) {
      const b = boxOf(l.row.value.outline)
      const sizes = [b.s2 - b.s1, b.t2 - b.t1].sort((p, q) => p - q)
      expect([l.box.x2 - l.box.x1, l.box.y2 - l.box.y1].sort((p, q) => p - q)).toEqual(sizes)
    }
  })
})
