import type { LengthFormat } from '@/api/client'

export const mmPerInch = 25.4

/**
 * Writes a length as Core's LengthFormat does; kept alike by a table of examples that both test against. It stands here too because
 * figures follow the finger while something is dragged, without asking the server.
 */
export function lengthNumber(mm: number, format: LengthFormat): string {
  return format.units === 'inch' ? fraction(mm, format.inchDenominator ?? 16) : decimal(mm)
}

export function lengthText(mm: number, format: LengthFormat): string {
  return lengthNumber(mm, format) + (format.units === 'inch' ? '"' : ' mm')
}

/** How far an arrow key moves what is in hand, mm: a millimetre or a sixteenth, with Shift ten or half an inch. */
export const nudgeMm = (format: LengthFormat, far: boolean): number =>
  format.units === 'inch' ? (far ? 8 : 1) * (mmPerInch / 16) : far ? 10 : 1

/** A place as fine as it is worked with: a tenth of a millimetre; a nudge of a sixteenth stays whole. */
export const fineMm = (mm: number, format: LengthFormat): number =>
  format.units === 'inch' ? Math.round(mm * 1e4) / 1e4 : Math.round(mm * 10) / 10

/** How units are written that are not written as they are called. */
const signs: Record<string, string> = { count: '', percent: '%', celsius: '°C', degrees: '°', hours: 'h' }

/** An amount with its unit; lengths as the vehicle has them. */
export function amountText(amount: number, unit: string, format: LengthFormat, decimals = 1): string {
  if (unit === 'mm') return lengthText(amount, format)
  const scale = 10 ** decimals
  return `${Math.round(amount * scale) / scale} ${signs[unit] ?? unit}`.trim()
}

function decimal(mm: number): string {
  const tenths = Math.sign(mm) * Math.round(Math.abs(mm) * 10 + 1e-9)
  return String(tenths === 0 ? 0 : tenths / 10)
}

function fraction(mm: number, finest: number): string {
  const ticks = Math.round((Math.abs(mm) / mmPerInch) * finest)
  const whole = Math.floor(ticks / finest)
  let numerator = ticks % finest
  let denominator = finest
  while (numerator > 0 && numerator % 2 === 0) [numerator, denominator] = [numerator / 2, denominator / 2]
  const sign = mm < 0 && ticks > 0 ? '-' : ''
  if (numerator === 0) return `${sign}${whole}`
  return whole === 0 ? `${sign}${numerator}/${denominator}` : `${sign}${whole} ${numerator}/${denominator}`
}
