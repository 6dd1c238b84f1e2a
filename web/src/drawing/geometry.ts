import type { Point, Schemas, Side } from '@/api/client'

/** Plain geometry for drawing and dragging; the verdict itself always comes from the server. */

export interface Box {
  s1: number
  s2: number
  t1: number
  t2: number
}

export type Region = Schemas['RegionPart'][]

export const boxAround = (c: Point, width: number, height: number): Box => ({
  s1: c.sMm - width / 2,
  s2: c.sMm + width / 2,
  t1: c.tMm - height / 2,
  t2: c.tMm + height / 2,
})

/** A point turned about the origin, degrees from s towards t. */
export function turned(p: Point, degrees: number): Point {
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)]
  return { sMm: p.sMm * cos - p.tMm * sin, tMm: p.sMm * sin + p.tMm * cos }
}

export function boxOf(points: readonly Point[]): Box {
  const s = points.map((p) => p.sMm)
  const t = points.map((p) => p.tMm)
  return { s1: Math.min(...s), s2: Math.max(...s), t1: Math.min(...t), t2: Math.max(...t) }
}

/** The edge of a member's footprint: a strip along a two-point spine, widened with mitred corners where it has more points. */
export function footprintOutline(footprint: Schemas['Footprint']): Point[] {
  if (footprint.shape === 'polygon') return footprint.points
  const half = (footprint.widthMm ?? 0) / 2
  const left: Point[] = []
  const right: Point[] = []
  const spine = footprint.points
  spine.forEach((p, i) => {
    const before = direction(spine[Math.max(0, i - 1)]!, spine[Math.max(1, i)]!)
    const after = i < spine.length - 1 ? direction(p, spine[i + 1]!) : before
    const ns = -(before.tMm + after.tMm)
    const nt = before.sMm + after.sMm
    const scale = (2 * half) / (ns * ns + nt * nt)
    left.push({ sMm: p.sMm + ns * scale, tMm: p.tMm + nt * scale })
    right.unshift({ sMm: p.sMm - ns * scale, tMm: p.tMm - nt * scale })
  })
  return [...left, ...right]
}

function direction(a: Point, b: Point): Point {
  const length = Math.hypot(b.sMm - a.sMm, b.tMm - a.tMm)
  return { sMm: (b.sMm - a.sMm) / length, tMm: (b.tMm - a.tMm) / length }
}

export function encloses(ring: readonly Point[], p: Point): boolean {
  let inside = false
  ring.forEach((a, i) => {
    const b = ring[(i + ring.length - 1) % ring.length]!
    if (a.tMm > p.tMm !== b.tMm > p.tMm && p.sMm < ((b.sMm - a.sMm) * (p.tMm - a.tMm)) / (b.tMm - a.tMm) + a.sMm) inside = !inside
  })
  return inside
}

export const regionHolds = (region: Region, p: Point): boolean =>
  region.some((part) => encloses(part.outline, p) && !part.holes.some((hole) => encloses(hole, p)))

/** The place on the edge of a region that is nearest to a point. */
export function nearestOnEdge(region: Region, p: Point): { at: Point; mm: number } | null {
  let best: { at: Point; mm: number } | null = null
  for (const ring of region.flatMap((part) => [part.outline, ...part.holes])) {
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!
      const ds = b.sMm - a.sMm
      const dt = b.tMm - a.tMm
      const along = Math.max(0, Math.min(1, ((p.sMm - a.sMm) * ds + (p.tMm - a.tMm) * dt) / (ds * ds + dt * dt || 1)))
      const at = { sMm: a.sMm + along * ds, tMm: a.tMm + along * dt }
      const mm = Math.hypot(at.sMm - p.sMm, at.tMm - p.tMm)
      if (!best || mm < best.mm) best = { at, mm }
    })
  }
  return best
}

