import type { Vehicle } from '@/api/client'

/** A place on the side of a vehicle, mm: along from the front datum, up from the floor. */
export type SideSpot = readonly [along: number, up: number]

/** What nobody surveys, and what tells a vehicle's front from its rear: quiet shapes round the shell. */
export interface BodyHints {
  /** Cab, nose or drawbar ahead of the shell, from the side. */
  side: SideSpot[]
  /** Its windscreen or side window; empty where there is none. */
  glass: SideSpot[]
  /** The same from above: along, and across as a share of half the width. */
  above: SideSpot[]
  /** Wheels by their middles. */
  wheels: { alongMm: number; upMm: number; radiusMm: number }[]
  /** How far it all reaches ahead of the front datum, mm. */
  noseMm: number
}

/** Radius of a wheel, and how far the floor lies above the road where nobody said, mm. */
export const wheelMm = 340
export const usualFloorMm = 600
/** How far a cab is drawn to reach ahead of the shell, mm: shortened, since it only shows where the front is. */
const usualNoseMm: Record<Vehicle['kind'], number> = { panelVan: 1300, bus: 620, boxTrailer: 950, caravanBody: 950 }
/** Where the rear axle lies, as a share of the shell's length. */
const rearAxle: Record<Vehicle['kind'], number> = { panelVan: 0.68, bus: 0.7, boxTrailer: 0.56, caravanBody: 0.54 }

export const noseMm = (kind: Vehicle['kind']) => usualNoseMm[kind]
export const isTowed = (kind: Vehicle['kind']) => kind === 'boxTrailer' || kind === 'caravanBody'

/**
 * The shapes round a shell of a kind, for a body so long and so high.
 * @param body where it begins, how long and how high it is, mm
 * @param known where the axles are, mm, and how high the floor lies, as far as somebody measured it
 */
export function bodyHints(
  kind: Vehicle['kind'],
  body: { frontMm: number; lengthMm: number; heightMm: number },
  known: { frontAxleMm?: number | null; rearAxleMm?: number | null; floorMm?: number | null; noseMm?: number } = {},
): BodyHints {
  const { frontMm: f, heightMm: h } = body
  const nose = known.noseMm ?? usualNoseMm[kind]
  const n = (share: number) => f - nose * share
  const floor = known.floorMm ?? usualFloorMm
  const radiusMm = Math.min(wheelMm, floor * 0.8)
  const wheel = (alongMm: number) => ({ alongMm, upMm: radiusMm - floor, radiusMm })
  const rear = wheel(known.rearAxleMm ?? f + body.lengthMm * rearAxle[kind])
  if (isTowed(kind))
    return {
      side: [
        [f, -60],
        [n(0.9), -130],
        [n(1), -90],
        [n(1), -190],
        [n(0.9), -190],
        [f, -150],
      ],
      glass: [],
      above: [
        [f, 0.55],
        [n(0.85), 0.06],
        [n(1), 0.06],
        [n(1), -0.06],
        [n(0.85), -0.06],
        [f, -0.55],
      ],
      wheels: [rear],
      noseMm: nose,
    }
  const flat = kind === 'bus'
  const front = wheel(known.frontAxleMm ?? f - nose * (flat ? -0.35 : 0.45))
  return {
    side: flat
      ? [
          [f, 0],
          [n(0.95), 0],
          [n(1), h * 0.3],
          [n(0.85), h * 0.48],
          [n(0.3), h * 0.96],
          [f, h],
        ]
      : [
          [f, 0],
          [n(0.97), 0],
          [n(1), h * 0.22],
          [n(0.72), h * 0.4],
          [n(0.62), h * 0.43],
          [n(0.2), h * 0.84],
          [f, h * 0.93],
        ],
    glass: flat
      ? [
          [n(0.78), h * 0.5],
          [n(0.32), h * 0.9],
          [n(0.05), h * 0.9],
          [n(0.05), h * 0.5],
        ]
      : [
          [n(0.54), h * 0.45],
          [n(0.2), h * 0.78],
          [n(0.06), h * 0.82],
          [n(0.06), h * 0.45],
        ],
    above: flat
      ? [
          [f, 0.98],
          [n(0.7), 0.94],
          [n(1), 0.6],
          [n(1), -0.6],
          [n(0.7), -0.94],
          [f, -0.98],
        ]
      : [
          [f, 0.96],
          [n(0.55), 0.92],
          [n(0.92), 0.76],
          [n(1), 0.45],
          [n(1), -0.45],
          [n(0.92), -0.76],
          [n(0.55), -0.92],
          [f, -0.96],
        ],
    wheels: [front, rear],
    noseMm: nose,
  }
}
