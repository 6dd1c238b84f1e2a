import { describe, expect, it } from 'vitest'
import { floorMm, picture } from './picture'
import type { LoadCase, LoadLine, LoadOfVehicle } from './useLoad'

const size = { width: 900, height: 500 }
const line = (name: string, kg: number, xMm: number, rest: Partial<LoadLine['item']> = {}): LoadLine => ({
  id: name,
  version: 1,
  source: 'own',
  makes: '',
  countsIn: rest.kind === 'tank' ? ['loaded'] : ['empty', 'travel', 'loaded'],
  item: {
    name,
    kind: 'fixed',
    kg,
    at: { xMm, yMm: 400, zMm: 300 },
    travelPercent: 50,
    takenOut: false,
    isIn: false,
    notes: '',
    ...rest,
  },
})
const box = (height: number, from: number) => [
  { sMm: 0, tMm: from },
  { sMm: 4000, tMm: from },
  { sMm: 4000, tMm: height },
  { sMm: 0, tMm: height },
]
const load = (lines: LoadLine[], isTrailer = false): LoadOfVehicle => ({
  gear: { frontAtMm: -1000, wheelbaseMm: 3500, trackMm: 1700, isTrailer },
  lines,
  base: null,
  baseAt: null,
  weighings: [],
  cases: [],
  lighter: [],
  missing: [],
  fromSide: box(1900, 0),
  fromAbove: box(850, -850),
})
const seen = (of: Partial<LoadCase> = {}): LoadCase => ({
  state: 'loaded',
  planned: true,
  addedKg: 0,
  totalKg: 2000,
  on: { totalKg: 2000, frontKg: 900, rearKg: 1100, leftKg: null, rightKg: null, centre: { xMm: 900, yMm: 0, zMm: 100 } },
  heightMm: 700,
  rows: [],
  ...of,
})
const draw = (lines: LoadLine[], of = seen(), isTrailer = false) => picture(load(lines, isTrailer), of, size, 600)

describe('the picture of a load', () => {
  it('puts both views to one scale below one another, and everything on the screen', () => {
    const drawn = draw([line('Kiln', 120, 4000), line('Bed', 40, 1000)])
    for (const [x, y] of [...drawn.side, ...drawn.above]) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x).toBeLessThanOrEqual(size.width)
      expect(y).toBeLessThanOrEqual(size.height)
    }
    const wide = (points: readonly (readonly [number, number])[]) =>
      Math.max(...points.map((p) => p[0])) - Math.min(...points.map((p) => p[0]))
    expect(wide(drawn.side)).toBeCloseTo(wide(drawn.above))
    expect(wide(drawn.side)).toBeCloseTo(4000 * drawn.scale)
    expect(Math.min(...drawn.above.map((p) => p[1]))).toBeGreaterThan(drawn.gear!.roadY)
  })

  it('has the front at the left, up above, and the left side below when seen from above', () => {
    const drawn = draw([line('Low', 10, 0), line('High', 10, 3000, { at: { xMm: 3000, yMm: -400, zMm: 1500 } })])
    const at = (view: 'side' | 'above', name: string) => drawn.balls[view].find((b) => b.line.id === name)!
    expect(at('side', 'Low').x).toBeLessThan(at('side', 'High').x)
    expect(at('side', 'Low').y).toBeGreaterThan(at('side', 'High').y)
    expect(at('above', 'Low').y).toBeGreaterThan(at('above', 'High').y)
  })

  it('finds the place under the pointer again, to ten millimetres', () => {
    const kiln = line('Kiln', 120, 2500, { at: { xMm: 2510, yMm: -320, zMm: 740 } })
    const drawn = draw([kiln])
    for (const view of ['side', 'above'] as const) {
      const { x, y } = drawn.balls[view][0]!
      expect(drawn.placeAt(view, kiln.item.at, x, y)).toEqual(kiln.item.at)
    }
    // What a view does not show stays as it is.
    expect(drawn.placeAt('side', kiln.item.at, 0, 0).yMm).toBe(-320)
    expect(drawn.placeAt('above', kiln.item.at, 0, 0).zMm).toBe(740)
  })

  it('draws heavy things large and first, and keeps their numbers', () => {
    const drawn = draw([line('Light', 5, 0), line('Heavy', 200, 0)])
    expect(drawn.balls.side.map((b) => [b.line.id, b.number])).toEqual([
      ['Heavy', 2],
      ['Light', 1],
    ])
    expect(drawn.balls.side[0]!.r).toBeGreaterThan(drawn.balls.side[1]!.r)
  })

  it('tells apart what is in, planned, out, and what does not count in what is shown', () => {
    const lines = [
      line('In', 10, 0, { isIn: true }),
      line('Planned', 10, 0),
      line('Out', 10, 0, { takenOut: true, isIn: true }),
      line('Water', 10, 0, { kind: 'tank', isIn: true }),
    ]
    const look = (of: LoadCase) => Object.fromEntries(draw(lines, of).balls.side.map((b) => [b.line.id, b.look.trim()]))
    expect(look(seen())).toEqual({ In: 'in', Planned: 'planned', Out: 'out', Water: 'in' })
    expect(look(seen({ planned: false, state: 'empty' }))).toEqual({
      In: 'in',
      Planned: 'planned aside',
      Out: 'out',
      Water: 'in aside',
    })
  })

  it('hints at a cab where the axle lies ahead of the shell, and gives a trailer a coupling', () => {
    expect(draw([]).cab).not.toBeNull()
    expect(draw([], seen(), true).cab).toBeNull()
    expect(draw([], seen(), true).gear!.axles.map((a) => a.wheel)).toEqual([false, true])
    expect(draw([], seen({ heightMm: null })).centre.side).toBeNull()
    expect(floorMm(null)).toBe(600)
  })
})
