import type { Fitting, LengthFormat, Opening, Panel, Schemas, Site, Stored } from '@/api/client'

/** The sliding doors of a vehicle, without the panel itself. */
export const doorsBeside = (shell: Schemas['WholeShell'], panel: Stored<Panel>): Panel[] =>
  shell.panels.filter((p) => p.id !== panel.id && p.value.kind === 'slidingDoor').map((p) => p.value as Panel)

/** Gathers what decides on an opening from the record, for the calculators. */
export function siteOf(
  shell: Schemas['WholeShell'],
  fittings: readonly Stored<Fitting>[],
  panel: Stored<Panel>,
  opening: Opening,
  ownId: string | null,
  lengths: LengthFormat,
): Site {
  const fitting = (id: string) => fittings.find((f) => f.id === id)!.value
  return {
    panel: panel.value,
    members: shell.members.filter((m) => m.ownerId === panel.id).map((m) => m.value),
    fitting: fitting(opening.fittingId),
    ribInTheWay: opening.schools.ribInTheWay,
    turnDeg: opening.turnDeg,
    wallMm: opening.wallMm,
    neighbours: shell.openings
      .filter((o) => o.ownerId === panel.id && o.id !== ownId)
      .map((o) => ({
        name: o.value.name,
        fitting: fitting(o.value.fittingId),
        centre: o.value.centre,
        turnDeg: o.value.turnDeg,
      })),
    zones: shell.zones.map((z) => z.value),
    lengths,
    doors: doorsBeside(shell, panel),
  }
}
