import type { LengthFormat, Schemas } from '@/api/client'
import { i18n } from './texts'
import { amountText } from './length'
import { minutesText } from './minutes'

/** Where a step is done, by how many, in what weather, and how long it takes. */
export function stepNeeds(s: Schemas['WorkStep']): string {
  const t = i18n.global.t
  const w = s.weather
  return [
    t(`steps.place.${s.place}`),
    ...(s.people > 1 ? [t('steps.people', { n: s.people })] : []),
    ...(w.dry ? [t('steps.dry')] : []),
    ...(w.windBelowMs !== null ? [t('steps.wind', { n: w.windBelowMs })] : []),
    ...(w.fromC !== null && w.toC !== null ? [t('steps.warm', { from: w.fromC, to: w.toC })] : []),
    minutesText(s.minutes.likely),
  ].join(', ')
}

/** What a reading should be; empty where it is only looked at or written down. */
export function wantedText(h: Schemas['HoldPoint'], lengths: LengthFormat): string {
  if (h.wanted === null) return ''
  const t = i18n.global.t
  const text = (n: number) => amountText(n, h.unit ?? '', lengths)
  if (!h.less && !h.more) return text(h.wanted)
  return h.less === h.more
    ? t('steps.measured', { wanted: text(h.wanted), within: text(h.less!) })
    : t('steps.between', { least: text(h.wanted - (h.less ?? 0)), most: text(h.wanted + (h.more ?? 0)) })
}
