import { describe, expect, it } from 'vitest'
import type { Member, Panel } from '@/api/client'
import { centreAt, datums, reading } from './byNumber'

const panel = (kind: Panel['kind'], s: [number, number], t: [number, number]) =>
  ({
    kind,
    faces: null,
    outline: [
      { sMm: s[0], tMm: t[0] },
      { sMm: s[1], tMm: t[0] },
      { sMm: s[1], tMm: t[1] },
      { sMm: s[0], tMm: t[1] },
    ],
  }) as unknown as Panel
const roof = panel('roof', [0, 3400], [-800, 800])
const bow = (name: string, at: number) =>
  ({
    name,
    footprint: {
      shape: 'spine',
      points: [
        { sMm: at, tMm: -780 },
        { sMm: at, tMm: 780 },
      ],
      widthMm: 60,
    },
  }) as unknown as Member

describe('a place by number', () => {
  it('is measured from the ends, the middle line, the members and other openings', () => {
    const along = datums(roof, [bow('Bow 2', 1000)], [{ id: 'v', name: 'Vent', centre: { sMm: 2000, tMm: 100 } }], 'along')
    expect(along.map((d) => [d.text, d.mm, d.way])).toEqual([
      ['Behind the front datum', 0, 1],
      ['Behind the front edge', 0, 1],
      ['Ahead of the rear edge', 3400, -1],
      ['Behind Bow 2', 1030, 1],
      ['Ahead of Bow 2', 970, -1],
      ['Behind the middle of Vent', 2000, 1],
      ['Ahead of the middle of Vent', 2000, -1],
    ])
  })

  it('across a roof has the middle line, and no bow that runs the whole way', () => {
    expect(datums(roof, [bow('Bow 2', 1000)], [], 'across').map((d) => d.text)).toEqual([
      'Left of the centre line',
      'Right of the centre line',
      'Left of the right edge',
      'Right of the left edge',
    ])
  })

  it('on a wall is measured up and down, on a rear door to the sides', () => {
    expect(datums(panel('left', [0, 3400], [0, 1800]), [], [], 'across').map((d) => d.text)).toEqual([
      'Above the floor',
      'Above the foot of the panel',
      'Below the top of the panel',
    ])
    expect(datums(panel('rearLeftDoor', [0, 830], [0, 1700]), [], [], 'along')[0]!.text).toBe('Left of the centre line')
  })

  it('reads to the middle or to the edge that looks to the datum', () => {
    const [behind, ahead] = datums(roof, [bow('Bow 2', 1000)], [], 'along').slice(3) as [never, never]
    expect(reading(behind, 1330, 'middle', 200)).toBe(300)
    expect(reading(behind, 1330, 'edge', 200)).toBe(100)
    expect(reading(ahead, 670, 'middle', 200)).toBe(300)
    expect(reading(ahead, 670, 'edge', 200)).toBe(100)
  })

  it('comes to lie where the tape reads what was typed, from every datum', () => {
    for (const axis of ['along', 'across'] as const)
      for (const datum of datums(roof, [bow('Bow 2', 1000), bow('Bow 3', 1600)], [], axis))
        for (const to of ['middle', 'edge'] as const)
          for (const mm of [0, 72.5, 411]) expect(reading(datum, centreAt(datum, mm, to, 177.5), to, 177.5)).toBeCloseTo(mm, 9)
  })
})
