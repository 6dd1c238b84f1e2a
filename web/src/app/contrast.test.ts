import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

/** Relative luminance and contrast by WCAG 2.2, definitions "relative luminance" and "contrast ratio". */
const luminance = (hex: string) => {
  const full = hex.length === 4 ? [...hex.slice(1)].map((c) => c + c).join('') : hex.slice(1, 7)
  const [r, g, b] = [0, 2, 4].map((at) => {
    const part = parseInt(full.slice(at, at + 2), 16) / 255
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4
  }) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
const contrast = (one: string, other: string) => {
  const [dark, light] = [luminance(one), luminance(other)].sort((a, b) => a - b) as [number, number]
  return (light + 0.05) / (dark + 0.05)
}

const css = readFileSync(fileURLToPath(new URL('tokens.css', import.meta.url)), 'utf8')
const tokens = Object.fromEntries([...css.matchAll(/--([\w-]+): (#[0-9a-f]+);/g)].map((m) => [m[1]!, m[2]!]))
const token = (name: string) => tokens[name] ?? expect.fail(`no token ${name}`)
const opaque = (hex: string) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16))
/** A ground with the shade of what the pointer rests on. */
const hovered = (ground: string) => {
  const [shade, share] = [opaque(token('hover')), parseInt(token('hover').slice(7), 16) / 255]
  const mixed = opaque(token(ground)).map((part, i) => Math.round(part * (1 - share) + shade[i]! * share))
  return `#${mixed.map((part) => part.toString(16).padStart(2, '0')).join('')}`
}

const grounds = ['primer', 'paper', 'sheet', 'white', 'ladder']
/** Texts, and the grounds that they stand on. */
const texts: Record<string, string[]> = {
  ink: [...grounds, 'teal-soft', 'amber-soft', 'rust-soft', 'stop-soft', 'rule', 'metal-1', 'metal-2'],
  label: [...grounds, 'teal-soft', 'amber-soft', 'rust-soft', 'stop-soft'],
  soft: ['paper', 'sheet', 'white', 'primer', 'amber-soft', 'teal-soft'],
  teal: ['paper', 'sheet', 'white', 'primer', 'teal-soft'],
  rust: ['sheet', 'white', 'paper'],
  'rust-deep': [...grounds, 'rust-soft'],
  stop: ['paper', 'sheet', 'white', 'primer', 'stop-soft'],
  amber: ['paper', 'sheet', 'white', 'amber-soft'],
  water: ['paper', 'sheet', 'white', 'primer'],
  white: ['rust', 'rust-deep', 'teal', 'teal-deep', 'water', 'water-deep', 'stop', 'amber', 'ink', 'badge', 'night'],
  'night-ink': ['night', 'night-hover'],
  'night-soft': ['night', 'night-hover'],
  'night-good': ['night', 'night-hover'],
  'night-open': ['night', 'night-hover'],
  'night-water': ['night', 'night-hover'],
}
/** What is no text and has to be seen all the same: borders of fields, marks. */
const marks: Record<string, string[]> = {
  'edge-strong': ['white', 'sheet', 'paper'],
  rust: grounds,
  teal: grounds,
  water: grounds,
}

const tooPale = (pairs: Record<string, string[]>, least: number) =>
  Object.entries(pairs).flatMap(([name, below]) =>
    below.flatMap((ground) => {
      const ratio = contrast(token(name), token(ground))
      return ratio < least ? [`${name} on ${ground}: ${ratio.toFixed(2)}`] : []
    }),
  )

it('works contrast out as WCAG does', () => {
  // Black on white is 21 by definition; #767676 is the palest grey that passes on white (Understanding SC 1.4.3 of W3C).
  expect(contrast('#000', '#fff')).toBeCloseTo(21, 6)
  expect(contrast('#767676', '#ffffff')).toBeGreaterThanOrEqual(4.5)
  expect(contrast('#777777', '#ffffff')).toBeLessThan(4.5)
})

it('has texts that can be read on each ground they stand on: 4.5 to 1', () => {
  expect(tooPale(texts, 4.5)).toEqual([])
})

it('has texts that can be read under the pointer too', () => {
  for (const text of ['ink', 'label', 'soft'])
    for (const ground of ['primer', 'paper', 'sheet'])
      expect(contrast(token(text), hovered(ground)), `${text} on ${ground}`).toBeGreaterThan(4.5)
})

it('has borders and marks that can be seen: 3 to 1', () => {
  expect(tooPale(marks, 3)).toEqual([])
})
