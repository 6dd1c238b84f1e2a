import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type Lining = Schemas['Lining']

/** The linings of the vehicle, and how they are kept. */
export function useLinings() {
  const { shell, change } = useState()
  const vehicleId = () => shell.value!.vehicle.id
  const linings = useAnswer(
    () => shell.value && ofVehicle(vehicleId(), 'linings'),
    ([, id], signal) => got(api.GET('/api/vehicles/{vehicleId}/linings', { params: { path: { vehicleId: id } }, signal })),
  )
  /** A lining all over a panel, kept at once. */
  const add = (panelId: string, name: string) =>
    change(async () => {
      const path = { vehicleId: vehicleId(), panelId }
      const body = await got(
        api.GET('/api/vehicles/{vehicleId}/panels/{panelId}/new-lining', { params: { path, query: { name } } }),
      )
      return await got(api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/linings', { params: { path }, body }))
    }) as Promise<Stored<Lining> | undefined>
  const save = (row: Stored<Lining>, body: Lining) =>
    change(() =>
      got(
        api.PUT('/api/vehicles/{vehicleId}/linings/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
          body,
        }),
      ),
    )
  const remove = (row: Stored<Lining>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/linings/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  return { linings, add, save, remove }
}

/** The job of a lining, kept or still typed: worked out anew with each change. */
export function useLiningJob(draft: () => { panelId: string; value: Lining } | null) {
  const { shell } = useState()
  return useAnswer(
    () => {
      const d = draft()
      return d && shell.value && ofVehicle(shell.value.vehicle.id, 'lining-plan', d.panelId, d.value)
    },
    ([, vehicleId, , panelId, body], signal) =>
      got(
        api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/lining-plan', {
          params: { path: { vehicleId, panelId } },
          body,
          signal,
        }),
      ),
  )
}
