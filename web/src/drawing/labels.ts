/** A box on the drawing, px. */
export interface Rect {
  x1: number
  x2: number
  y1: number
  y2: number
}

/** Something that wants its name beside it: where it lies, and its name. */
export interface Named {
  id: string
  name: string
  box: Rect
  /** The panel on which it lies: a name stays on it where it can. */
  home?: Rect
}

/** Where a name stands: its text as far as there is room, by the middle of its foot. */
export interface Label {
  id: string
  text: string
  x: number
  y: number
}

/** Width of a letter and height of a line of the label's type, px. */
export interface Type {
  letter: number
  line: number
}

export const overlap = (a: Rect, b: Rect): number =>
  Math.max(0, Math.min(a.x2, b.x2) - Math.max(a.x1, b.x1)) * Math.max(0, Math.min(a.y2, b.y2) - Math.max(a.y1, b.y1))

const isWithin = (r: Rect, home: Rect | undefined) =>
  !home || (r.x1 >= home.x1 && r.x2 <= home.x2 && r.y1 >= home.y1 && r.y2 <= home.y2)

/** Words that begin what a thing is named by: a short form ends before them. */
const links = new Set([
  'over',
  'under',
  'below',
  'above',
  'in',
  'on',
  'at',
  'by',
  'of',
  'for',
  'the',
  'to',
  'from',
  'with',
  'behind',
])

/** A name in ever shorter forms: whole, what it is, its first word. */
export function shortForms(name: string): string[] {
  const words = name.split(' ')
  const link = words.findIndex((word, i) => i > 0 && links.has(word.toLowerCase()))
  return [...new Set([name, words.slice(0, link > 0 ? link : 2).join(' '), words[0]!])]
}

/**
 * Gives every name a place where it covers no mark and no other name: within its box where it fits, else beside it, the whole name rather than a
 * short one, and on its own panel rather than across its edge. Where nothing is free it takes the place that covers least.
 * @param all in the order in which they may choose
 * @param taken boxes that no name may cover: marks, other things' boxes are added by themselves
 */
export function placeLabels(all: readonly Named[], taken: readonly Rect[], within: Rect, type: Type): Label[] {
  const covered: Rect[] = [...taken]
  return all.map((one) => {
    const others = all.filter((o) => o !== one).map((o) => o.box)
    const middle = { x: (one.box.x1 + one.box.x2) / 2, y: (one.box.y1 + one.box.y2) / 2 }
    const places = shortForms(one.name).flatMap((text) => {
      const half = (text.length * type.letter) / 2 + 2
      const at = (aside: number, down: number) => {
        // What would stand outside the drawing is pushed onto it.
        const x = Math.min(Math.max(aside, within.x1 + half), within.x2 - half)
        const y = Math.min(Math.max(down, within.y1 + type.line / 2), within.y2 - type.line / 2)
        return { text, x, y, rect: { x1: x - half, x2: x + half, y1: y - type.line / 2, y2: y + type.line / 2 } }
      }
      const inside = 2 * half <= one.box.x2 - one.box.x1 && type.line <= one.box.y2 - one.box.y1 ? [at(middle.x, middle.y)] : []
      return [
        ...inside,
        at(middle.x, one.box.y1 - type.line / 2 - 2),
        at(middle.x, one.box.y2 + type.line / 2 + 2),
        at(one.box.x2 + half + 3, middle.y),
        at(one.box.x1 - half - 3, middle.y),
      ]
    })
    const cost = (r: Rect) => [...covered, ...others].reduce((sum, c) => sum + overlap(r, c), 0)
    const free = places.find((p) => cost(p.rect) < 0.5 && isWithin(p.rect, one.home)) ?? places.find((p) => cost(p.rect) < 0.5)
    const best = free ?? places.reduce((least, p) => (cost(p.rect) < cost(least.rect) ? p : least))
    covered.push(best.rect)
    return { id: one.id, text: best.text, x: best.x, y: best.y + type.line * 0.32 }
  })
}

/** The longest form of a name that is no wider than this, px; the shortest where none is. */
export const formWithin = (name: string, widthPx: number, letter: number): string =>
  shortForms(name).find((form) => form.length * letter <= widthPx) ?? shortForms(name).at(-1)!

/**
 * Gives names one after the other the first of their places that covers no other name; one that finds none is left out.
 * @returns the number of the place of each, null where it is left out
 */
export function firstFree(places: readonly (readonly Rect[])[]): (number | null)[] {
  const covered: Rect[] = []
  return places.map((of) => {
    const free = of.findIndex((r) => covered.every((c) => overlap(r, c) === 0))
    if (free < 0) return null
    covered.push(of[free]!)
    return free
  })
}
