// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { i18n } from '@/app/texts'
import CutSheetFigure from './CutSheetFigure.vue'

/** A sheet of 2000 x 1000 with one piece, ripped first and at the shop. */
const cut = (number: number, isRip: boolean, fenceMm: number, second: string | null, atShop: boolean) => ({
  number,
  of: number === 1 ? 'the sheet' : 'part 1',
  isRip,
  fenceMm,
  alongMm: isRip ? 0 : fenceMm,
  acrossMm: isRip ? fenceMm : 0,
  lengthMm: isRip ? 2000 : 400,
  first: number === 1 ? 'part 1' : 'Shelf',
  second,
  atShop,
})
const drawn = () =>
  mount(CutSheetFigure, {
    global: { plugins: [i18n] },
    props: {
      number: 1,
      stock: { name: 'New sheet', lengthMm: 2000, widthMm: 1000, count: null },
      sheet: {
        stock: 0,
        places: [{ piece: 0, alongMm: 0, acrossMm: 0, lengthMm: 1500, widthMm: 400 }],
        cuts: [cut(1, true, 400, 'offcut 1', true), cut(2, false, 1500, null, false)],
        offcuts: [{ alongMm: 0, acrossMm: 403, lengthMm: 2000, widthMm: 597 }],
      },
      pieces: [{ name: 'Shelf' }],
      dxf: '/one.dxf',
    },
  })

test('each cut says what is cut, where the fence stands, and what comes of it', () => {
  const rows = drawn()
    .findAll('tbody tr')
    .map((row) => row.findAll('td').map((cell) => cell.text().replace(/\s+/g, ' ')))
  expect(rows).toEqual([
    ['1 rip at the shop', 'the sheet', '400 mm', 'part 1; offcut 1'],
    ['2 crosscut', 'part 1', '1500 mm', 'Shelf; waste'],
  ])
})

test('pieces and rests are drawn to scale, across counted from the foot', () => {
  const figure = drawn()
  const at = (name: string) =>
    ['x', 'y', 'width', 'height'].map((a) => Number(figure.find(`rect.${name}`).attributes(a))) as [
      number,
      number,
      number,
      number,
    ]
  const [stock, piece, offcut] = [at('stock'), at('piece'), at('offcut')]
  expect(piece[2] / stock[2]).toBeCloseTo(0.75, 3)
  expect(piece[1] + piece[3]).toBeCloseTo(stock[1] + stock[3], 1)
  expect(offcut[1]).toBeCloseTo(stock[1], 1)
  expect(figure.findAll('line.cut.shop')).toHaveLength(1)
  expect(figure.find('a').attributes('href')).toBe('/one.dxf')
})
