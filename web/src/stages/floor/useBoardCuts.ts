import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type StockBoard = Schemas['StockBoard']

/** How boards are cut; what is not said is as usual. */
export interface CutWishes {
  kerfMm?: number
  carLengthMm?: number
  carWidthMm?: number
}

/** Boards of the vehicle that are there, what is cut from them and from what is bought, and how they are kept and sawn. */
export function useBoardCuts(wishes: () => CutWishes) {
  const { shell, change } = useState()
  const vehicleId = () => shell.value!.vehicle.id
  const cuts = useAnswer(
    () => shell.value && ofVehicle(vehicleId(), 'board-cuts', wishes()),
    ([, id, , query], signal) =>
      got(api.GET('/api/vehicles/{vehicleId}/board-cuts', { params: { path: { vehicleId: id }, query }, signal })),
  )
  const save = (row: Stored<StockBoard> | null, body: StockBoard) =>
    change(() =>
      row
        ? got(
            api.PUT('/api/vehicles/{vehicleId}/stock-boards/{id}', {
              params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
              body,
            }),
          )
        : got(api.POST('/api/vehicles/{vehicleId}/stock-boards', { params: { path: { vehicleId: vehicleId() } }, body })),
    )
  const remove = (row: Stored<StockBoard>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/stock-boards/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  /** What lies in the plan that is seen is sawn now. */
  const sawn = (group: Schemas['BoardGroup']) => {
    const { carLengthMm, carWidthMm } = wishes()
    return change(() =>
      got(
        api.POST('/api/vehicles/{vehicleId}/board-cuts/sawn', {
          params: { path: { vehicleId: vehicleId() } },
          body: {
            material: group.material,
            thickMm: group.thickMm,
            kerfMm: cuts.answer.value!.kerfMm,
            ownerIds: [...new Set(group.plan.result.sheets.flatMap((s) => s.places.map((p) => group.pieces[p.piece]!.ownerId)))],
            car: carLengthMm && carWidthMm ? { lengthMm: carLengthMm, widthMm: carWidthMm } : null,
          },
        }),
      ),
    )
  }
  return { cuts, save, remove, sawn }
}
