import type { Member, Panel, Point } from '@/api/client'
import { i18n } from '@/app/texts'
import { facingOf, isLevel } from '@/drawing/facing'
import { boxOf, footprintOutline, type Box } from '@/drawing/geometry'

export type Axis = 'along' | 'across'
/** Which point of the hole is measured to: its middle, or its edge that looks to the datum. */
export type MeasuredTo = 'middle' | 'edge'

/** Something that a tape is hooked on: where it is on the axis, and which way one measures from it. */
export interface Datum {
  key: string
  text: string
  mm: number
  way: 1 | -1
}

/** What may be measured from on a panel: its ends, its middle line, both edges of every member, the middles of other openings. */
export function datums(
  panel: Panel,
  members: readonly Member[],
  others: readonly { id: string; name: string; centre: Point }[],
  axis: Axis,
): Datum[] {
  const t = i18n.global.t
  const facing = facingOf(panel)
  const edge = boxOf(panel.outline)
  const [low, high] = axis === 'along' ? [edge.s1, edge.s2] : [edge.t1, edge.t2]
  // On a wall one measures up and down, on a roof to the left and right; across the vehicle's end s runs to the left.
  const kind =
    axis === 'along' ? (facing === 'rear' || facing === 'front' ? 'side' : 'length') : isLevel(facing) ? 'side' : 'height'
  const word = (key: 'more' | 'less', what: string) => t(`byNumber.${kind}.${key}`, { what })
  const spans = (b: Box) => (axis === 'along' ? [b.s1, b.s2] : [b.t1, b.t2]) as [number, number]
  const base =
    kind === 'side'
      ? [
          { key: 'line+', text: t('byNumber.line.more'), mm: 0, way: 1 as const },
          { key: 'line-', text: t('byNumber.line.less'), mm: 0, way: -1 as const },
        ]
      : [{ key: 'zero', text: t(`byNumber.${kind}.zero`), mm: 0, way: 1 as const }]
  return [
    ...base,
    { key: 'low', text: t(`byNumber.${kind}.low`), mm: low, way: 1 },
    { key: 'high', text: t(`byNumber.${kind}.high`), mm: high, way: -1 },
    ...members.flatMap((m, i): Datum[] => {
      const [from, to] = spans(boxOf(footprintOutline(m.footprint)))
      // A member that runs the whole way is nothing to hook a tape on.
      if (to - from > 0.6 * (high - low)) return []
      return [
        { key: `member ${i}+`, text: word('more', m.name), mm: to, way: 1 },
        { key: `member ${i}-`, text: word('less', m.name), mm: from, way: -1 },
      ]
    }),
    ...others.flatMap((o): Datum[] => {
      const mm = axis === 'along' ? o.centre.sMm : o.centre.tMm
      const what = t('byNumber.middleOf', { name: o.name })
      return [
        { key: `opening ${o.id}+`, text: word('more', what), mm, way: 1 },
        { key: `opening ${o.id}-`, text: word('less', what), mm, way: -1 },
      ]
    }),
  ]
}

/** What the tape reads from a datum to the hole, mm. `half` is half the hole on this axis. */
export const reading = (datum: Datum, centreMm: number, to: MeasuredTo, half: number): number =>
  datum.way * (centreMm - datum.mm) - (to === 'edge' ? half : 0)

/** Where the middle of the hole comes to lie when the tape reads so much. */
export const centreAt = (datum: Datum, readingMm: number, to: MeasuredTo, half: number): number =>
  datum.mm + datum.way * (readingMm + (to === 'edge' ? half : 0))
