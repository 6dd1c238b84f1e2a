import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type StockItem = Schemas['StockItem']
export type StoreLine = Schemas['StoreLine']
export type StockLine = Schemas['StockLine']
export type Material = Schemas['Material']
export type BorrowedTool = Schemas['BorrowedTool']
export type EditedTool = { row: { id: string; version: number } | null; value: BorrowedTool }
export type EditedStock = { row: { id: string; version: number } | null; value: StockItem }

/** What open work needs, what is there and what is short, and everything that changes it. */
export function useStores() {
  const { shell, change } = useState()
  const path = () => ({ vehicleId: shell.value!.vehicle.id })
  const stores = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'stores'),
    ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/stores', { params: { path: { vehicleId } }, signal })),
  )
  const save = (row: { id: string; version: number } | null, body: StockItem) =>
    change(() =>
      got(
        row === null
          ? api.POST('/api/vehicles/{vehicleId}/stores/stock', { params: { path: path() }, body })
          : api.PUT('/api/vehicles/{vehicleId}/stores/stock/{id}', {
              params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
              body,
            }),
      ),
    )
  const remove = (row: { id: string; version: number }) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/stores/stock/{id}', {
          params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  const saveTool = (row: { id: string; version: number } | null, body: BorrowedTool) =>
    change(() =>
      got(
        row === null
          ? api.POST('/api/vehicles/{vehicleId}/stores/borrowed', { params: { path: path() }, body })
          : api.PUT('/api/vehicles/{vehicleId}/stores/borrowed/{id}', {
              params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
              body,
            }),
      ),
    )
  const removeTool = (row: { id: string; version: number }) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/stores/borrowed/{id}', {
          params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  return { stores, save, remove, saveTool, removeTool }
}

/** Something new on the shelf: so much of a material, as it comes. */
export const stockOf = (m: Material, amount: number, boughtOn: string | null): StockItem => ({
  materialId: m.id,
  name: m.name,
  kind: m.kind,
  unit: m.unit,
  pack: m.pack,
  amount,
  place: '',
  boughtOn,
  expiresOn: null,
  openedOn: null,
  batch: '',
  notes: '',
})
