import { describe, expect, it } from 'vitest'
import { filled, nextRound } from './rounds'
import type { Schemas } from '@/api/client'

const reading = (heightMm: number, gapMm: number) => ({ edge: 'latch' as const, heightMm, gapMm })
const door = (rounds: Schemas['DoorRound'][]): Schemas['DoorFit'] => ({ sealMm: 14, glass: false, dents: false, rounds })
const found: Schemas['DoorRound'] = {
  after: 'asFound',
  pushed: null,
  readings: [reading(90, 9), reading(950, 14), reading(1700, 9)],
}
const bend = { next: 'bend', push: { edge: 'hinge', atMm: 950 } } as Schemas['DoorPlan']

describe('a round of readings', () => {
  it('begins at three heights of the door, with no gap that nobody read', () => {
    const round = nextRound(door([]), { next: 'asFound', push: null } as Schemas['DoorPlan'], 1900)
    expect(round.after).toBe('asFound')
    expect(round.readings).toEqual([100, 950, 1810].map((heightMm) => ({ edge: 'latch', heightMm, gapMm: null })))
  })

  it('goes on at the heights of the last one, after what was to be done, where the door was to be pushed', () => {
    const round = nextRound(door([found]), bend, 1900)
    expect(round.after).toBe('bend')
    expect(round.pushed).toEqual({ edge: 'hinge', atMm: 950, byMm: null })
    expect(round.readings.map((r) => [r.heightMm, r.gapMm])).toEqual([
      [90, null],
      [950, null],
      [1700, null],
    ])
  })

  it('is kept once every figure is there', () => {
    const round = nextRound(door([found]), bend, 1900)
    expect(filled(round)).toBeNull()
    round.readings.forEach((r) => (r.gapMm = 9))
    expect(filled(round)).toBeNull()
    round.pushed.byMm = 12
    expect(filled(round)?.pushed).toEqual({ edge: 'hinge', atMm: 950, byMm: 12 })
    round.readings[1]!.heightMm = null
    expect(filled(round)).toBeNull()
  })

  it('says nothing of a push where the door was not bent', () => {
    const round = nextRound(door([found]), { next: 'seal', push: null } as Schemas['DoorPlan'], 1900)
    round.readings.forEach((r) => (r.gapMm = 9))
    expect(filled(round)?.pushed).toBeNull()
  })
})
