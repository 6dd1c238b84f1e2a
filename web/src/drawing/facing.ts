import type { Panel, Schemas, Side } from '@/api/client'
import { i18n } from '@/app/texts'

export type Facing = Schemas['Facing']
export type ViewedFrom = 'outside' | 'inside'
export type PanelKind = Schemas['PanelKind']

/** Which way the outside of a kind of panel looks, as Core's Panel.FacingOf. */
const facings: Record<PanelKind, Facing> = {
  roof: 'up',
  left: 'left',
  right: 'right',
  rearLeftDoor: 'rear',
  rearRightDoor: 'rear',
  slidingDoor: 'right',
  bulkhead: 'front',
  floor: 'down',
  step: 'up',
  other: 'up',
}
export const panelKinds = Object.keys(facings) as PanelKind[]
export const facingOf = (panel: Pick<Panel, 'kind' | 'faces'>): Facing => panel.faces ?? facings[panel.kind]
export const isLevel = (facing: Facing) => facing === 'up' || facing === 'down'
export const panelName = (panel: Panel): string => panel.name ?? i18n.global.t(`panels.kinds.${panel.kind}`)

/** +1 or -1: whether s runs to the right and t runs up, as Core's PanelView; a table in tests/reference holds both together. */
export function viewSigns(facing: Facing, from: ViewedFrom): { s: 1 | -1; t: 1 | -1 } {
  const flip = from === 'inside'
  if (isLevel(facing)) return { s: 1, t: (facing === 'up') === flip ? 1 : -1 }
  const mirrored = facing === 'right' || facing === 'rear'
  return { s: mirrored === flip ? 1 : -1, t: 1 }
}

/** What people call a side of a panel: a roof has a left and a right where a wall has a top and a bottom. */
export function sideWord(facing: Facing, side: Side): string {
  const cross = facing === 'rear' || facing === 'front'
  const key =
    side === 'front'
      ? cross
        ? 'right'
        : 'front'
      : side === 'rear'
        ? cross
          ? 'left'
          : 'rear'
        : isLevel(facing)
          ? side === 'top'
            ? 'left'
            : 'right'
          : side
  return i18n.global.t(`sides.${key}`)
}

/** From where a panel is seen, in words: `left side, seen from outside`. */
export const seenFrom = (panel: Panel, from: ViewedFrom): string =>
  i18n.global.t(`drawing.${from}Of`, { panel: panelName(panel).toLowerCase() })
