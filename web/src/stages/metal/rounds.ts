import type { Schemas } from '@/api/client'

/** A round of readings while it is being typed: figures may still be missing. */
export interface TypedRound {
  after: Schemas['DoorTurn']
  pushed: { edge: Schemas['DoorEdge']; atMm: number; byMm: number | null }
  readings: { edge: Schemas['DoorEdge']; heightMm: number | null; gapMm: number | null }[]
}

/** Where a first round is read: near the bottom, in the middle, near the top of a door of this height; tidy figures to be changed. */
const shares = [0.05, 0.5, 0.95]

/** A round to type: the heights of the last one, after what was to be done; no gap is there before somebody read it. */
export function nextRound(door: Schemas['DoorFit'], plan: Schemas['DoorPlan'] | null, heightMm: number): TypedRound {
  const last = door.rounds.at(-1)
  return {
    after: plan?.next ?? (last ? 'bend' : 'asFound'),
    pushed: { edge: plan?.push?.edge ?? 'latch', atMm: plan?.push?.atMm ?? heightMm / 2, byMm: null },
    readings: last
      ? last.readings.map((r) => ({ ...r, gapMm: null }))
      : shares.map((share) => ({ edge: 'latch', heightMm: Math.round((share * heightMm) / 10) * 10, gapMm: null })),
  }
}

/** The round once every figure is there, or null. */
export function filled(typed: TypedRound): Schemas['DoorRound'] | null {
  const { after, pushed, readings } = typed
  const read = readings.flatMap(({ edge, heightMm, gapMm }) =>
    heightMm === null || gapMm === null ? [] : [{ edge, heightMm, gapMm }],
  )
  if (read.length < readings.length || (after === 'bend' && pushed.byMm === null)) return null
  return { after, pushed: after === 'bend' ? { ...pushed, byMm: pushed.byMm! } : null, readings: read }
}
