import type { Bounds } from '@/api/bounds'

/** What a field says of a figure that its record does not take; nothing where it is taken, not known, or nobody declared bounds. */
export function outside(
  figure: number | null,
  bounds: Bounds | undefined,
  write: (figure: number) => string,
): { label: string; least: string; most: string } | null {
  if (figure === null || !bounds || (figure >= bounds.least && figure <= bounds.most)) return null
  return { label: bounds.label, least: write(bounds.least), most: write(bounds.most) }
}
