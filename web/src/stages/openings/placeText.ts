import type { LengthFormat, Panel, Point } from '@/api/client'
import { lengthText } from '@/app/length'
import { i18n } from '@/app/texts'
import { facingOf, isLevel } from '@/drawing/facing'

/** Where an opening lies on its panel, in words. */
export function placeText(panel: Panel, centre: Point, lengths: LengthFormat): string {
  const t = i18n.global.t
  const facing = facingOf(panel)
  const sideways = (mm: number) =>
    Math.abs(mm) < 0.05
      ? t('openings.onLine')
      : t(mm > 0 ? 'openings.leftOf' : 'openings.rightOf', { mm: lengthText(Math.abs(mm), lengths) })
  const along =
    facing === 'rear' || facing === 'front' ? sideways(centre.sMm) : t('openings.along', { s: lengthText(centre.sMm, lengths) })
  const across = isLevel(facing) ? sideways(centre.tMm) : t('openings.up', { t: lengthText(centre.tMm, lengths) })
  return t('openings.at', { s: along, t: across })
}
