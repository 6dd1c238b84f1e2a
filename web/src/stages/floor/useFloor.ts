import { computed } from 'vue'
import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type Replacement = Schemas['Replacement']
export type Probe = Schemas['Probe']
export type Board = Schemas['Board']
/** A line of the list: bad wood with the replacement that would be a start, or a replacement. */
export interface FloorLine {
  key: string
  panelId: string
  order: number | null
  value: Replacement
  replaced: Schemas['FloorReplaced'] | null
}

/** The floors of the vehicle: what is bad, what is replaced, and how it is kept. */
export function useFloor() {
  const { shell, change } = useState()
  const vehicleId = () => shell.value!.vehicle.id
  const floor = useAnswer(
    () => shell.value && ofVehicle(vehicleId(), 'floor'),
    ([, id], signal) => got(api.GET('/api/vehicles/{vehicleId}/floor', { params: { path: { vehicleId: id } }, signal })),
  )
  const lines = computed<FloorLine[]>(() =>
    [
      ...(floor.answer.value?.spots ?? []).map((s, i) => ({
        key: s.findingId ?? `probed-${i}`,
        panelId: s.panelId,
        order: s.order,
        value: s.proposal,
        replaced: null,
      })),
      ...(floor.answer.value?.replacements ?? []).map((r) => ({
        key: r.row.id,
        panelId: r.row.ownerId!,
        order: r.order,
        value: r.row.value,
        replaced: r,
      })),
    ].sort((a, b) => (a.order ?? Infinity) - (b.order ?? Infinity)),
  )
  const add = (panelId: string, value: Replacement) =>
    change(() =>
      got(
        api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/replacements', {
          params: { path: { vehicleId: vehicleId(), panelId } },
          body: value,
        }),
      ),
    ) as Promise<Stored<Replacement> | undefined>
  const save = (row: Stored<Replacement>, value: Replacement) =>
    change(() =>
      got(
        api.PUT('/api/vehicles/{vehicleId}/replacements/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
          body: value,
        }),
      ),
    ) as Promise<Stored<Replacement> | undefined>
  const remove = (row: Stored<Replacement>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/replacements/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  const probe = (panelId: string, value: Probe) =>
    change(() =>
      got(
        api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/probes', {
          params: { path: { vehicleId: vehicleId(), panelId } },
          body: value,
        }),
      ),
    )
  return { floor, lines, add, save, remove, probe }
}

/** The job of a replacement, kept or still typed: worked out anew with each change. */
export function useFloorJob(draft: () => { panelId: string; value: Replacement } | null) {
  const { shell } = useState()
  return useAnswer(
    () => {
      const d = draft()
      return d && shell.value && ofVehicle(shell.value.vehicle.id, 'replacement-plan', d.panelId, d.value)
    },
    ([, vehicleId, , panelId, body], signal) =>
      got(
        api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/replacement-plan', {
          params: { path: { vehicleId, panelId } },
          body,
          signal,
        }),
      ),
  )
}
