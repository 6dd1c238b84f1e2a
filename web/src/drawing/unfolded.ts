import type { Panel, Point, Stored } from '@/api/client'
import { facingOf, type Facing, type ViewedFrom } from './facing'
import { boxOf, type Box } from './geometry'

/** A place on the unfolded drawing, mm: x to the right, y down. */
export interface Spot {
  x: number
  y: number
}

/** A panel laid where it comes to lie when the shell is unfolded. */
export interface LaidPanel {
  row: Stored<Panel>
  at: (p: Point) => Spot
  box: { x1: number; x2: number; y1: number; y2: number }
}

/** Room between panels, mm. */
const gap = 130

/**
 * Unfolds the shell like a carton: the roof in the middle with its front at the left, each side hinged at the roof's edge, the floor at the foot of the
 * left side, so that the same station lines run through all four. What stands across the vehicle (rear doors, bulkhead, steps) stands upright
 * beside them. Every panel is turned, never mirrored: seen from outside, or all of it from inside.
 */
export function unfolded(panels: readonly Stored<Panel>[], from: ViewedFrom): LaidPanel[] {
  const facing = (f: Facing) => panels.filter((p) => facingOf(p.value) === f)
  const main = (f: Facing, kind: Panel['kind']) => facing(f).find((p) => p.value.kind === kind)
  const roof = main('up', 'roof')
  const roofBox: Box = roof ? boxOf(roof.value.outline) : { s1: 0, s2: 3000, t1: -850, t2: 850 }
  const top = (f: Facing) => Math.max(0, ...facing(f).map((p) => boxOf(p.value.outline).t2))
  const leftFoot = roofBox.t2 + gap + top('left')
  const rightFoot = roofBox.t1 - gap - top('right')
  const floorBox = panels.filter((p) => p.value.kind === 'floor').map((p) => boxOf(p.value.outline))[0]
  const beside =
    Math.max(roofBox.s2, ...panels.filter((p) => isAlong(facingOf(p.value))).map((p) => boxOf(p.value.outline).s2)) + 3 * gap

  const laid: LaidPanel[] = []
  // The net as seen from outside; from inside the whole of it is turned over, about the roof's middle.
  const put = (row: Stored<Panel>, at: (p: Point) => Spot) => {
    const seen = from === 'outside' ? at : (p: Point) => ({ x: at(p).x, y: -at(p).y })
    const spots = row.value.outline.map(seen)
    const [xs, ys] = [spots.map((p) => p.x), spots.map((p) => p.y)]
    laid.push({ row, at: seen, box: { x1: Math.min(...xs), x2: Math.max(...xs), y1: Math.min(...ys), y2: Math.max(...ys) } })
  }
  // From inside, what stands upright beside the net must stay upright: it is mirrored sideways instead, about its own middle.
  const putUpright = (row: Stored<Panel>, left: number, foot: number, mirrored: boolean) => {
    const b = boxOf(row.value.outline)
    const toRight = mirrored !== (from === 'inside')
    put(row, (p) => {
      const x = left + (toRight ? p.sMm - b.s1 : b.s2 - p.sMm)
      const y = foot - (p.tMm - b.t1)
      return from === 'outside' ? { x, y } : { x, y: 2 * foot - (b.t2 - b.t1) - y }
    })
  }

  for (const row of panels) {
    const f = facingOf(row.value)
    if (row.value.kind === 'roof') put(row, (p) => ({ x: p.sMm, y: p.tMm }))
    else if (f === 'left') put(row, (p) => ({ x: p.sMm, y: leftFoot - p.tMm }))
    else if (f === 'right') put(row, (p) => ({ x: p.sMm, y: rightFoot + p.tMm }))
    else if (row.value.kind === 'floor' && floorBox) put(row, (p) => ({ x: p.sMm, y: leftFoot + gap + floorBox.t2 - p.tMm }))
  }
  // Rear doors stand side by side as one sees them, left at the left; the bulkhead above them.
  const rear = facing('rear')
  const rearLeft = Math.max(0, ...rear.map((p) => boxOf(p.value.outline).s2))
  for (const row of rear)
    putUpright(
      row,
      beside +
        (from === 'outside'
          ? rearLeft - boxOf(row.value.outline).s2
          : boxOf(row.value.outline).s1 - Math.min(...rear.map((p) => boxOf(p.value.outline).s1))),
      leftFoot,
      false,
    )
  for (const row of facing('front')) putUpright(row, beside, rightFoot + top('front'), true)
  let foot = leftFoot + gap
  for (const row of panels) {
    if (laid.some((l) => l.row === row)) continue
    const b = boxOf(row.value.outline)
    const turned = row.value.kind === 'step'
    const down = foot
    // A step lies across the vehicle: drawn with its long side level, as one who stands behind sees it.
    if (turned) put(row, (p) => ({ x: beside + (b.t2 - p.tMm), y: down + (p.sMm - b.s1) }))
    else if (facingOf(row.value) === 'up') put(row, (p) => ({ x: beside + (p.sMm - b.s1), y: down + (p.tMm - b.t1) }))
    else put(row, (p) => ({ x: beside + (p.sMm - b.s1), y: down + (b.t2 - p.tMm) }))
    foot += (turned ? b.s2 - b.s1 : b.t2 - b.t1) + gap
  }
  return laid
}

const isAlong = (f: Facing) => f === 'left' || f === 'right' || f === 'down' || f === 'up'
