import type { Finding, Point } from '@/api/client'
import { middleOf } from '@/drawing/geometry'

/** A place to whole millimetres: nobody taps closer. */
export const whole = (p: Point): Point => ({ sMm: Math.round(p.sMm), tMm: Math.round(p.tMm) })

/** A shape about a place: a point, a level stretch, or a square, of a size in mm. */
export function shapeAbout(shape: Finding['shape'], { sMm, tMm }: Point, sizeMm: number): Point[] {
  const half = Math.round(sizeMm / 2)
  const off = (s: number, t: number) => ({ sMm: sMm + s, tMm: tMm + t })
  if (shape === 'point') return [off(0, 0)]
  if (shape === 'line') return [off(-half, 0), off(half, 0)]
  return [off(-half, -half), off(half, -half), off(half, half), off(-half, half)]
}

/** The same shape, carried so that its middle lies at a place. */
export function carriedTo(points: readonly Point[], to: Point): Point[] {
  const from = whole(middleOf(points))
  return points.map((p) => whole({ sMm: p.sMm + to.sMm - from.sMm, tMm: p.tMm + to.tMm - from.tMm }))
}

/** Whether four corners are a rectangle that stands square on the panel. */
const isSquareOn = (p: readonly Point[]) =>
  p.length === 4 &&
  p.every((a, i) => {
    const b = p[(i + 1) % 4]!
    return i % 2 === 0 ? a.tMm === b.tMm : a.sMm === b.sMm
  })

/** One point dragged elsewhere; a rectangle stays one, with the corner across from it held. */
export function dragged(points: readonly Point[], i: number, to: Point): Point[] {
  if (!isSquareOn(points)) return points.map((p, k) => (k === i ? to : p))
  const held = points[(i + 2) % 4]!
  if (to.sMm === held.sMm || to.tMm === held.tMm) return [...points]
  return points.map((p, k) => ({
    sMm: p.sMm === held.sMm && k !== i ? held.sMm : to.sMm,
    tMm: p.tMm === held.tMm && k !== i ? held.tMm : to.tMm,
  }))
}

/** How far a shape reaches along and across, mm. */
export function reachOf(points: readonly Point[]): { along: number; across: number } {
  const [s, t] = [points.map((p) => p.sMm), points.map((p) => p.tMm)]
  return { along: Math.max(...s) - Math.min(...s), across: Math.max(...t) - Math.min(...t) }
}

/** Where a point comes to lie when an arrow key moves it by some mm on the screen, on a drawing that may be turned or seen from behind. */
export function nudged(
  p: Point,
  [right, down]: readonly [number, number],
  by: number,
  at: (p: Point) => { x: number; y: number },
): Point {
  const o = at(p)
  const ways = [
    { sMm: by, tMm: 0 },
    { sMm: -by, tMm: 0 },
    { sMm: 0, tMm: by },
    { sMm: 0, tMm: -by },
  ].map((d) => ({ sMm: p.sMm + d.sMm, tMm: p.tMm + d.tMm }))
  const reach = (q: Point) => (at(q).x - o.x) * right + (at(q).y - o.y) * down
  return ways.reduce((best, q) => (reach(q) > reach(best) ? q : best))
}
