import type { Schemas } from '@/api/client'

type Design = Schemas['PatchDesign']
type Own = Design['sides'][number]

/** Sides of a rectangle, as the panel has them. */
export const sideNames = ['top', 'bottom', 'front', 'rear'] as const satisfies readonly Schemas['Side'][]

/** What a side has of its own. */
export const ownSide = (design: Design, side: Schemas['Side']): Own =>
  design.sides.find((s) => s.side === side) ?? { side, cutBackMm: null, lapMm: null, folds: [] }

/** The design with something else of one side; a side that has nothing of its own is not written down. */
export function withSide(design: Design, side: Schemas['Side'], own: Partial<Own>): Design {
  const now = { ...ownSide(design, side), ...own }
  const others = design.sides.filter((s) => s.side !== side)
  const empty = now.cutBackMm === null && now.lapMm === null && now.folds.length === 0
  return { ...design, sides: empty ? others : [...others, now] }
}
