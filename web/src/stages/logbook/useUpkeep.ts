import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type UpkeepLine = Schemas['UpkeepLine']
export type OwnUpkeep = Schemas['OwnUpkeep']
export type UpkeepDone = Schemas['UpkeepDone']

/** What is looked after on the vehicle, and everything that changes it. */
export function useUpkeep() {
  const { shell, change } = useState()
  const path = () => ({ vehicleId: shell.value!.vehicle.id })
  const lines = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'upkeep'),
    ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/upkeep', { params: { path: { vehicleId } }, signal })),
  )
  const done = (body: UpkeepDone) =>
    change(() => got(api.POST('/api/vehicles/{vehicleId}/upkeep/done', { params: { path: path() }, body })))
  const own = (id: string) =>
    got(api.GET('/api/vehicles/{vehicleId}/upkeep/own/{id}', { params: { path: { ...path(), id } } })) as Promise<
      Stored<OwnUpkeep>
    >
  const saveOwn = (row: Stored<OwnUpkeep> | null, body: OwnUpkeep) =>
    change(() =>
      got(
        row === null
          ? api.POST('/api/vehicles/{vehicleId}/upkeep/own', { params: { path: path() }, body })
          : api.PUT('/api/vehicles/{vehicleId}/upkeep/own/{id}', {
              params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
              body,
            }),
      ),
    )
  const removeOwn = (row: Stored<OwnUpkeep>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/upkeep/own/{id}', {
          params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  return { lines, done, own, saveOwn, removeOwn }
}