/** The extent of the part of an outline that lies in a box (clipping after Sutherland and Hodgman); null when none does. */
export function extentWithin(outline: readonly Point[], box: Box): Box | null {
  let kept: Point[] = [...outline]
  const cuts: ((p: Point) => number)[] = [
    (p) => p.sMm - box.s1,
    (p) => box.s2 - p.sMm,
    (p) => p.tMm - box.t1,
    (p) => box.t2 - p.tMm,
  ]
  for (const inside of cuts) {
    const next: Point[] = []
    kept.forEach((b, i) => {
      const a = kept[(i + kept.length - 1) % kept.length]!
      const da = inside(a)
      const db = inside(b)
      if (da < 0 !== db < 0) {
        const share = da / (da - db)
        next.push({ sMm: a.sMm + (b.sMm - a.sMm) * share, tMm: a.tMm + (b.tMm - a.tMm) * share })
      }
      if (db >= 0) next.push(b)
    })
    kept = next
  }
  return kept.length > 0 ? boxOf(kept) : null
}

export interface Gap {
  side: Side
  mm: number
  index: number
  from: Point
  to: Point
}

const far = 1e6
const hair = 0.01

/** The nearest outline square before each side of a cut-out, as the drag shows it; outlines that cross the cut-out are left out. */
export function gapsAround(cut: Box, outlines: readonly (readonly Point[])[]): Gap[] {
  const c = { s1: cut.s1 + hair, s2: cut.s2 - hair, t1: cut.t1 + hair, t2: cut.t2 - hair }
  const bands: Record<Side, Box> = {
    front: { ...c, s1: -far, s2: cut.s1 + 2 * hair },
    rear: { ...c, s1: cut.s2 - 2 * hair, s2: far },
    top: { ...c, t1: cut.t2 - 2 * hair, t2: far },
    bottom: { ...c, t1: -far, t2: cut.t1 + 2 * hair },
  }
  const nearest = new Map<Side, Gap>()
  outlines.forEach((outline, index) => {
    if (extentWithin(outline, c)) return
    for (const side of Object.keys(bands) as Side[]) {
      const part = extentWithin(outline, bands[side])
      if (!part) continue
      const gap = gapTo(side, cut, part, index)
      const known = nearest.get(side)
      if (!known || gap.mm < known.mm) nearest.set(side, gap)
    }
  })
  return [...nearest.values()]
}

export const crossing = (cut: Box, outlines: readonly (readonly Point[])[]): number[] =>
  outlines.flatMap((o, i) =>
    extentWithin(o, { s1: cut.s1 + hair, s2: cut.s2 - hair, t1: cut.t1 + hair, t2: cut.t2 - hair }) ? [i] : [],
  )

function gapTo(side: Side, cut: Box, part: Box, index: number): Gap {
  const s = (Math.max(cut.s1, part.s1) + Math.min(cut.s2, part.s2)) / 2
  const t = (Math.max(cut.t1, part.t1) + Math.min(cut.t2, part.t2)) / 2
  const ends: Record<Side, [Point, Point]> = {
    front: [
      { sMm: part.s2, tMm: t },
      { sMm: cut.s1, tMm: t },
    ],
    rear: [
      { sMm: cut.s2, tMm: t },
      { sMm: part.s1, tMm: t },
    ],
    top: [
      { sMm: s, tMm: cut.t2 },
      { sMm: s, tMm: part.t1 },
    ],
    bottom: [
      { sMm: s, tMm: part.t2 },
      { sMm: s, tMm: cut.t1 },
    ],
  }
  const [from, to] = ends[side]
  return { side, index, from, to, mm: Math.max(0, to.sMm - from.sMm + (to.tMm - from.tMm)) }
}

/** A place from the middle of a fitting after quarter turns, anticlockwise as the fitting turns. */
export function turnedPoint(p: Point, turnDeg: number): Point {
  if (turnDeg === 90) return { sMm: -p.tMm, tMm: p.sMm }
  if (turnDeg === 180) return { sMm: -p.sMm, tMm: -p.tMm }
  return turnDeg === 270 ? { sMm: p.tMm, tMm: -p.sMm } : p
}

/** A fitting as it lies after quarter turns: its shapes with their sides exchanged. */
export function turnedShape(shape: Schemas['RoundedRectangle'], turnDeg: number): Schemas['RoundedRectangle'] {
  return turnDeg % 180 === 0 ? shape : { ...shape, widthMm: shape.heightMm, heightMm: shape.widthMm }
}

/** The middle of some points. */
export const middleOf = (points: readonly Point[]): Point => ({
  sMm: points.reduce((sum, p) => sum + p.sMm, 0) / points.length,
  tMm: points.reduce((sum, p) => sum + p.tMm, 0) / points.length,
})
