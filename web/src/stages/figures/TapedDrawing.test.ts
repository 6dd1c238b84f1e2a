// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { i18n } from '@/app/texts'
import type { Point } from '@/api/client'
import TapedDrawing from './TapedDrawing.vue'

/** A taped board above its base line. */
const at = (sMm: number, tMm: number) => ({ sMm, tMm })
const ring: Point[] = [at(0, 0), at(1000, 0), at(1000, 500), at(0, 400)]
const drawn = () =>
  mount(TapedDrawing, {
    global: { plugins: [i18n] },
    props: {
      shape: {
        corners: ring.map((p) => ({ at: p, doubtMm: 1 })),
        edges: [
          { chordMm: 1000, radiusMm: null },
          { chordMm: 500, radiusMm: 800 },
          { chordMm: 1005, radiusMm: null },
          { chordMm: 400, radiusMm: null },
        ],
        outline: ring,
        sawn: [at(-5, -5), at(1005, -5), at(1005, 506), at(-5, 404)],
        lengthMm: 1010,
        widthMm: 511,
        areaMm2: 1,
        checkMm: [],
        rows: [],
        verdict: '',
      },
    },
  })

test('the base line lies at the foot, and corners are numbered after it', () => {
  const svg = drawn()
  const base = Number(svg.find('line.base').attributes('y1'))
  const numbered = svg.findAll('g').map((g) => [g.find('text').text(), Number(g.find('circle').attributes('cy'))] as const)
  expect(numbered.map(([n]) => n)).toEqual(['1', '2'])
  numbered.forEach(([, y]) => expect(y).toBeLessThan(base))
})

test('each edge says its number, its length and its radius, inside the board', () => {
  const svg = drawn()
  expect(svg.findAll(':scope > text').map((e) => e.text())).toEqual(['0: 1000', '1: 500 R 800', '2: 1005', '3: 400'])
  const base = svg.findAll(':scope > text')[0]!
  expect(Number(base.attributes('y'))).toBeLessThan(Number(svg.find('line.base').attributes('y1')))
})
