import type { Schemas } from '@/api/client'

/** A round of readings while it is being typed: figures may still be missing. */
export interface TypedRound {
  after: Schemas['DoorTurn']
  pushed: { edge: Schemas['DoorEdge']; atMm: number; byMm: number | null }
  readings: { edge: Schemas['DoorEdge']; heightMm: number | null; gapMm: number | null }[]
}

/** A round to type: where the plan says, after what was to be done; no gap is there before somebody read it. */
export function nextRound(plan: Schemas['DoorPlan']): TypedRound {
  return {
    after: plan.next ?? 'bend',
    pushed: { edge: plan.push?.edge ?? 'latch', atMm: plan.push?.atMm ?? 0, byMm: null },
    readings: plan.readAt.map((r) => ({ ...r, gapMm: null })),
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
