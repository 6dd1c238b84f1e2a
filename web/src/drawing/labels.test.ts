import { describe, expect, it } from 'vitest'
import { firstFree, formWithin, overlap, placeLabels, shortForms, type Named, type Rect } from './labels'

const type = { letter: 6, line: 14 }
const page = { x1: 0, x2: 800, y1: 0, y2: 600 }
const box = (x: number, y: number, w: number, h: number): Rect => ({ x1: x, x2: x + w, y1: y, y2: y + h })
const named = (name: string, at: Rect): Named => ({ id: name, name, box: at })
const rectOf = (l: { text: string; x: number; y: number }): Rect => {
  const half = (l.text.length * type.letter) / 2
  return { x1: l.x - half, x2: l.x + half, y1: l.y - 14 * 0.82, y2: l.y + 14 * 0.18 }
}

describe('names on a drawing', () => {
  it('stand within what they name where they fit', () => {
    const [label] = placeLabels([named('Vent', box(100, 100, 80, 40))], [], page, type)
    expect(label!.text).toBe('Vent')
    expect(overlap(rectOf(label!), box(100, 100, 80, 40))).toBeCloseTo(24 * 14, 0)
  })

  it('stand beside it, whole, where they do not', () => {
    const at = box(100, 100, 20, 20)
    const [label] = placeLabels([named('Vent over the bench', at)], [], page, type)
    expect(label!.text).toBe('Vent over the bench')
    expect(overlap(rectOf(label!), at)).toBe(0)
  })

  it('grow shorter only where the whole one covers something', () => {
    const at = box(100, 100, 60, 20)
    const walls = [box(0, 60, 800, 38), box(0, 122, 800, 38), box(0, 100, 98, 22), box(162, 100, 600, 22)]
    const [label] = placeLabels([named('Vent over the bench', at)], walls, page, type)
    expect(label!.text).toBe('Vent')
    expect(shortForms('Roof vent over the bench')).toEqual(['Roof vent over the bench', 'Roof vent', 'Roof'])
    expect(shortForms('Stove flue new one')).toEqual(['Stove flue new one', 'Stove flue', 'Stove'])
  })

  it('cover no mark and no other name, on a hundred crowded drawings', () => {
    let seed = 7
    const random = (n: number) => (seed = (seed * 16807) % 2147483647) % n
    let crowded = 0
    for (let run = 0; run < 100; run++) {
      const things = Array.from({ length: 12 }, (_, i) =>
        named(`Opening ${i} of the roof`, box(random(700), random(560), 10 + random(50), 10 + random(40))),
      )
      const marks = Array.from({ length: 8 }, () => box(random(780), random(580), 20, 20))
      const rects = placeLabels(things, marks, page, type).map(rectOf)
      for (const [i, r] of rects.entries()) {
        const hidden = [...marks, ...rects.slice(0, i)].reduce((sum, m) => sum + overlap(r, m), 0)
        // Where twenty things lie within a hand's width something has to give; it must stay rare.
        if (hidden > 1) crowded++
      }
    }
    expect(crowded).toBeLessThan(12)
  })

  it('stay on the drawing', () => {
    const [label] = placeLabels([named('Vent over the bench', box(0, 0, 10, 10))], [], page, type)
    const r = rectOf(label!)
    expect(r.x1).toBeGreaterThanOrEqual(0)
    expect(r.y1).toBeGreaterThanOrEqual(-0.01)
  })

  it('stay on their own panel, shorter if need be', () => {
    const home = box(0, 0, 130, 100)
    const vent = { ...named('Skylight over the wheel', box(100, 40, 20, 20)), home }
    const [label] = placeLabels([vent], [], page, type)
    const r = rectOf(label!)
    expect(r.x2).toBeLessThanOrEqual(130)
    expect(label!.text).toBe('Skylight')
  })

  it('are there even where nothing is free', () => {
    const labels = placeLabels([named('Vent', box(10, 10, 10, 10))], [page], page, type)
    expect(labels[0]!.text).not.toBe('')
  })
})

it('a name is as long as there is room for, and at least its first word', () => {
  const form = (px: number) => formWithin('Vent over the glaze bench', px, 6)
  expect([form(150), form(149), form(24), form(5)]).toEqual(['Vent over the glaze bench', 'Vent', 'Vent', 'Vent'])
})

it('names in a row take the first place that is free, or none', () => {
  const at = (x: number) => ({ x1: x, x2: x + 10, y1: 0, y2: 5 })
  expect(firstFree([[at(0)], [at(5), at(10)], [at(12)], [], [at(20)]])).toEqual([0, 1, null, null, 0])
})
