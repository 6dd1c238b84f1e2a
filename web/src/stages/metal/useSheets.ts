import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type Sheet = Schemas['StockSheet']

/** Sheets and offcuts of the vehicle with what lies on them, and how they are kept and cut. */
export function useSheets(gapMm: () => number | null) {
  const { shell, change } = useState()
  const vehicleId = () => shell.value!.vehicle.id
  const sheets = useAnswer(
    () => shell.value && ofVehicle(vehicleId(), 'sheets', gapMm()),
    ([, id, , gap], signal) =>
      got(
        api.GET('/api/vehicles/{vehicleId}/sheets', {
          params: { path: { vehicleId: id }, query: gap === null ? {} : { gapMm: gap } },
          signal,
        }),
      ),
  )
  const save = (row: Stored<Sheet> | null, body: Sheet) =>
    change(() =>
      row
        ? got(
            api.PUT('/api/vehicles/{vehicleId}/sheets/{id}', {
              params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
              body,
            }),
          )
        : got(api.POST('/api/vehicles/{vehicleId}/sheets', { params: { path: { vehicleId: vehicleId() } }, body })),
    )
  const remove = (row: Stored<Sheet>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/sheets/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  /** What lies in the plan that is seen is cut now. */
  const cut = (group: Schemas['SheetGroup']) =>
    change(() =>
      got(
        api.POST('/api/vehicles/{vehicleId}/sheets/cut', {
          params: { path: { vehicleId: vehicleId() } },
          body: {
            metal: group.metal,
            thickMm: group.thickMm,
            gapMm: sheets.answer.value!.gapMm,
            repairIds: [...new Set(group.plan.result.places.map((p) => group.pieces[p.piece]!.repairId))],
          },
        }),
      ),
    )
  return { sheets, save, remove, cut }
}
