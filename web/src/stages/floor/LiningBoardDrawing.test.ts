// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { i18n } from '@/app/texts'
import type { Panel } from '@/api/client'
import LiningBoardDrawing from './LiningBoardDrawing.vue'

/** A board of a lining, as somebody in the vehicle sees it: a mirrored one puts the hole in the wrong place. */
const box = (s1: number, s2: number, t1: number, t2: number) => ({ sMinMm: s1, sMaxMm: s2, tMinMm: t1, tMaxMm: t2 })
const corners = (s2: number, t2: number) => [
  { sMm: 0, tMm: 0 },
  { sMm: s2, tMm: 0 },
  { sMm: s2, tMm: t2 },
  { sMm: 0, tMm: t2 },
]
/** A hole near the front and near the lower (on a roof, right) edge. */
const drawn = (kind: Panel['kind'], notch = false) => {
  const board = {
    name: 'Board',
    outline: corners(1000, 500),
    lengthMm: 1000,
    widthMm: 500,
    holes: [{ hole: 0, box: box(100, 300, 50, 150), first: box(115, 285, 65, 135), isNotch: notch }],
  }
  const hole = {
    opening: 'Vent',
    final: box(100, 300, 50, 150),
    first: box(115, 285, 65, 135),
    cornerMm: 20,
    firstCornerMm: 5,
    depthMm: 50,
    packMm: 40,
    coverMm: null,
  }
  return mount(LiningBoardDrawing, {
    global: { plugins: [i18n] },
    props: { panel: { kind } as Panel, plan: { holes: [hole] } as never, board },
  })
}
const rect = (of: ReturnType<typeof drawn>, name: string) =>
  Object.fromEntries(['x', 'y', 'width', 'height', 'rx'].map((a) => [a, Number(of.find(`rect.${name}`).attributes(a))]))
const extent = (of: ReturnType<typeof drawn>) => {
  const n = of
    .find('path.board')
    .attributes('d')!
    .match(/-?[\d.]+/g)!
    .map(Number)
  const [xs, ys] = [n.filter((_, i) => i % 2 === 0), n.filter((_, i) => i % 2 === 1)]
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), foot: Math.max(...ys) }
}

test('a ceiling is seen from below: front at the left, the right side at the foot', () => {
  const roof = drawn('roof')
  const [hole, whole] = [rect(roof, 'final'), extent(roof)]
  const scale = (whole.right - whole.left) / 1000
  expect(hole.x! - whole.left).toBeCloseTo(100 * scale, 0)
  expect(whole.foot - hole.y! - hole.height!).toBeCloseTo(50 * scale, 0)
  expect(roof.text()).toContain('◂ front')
})

test('the lining of the left side is seen from inside, with the front at the right', () => {
  const side = drawn('left')
  const [hole, whole] = [rect(side, 'final'), extent(side)]
  const scale = (whole.right - whole.left) / 1000
  expect(whole.right - hole.x! - hole.width!).toBeCloseTo(100 * scale, 0)
  expect(side.text()).toContain('front ▸')
})

test('the first cut lies inside the line, and a notch has square corners', () => {
  const [final, first] = [rect(drawn('roof'), 'final'), rect(drawn('roof'), 'first')]
  expect(first.width! / final.width!).toBeCloseTo(170 / 200, 2)
  // Its corners are rounded as well: a square one would reach out of a round hole.
  expect(first.rx! / final.rx!).toBeCloseTo(5 / 20, 2)
  expect(rect(drawn('roof', true), 'final').rx).toBe(0)
})
