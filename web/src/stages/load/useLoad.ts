import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored, type Vehicle } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type LoadItem = Schemas['LoadItem']
export type LoadLine = Schemas['LoadLine']
export type LoadCase = Schemas['LoadCase']
export type LoadOfVehicle = Schemas['LoadOfVehicle']
export type NewWeighing = Schemas['NewWeighing']
export type EditedItem = { row: Stored<LoadItem> | null; value: LoadItem }

/** What the vehicle carries and weighs, with what is being typed counted in, and everything that changes it. */
export function useLoad(edited: () => EditedItem | null) {
  const { shell, change } = useState()
  const path = () => ({ vehicleId: shell.value!.vehicle.id })
  const load = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'load'),
    ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/load', { params: { path: { vehicleId } }, signal })),
  )
  const would = useAnswer(
    () => {
      const e = edited()
      return shell.value && e
        ? ([
            ...ofVehicle(shell.value.vehicle.id, 'load'),
            { item: { ...e.value, name: e.value.name || '?' }, insteadOf: e.row?.id ?? null },
          ] as const)
        : null
    },
    ([, vehicleId, , body], signal) =>
      got(api.POST('/api/vehicles/{vehicleId}/load/what-if', { params: { path: { vehicleId } }, body, signal })),
  )
  const saveItem = (row: { id: string; version: number } | null, body: LoadItem) =>
    change(() =>
      got(
        row === null
          ? api.POST('/api/vehicles/{vehicleId}/load/items', { params: { path: path() }, body })
          : api.PUT('/api/vehicles/{vehicleId}/load/items/{id}', {
              params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
              body,
            }),
      ),
    )
  const removeItem = (row: Stored<LoadItem>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/load/items/{id}', {
          params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  const weigh = (body: NewWeighing) =>
    change(() => got(api.POST('/api/vehicles/{vehicleId}/load/weighings', { params: { path: path() }, body })))
  const removeWeighing = (row: { id: string; version: number }) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/load/weighings/{id}', {
          params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  const savePapers = (masses: Vehicle['masses']) => {
    const { id, version, value } = shell.value!.vehicle
    return change(() =>
      got(api.PUT('/api/vehicles/{id}', { params: { path: { id }, header: ifMatch(version) }, body: { ...value, masses } })),
    )
  }
  return { load, would, saveItem, removeItem, weigh, removeWeighing, savePapers }
}
