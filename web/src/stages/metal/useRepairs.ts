import { computed } from 'vue'
import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type Repair = Schemas['Repair']
/** A line of the list: a spot with the repair that would be a start, or a repair. */
export interface MetalLine {
  key: string
  panelId: string
  order: number | null
  value: Repair
  spot: Schemas['MetalSpot'] | null
  repair: Schemas['MetalRepair'] | null
}
export type RepairPlan = Schemas['RepairPlan']

/** The metal of the vehicle: what was found, the repairs, and how they are kept. */
export function useRepairs() {
  const { shell, change } = useState()
  const vehicleId = () => shell.value!.vehicle.id
  const metal = useAnswer(
    () => shell.value && ofVehicle(vehicleId(), 'metal'),
    ([, id], signal) => got(api.GET('/api/vehicles/{vehicleId}/metal', { params: { path: { vehicleId: id } }, signal })),
  )
  const add = (panelId: string, value: Repair) =>
    change(() =>
      got(
        api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/repairs', {
          params: { path: { vehicleId: vehicleId(), panelId } },
          body: value,
        }),
      ),
    ) as Promise<Stored<Repair> | undefined>
  const save = (row: Stored<Repair>, value: Repair) =>
    change(() =>
      got(
        api.PUT('/api/vehicles/{vehicleId}/repairs/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
          body: value,
        }),
      ),
    ) as Promise<Stored<Repair> | undefined>
  const remove = (row: Stored<Repair>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/repairs/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  return {
    metal,
    spots: computed(() => metal.answer.value?.spots ?? []),
    repairs: computed(() => metal.answer.value?.repairs ?? []),
    add,
    save,
    remove,
  }
}

/** The plan of a repair, kept or still typed: worked out anew with each change. */
export function useRepairPlan(draft: () => { panelId: string; value: Repair } | null) {
  const { shell } = useState()
  return useAnswer(
    () => {
      const d = draft()
      return d && shell.value && ofVehicle(shell.value.vehicle.id, 'repair-plan', d.panelId, d.value)
    },
    ([, vehicleId, , panelId, body], signal) =>
      got(
        api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/repair-plan', {
          params: { path: { vehicleId, panelId } },
          body,
          signal,
        }),
      ),
  )
}
