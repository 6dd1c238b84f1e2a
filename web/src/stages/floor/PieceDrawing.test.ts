// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { i18n } from '@/app/texts'
import type { Point } from '@/api/client'
import PieceDrawing from './PieceDrawing.vue'

/** New boards as they are cut. */
const drawn = (outline: Point[], lengthMm: number, widthMm: number) =>
  mount(PieceDrawing, {
    global: { plugins: [i18n] },
    props: { piece: { name: 'New board', outline, lengthMm, widthMm, grain: 'lengthways' } },
  })
const at = (sMm: number, tMm: number) => ({ sMm, tMm })

test('a rectangle needs no list of corners, and is drawn to scale', () => {
  const board = drawn([at(100, -300), at(1100, -300), at(1100, 200), at(100, 200)], 1000, 500)
  expect(board.find('tbody').exists()).toBe(false)
  const [x1, y1, x2, , , y3] = board
    .find('path.board')
    .attributes('d')!
    .match(/-?[\d.]+/g)!
    .map(Number)
  // Twice as long as wide, front at the left; from above the vehicle's left lies at the foot.
  expect((x2! - x1!) / (y3! - y1!)).toBeCloseTo(2, 1)
  expect(y3!).toBeGreaterThan(y1!)
})

test('an oblique board is given corner by corner, from its front and from the edge at the foot', () => {
  const board = drawn([at(100, -300), at(1100, -300), at(1100, 200), at(100, 120)], 1000, 500)
  const rows = board.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()))
  expect(rows).toEqual([
    ['1', '0 mm', '500 mm'],
    ['2', '1000 mm', '500 mm'],
    ['3', '1000 mm', '0 mm'],
    ['4', '0 mm', '80 mm'],
  ])
})
