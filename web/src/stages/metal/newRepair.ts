import type { Schemas } from '@/api/client'
import { newName } from '@/app/newName'
import type { Repair } from './useRepairs'

/** A repair to start from where somebody points: a patch over a small square; every figure of it is changed at the bench. */
export function newRepair(name: string, taken: readonly string[], panel: Schemas['Panel'], at: Schemas['PanelPoint']): Repair {
  const half = 30
  const corner = (s: number, t: number) => ({ sMm: at.sMm + s * half, tMm: at.tMm + t * half })
  return {
    name: newName(name, taken),
    kind: 'patch',
    shape: 'area',
    points: [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)],
    lengthMm: null,
    widthMm: null,
    spot: blankSpot(panel),
    patch: blankPatch(panel),
    holes: null,
    seam: null,
    trim: null,
    state: 'planned',
    doneOn: null,
    findingIds: [],
    notes: '',
  }
}

/** The metal of the skin, as far as the panel says it. */
export const sheetOf = (panel: Schemas['Panel']): Schemas['SheetMetal'] =>
  panel.material === 'aluminium' || panel.material === 'galvanisedSteel' ? panel.material : 'mildSteel'

/** What nobody measured is left open, so that the rules ask for it. */
export const blankSpot = (panel: Schemas['Panel']): Schemas['RustSpot'] => ({
  grade: 'begun',
  flakes: false,
  sheetMm: panel.skinMm,
  leftMm: null,
  areaPercent: 8,
  holeMm: 0,
  carries: false,
  structure: false,
  bothSides: false,
  pocket: false,
  near: [],
})

export const blankPatch = (panel: Schemas['Panel']): Schemas['PatchDesign'] => ({
  shape: 'squareRectangle',
  cutBackMm: 20,
  cornerMm: 10,
  join: 'bondedAndRiveted',
  lapMm: null,
  metal: sheetOf(panel),
  sheetMm: panel.skinMm,
  upperEdge: 'overTheSkin',
  joggled: false,
  sides: [],
})

/** The same repair done in another way: what the other way needs is there to be filled in. */
export function asKind(value: Repair, kind: Repair['kind'], panel: Schemas['Panel']): Repair {
  const metal = kind === 'treat' || kind === 'patch' || kind === 'plate'
  const patch = kind === 'patch' || kind === 'plate' ? (value.patch ?? blankPatch(panel)) : value.patch
  return {
    ...value,
    kind,
    spot: metal ? (value.spot ?? blankSpot(panel)) : value.spot,
    patch:
      patch && kind === 'plate'
        ? { ...patch, shape: 'noHole' }
        : patch && kind === 'patch' && patch.shape === 'noHole'
          ? { ...patch, shape: 'squareRectangle' }
          : patch,
    holes:
      kind === 'plug'
        ? (value.holes ?? {
            diameterMm: value.lengthMm ?? 8,
            sheetMm: panel.skinMm,
            metal: sheetOf(panel),
            bothSides: false,
            carries: false,
            way: null,
          })
        : value.holes,
    seam: kind === 'gutter' ? (value.seam ?? { wideMm: 12, deepMm: 6, spotWelds: 0 }) : value.seam,
    trim: kind === 'trim' ? (value.trim ?? { held: 'screws', pitchMm: 150, beddingWideMm: 20 }) : value.trim,
  }
}
