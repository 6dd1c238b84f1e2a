import { i18n } from './texts'

/** A time of work, in minutes or hours. */
export const minutesText = (minutes: number): string =>
  minutes < 90
    ? i18n.global.t('steps.min', { n: Math.round(minutes) })
    : i18n.global.t('steps.hours', { n: Math.round(minutes / 6) / 10 })
