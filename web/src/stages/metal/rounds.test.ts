import { describe, expect, it } from 'vitest'
import { filled, nextRound } from './rounds'
import type { Schemas } from '@/api/client'

const bend = {
  next: 'bend',
  push: { edge: 'hinge', atMm: 950 },
  readAt: [90, 950, 1700].map((heightMm) => ({ edge: 'latch', heightMm })),
} as Schemas['DoorPlan']

describe('a round of readings', () => {
  it('is read where the plan says, after what was to be done, with no gap that nobody read', () => {
    const round = nextRound(bend)
    expect(round.after).toBe('bend')
    expect(round.pushed).toEqual({ edge: 'hinge', atMm: 950, byMm: null })
    expect(round.readings).toEqual([90, 950, 1700].map((heightMm) => ({ edge: 'latch', heightMm, gapMm: null })))
  })

  it('is kept once every figure is there', () => {
    const round = nextRound(bend)
    expect(filled(round)).toBeNull()
    round.readings.forEach((r) => (r.gapMm = 9))
    expect(filled(round)).toBeNull()
    round.pushed.byMm = 12
    expect(filled(round)?.pushed).toEqual({ edge: 'hinge', atMm: 950, byMm: 12 })
    round.readings[1]!.heightMm = null
    expect(filled(round)).toBeNull()
  })

  it('says nothing of a push where the door was not bent', () => {
    const round = nextRound({ ...bend, next: 'seal', push: null })
    round.readings.forEach((r) => (r.gapMm = 9))
    expect(filled(round)?.pushed).toBeNull()
  })
})
