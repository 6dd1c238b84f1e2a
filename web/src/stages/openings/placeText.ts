import type { LengthFormat, Point } from '@/api/client'
import { lengthText } from '@/app/length'
import { i18n } from '@/app/texts'

/** Where an opening lies on the roof, in words. */
export function placeText(centre: Point, lengths: LengthFormat): string {
  const t = i18n.global.t
  const off = lengthText(Math.abs(centre.tMm), lengths)
  const across =
    Math.abs(centre.tMm) < 0.05 ? t('openings.onLine') : t(centre.tMm > 0 ? 'openings.leftOf' : 'openings.rightOf', { mm: off })
  return t('openings.at', { s: lengthText(centre.sMm, lengths), t: across })
}
