import type { Schemas } from '@/api/client'
import { bodyHints, usualFloorMm, wheelMm } from '@/drawing/bodyHints'
import type { LoadCase, LoadLine, LoadOfVehicle } from './useLoad'

export type Place = Schemas['LoadPlace']
type Spot = readonly [number, number]
/** Something that is carried, as it is drawn: as large as it is heavy, with its number in the list. */
export interface Ball {
  line: LoadLine
  number: number
  x: number
  y: number
  r: number
  /** In already, planned, taken out; aside where it does not count in what is shown. */
  look: string
}

export const floorMm = (masses: { floorHeightMm?: number | null } | null) => masses?.floorHeightMm ?? usualFloorMm
/** How far a cab reaches ahead of the front axle, mm. */
const aheadOfAxleMm = 750
/** Room for captions and for what the axles carry, px. */
const captionPx = 26
const axlesPx = 30

/** Whether a line counts in what is shown. */
const counts = (line: LoadLine, of: LoadCase) => (of.planned || line.item.isIn) && line.countsIn?.includes(of.state) === true

/** Lays both views of a vehicle on the screen, one below the other, to one scale. */
export function picture(load: LoadOfVehicle, of: LoadCase, size: { width: number; height: number }, floor: number) {
  const gear = load.gear
  const places = load.lines.map((l) => l.item.at)
  const across = [...load.fromSide, ...load.fromAbove].map((p) => p.sMm)
  const xs = [
    ...across,
    ...places.map((p) => p.xMm),
    ...(gear ? [gear.frontAtMm - (gear.isTrailer ? 300 : aheadOfAxleMm), gear.frontAtMm + gear.wheelbaseMm] : []),
  ]
  const [x1, x2] = xs.length > 0 ? [Math.min(...xs), Math.max(...xs)] : [0, 4000]
  const top = Math.max(1000, ...load.fromSide.map((p) => p.tMm), ...places.map((p) => p.zMm))
  const half = Math.max(700, ...load.fromAbove.map((p) => Math.abs(p.tMm)), ...places.map((p) => Math.abs(p.yMm)))
  const scale = Math.max(
    0.01,
    Math.min((size.width - 48) / (x2 - x1), (size.height - 2 * captionPx - axlesPx - 16) / (top + floor + 2 * half)),
  )
  const left = (size.width - (x2 - x1) * scale) / 2
  const x = (mm: number) => left + (mm - x1) * scale
  const zeroZ = captionPx + top * scale
  const roadY = zeroZ + floor * scale
  const aboveTop = roadY + axlesPx
  const middle = aboveTop + captionPx + half * scale
  const z = (mm: number) => zeroZ - mm * scale
  // Seen from above with the front at the left, the vehicle's left lies below, as a roof is drawn.
  const y = (mm: number) => middle + mm * scale
  const row = (id: string) => of.rows.find((r) => r.id === id)?.state ?? 'good'
  const ball = (line: LoadLine, i: number, at: Spot): Ball => ({
    line,
    number: i + 1,
    x: at[0],
    y: at[1],
    r: Math.min(24, 8 + 1.1 * Math.sqrt(line.item.kg)) * Math.min(1, 0.35 + 9 * scale),
    look: [line.item.takenOut ? 'out' : line.item.isIn ? 'in' : 'planned', counts(line, of) ? '' : 'aside'].join(' '),
  })
  // Heavy ones first, so that small ones lie on them.
  const laid = (place: (at: Place) => Spot) => load.lines.map((l, i) => ball(l, i, place(l.item.at))).sort((a, b) => b.r - a.r)
  const centre = of.on?.centre
  const bodyX = Math.min(...load.fromSide.map((p) => p.sMm))
  const cabX = gear && !gear.isTrailer && gear.frontAtMm < bodyX ? gear.frontAtMm - aheadOfAxleMm : null
  const cab =
    cabX === null
      ? null
      : bodyHints('panelVan', { frontMm: bodyX, lengthMm: x2 - bodyX, heightMm: top }, { floorMm: floor, noseMm: bodyX - cabX })
  return {
    scale,
    aboveTop,
    aboveBottom: middle + half * scale,
    side: load.fromSide.map((p): Spot => [x(p.sMm), z(p.tMm)]),
    above: load.fromAbove.map((p): Spot => [x(p.sMm), y(p.tMm)]),
    /** A cab that nobody surveyed, where the front axle lies ahead of the shell. */
    cab: cab && {
      side: cab.side.map(([along, up]): Spot => [x(along), z(up)]),
      above: cab.above.map(([along, share]): Spot => [x(along), y(share * half)]),
    },
    gear: gear && {
      roadY,
      wheelR: Math.min(wheelMm, floor * 0.8) * scale,
      beamY: z(-60),
      beam: [x(gear.frontAtMm), x(Math.max(gear.frontAtMm + gear.wheelbaseMm, ...across))] as const,
      axles: [
        {
          key: 'front',
          x: x(gear.frontAtMm),
          wheel: !gear.isTrailer,
          kg: of.on && Math.round(of.on.frontKg),
          state: gear.isTrailer && row('load-coupling') === 'blocked' ? 'blocked' : row('load-front'),
        },
        {
          key: 'rear',
          x: x(gear.frontAtMm + gear.wheelbaseMm),
          wheel: true,
          kg: of.on && Math.round(of.on.rearKg),
          state: row('load-rear'),
        },
      ],
    },
    balls: {
      side: laid((at) => [x(at.xMm), z(at.zMm)]),
      above: laid((at) => [x(at.xMm), y(at.yMm)]),
    },
    centre: {
      side: centre && of.heightMm !== null ? ([x(centre.xMm), z(centre.zMm)] as const) : null,
      above: centre ? ([x(centre.xMm), y(centre.yMm)] as const) : null,
    },
    /** The place of a mass that is dragged to a point of the screen; what the view does not show stays. */
    placeAt(view: 'side' | 'above', at: Place, px: number, py: number): Place {
      const near = (mm: number) => Math.round(mm / 10) * 10
      const xMm = near(x1 + (px - left) / scale)
      return view === 'side'
        ? { ...at, xMm, zMm: Math.max(-1500, Math.min(4000, near((zeroZ - py) / scale))) }
        : { ...at, xMm, yMm: Math.max(-2000, Math.min(2000, near((py - middle) / scale))) }
    },
  }
}
