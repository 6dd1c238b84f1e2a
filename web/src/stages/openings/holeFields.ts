import type { Schemas, Side } from '@/api/client'
import { i18n } from '@/app/texts'
import { isLevel, sideWord, type Facing } from '@/drawing/facing'

/** The six readings of a hole, by what people call the sides of its panel: on a roof left and right, on a wall top and bottom. */
export function holeFields(facing: Facing): [keyof Schemas['AsCut'], string][] {
  const t = i18n.global.t
  const word = (side: Side) => sideWord(facing, side)
  const near = (side: Side) => t(isLevel(facing) ? 'asCut.widthNear' : 'asCut.heightNear', { side: word(side) })
  const diagonal = (first: Side, second: Side) =>
    t('asCut.diagonal', { from: `${word('front')} ${word(first)}`, to: `${word('rear')} ${word(second)}` })
  return [
    ['topWidthMm', t('asCut.lengthNear', { side: word('top') })],
    ['bottomWidthMm', t('asCut.lengthNear', { side: word('bottom') })],
    ['frontHeightMm', near('front')],
    ['rearHeightMm', near('rear')],
    ['risingDiagonalMm', diagonal('bottom', 'top')],
    ['fallingDiagonalMm', diagonal('top', 'bottom')],
  ]
}
