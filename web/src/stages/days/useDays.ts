import { useIntervalFn } from '@vueuse/core'
import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { fileText } from '@/app/fileText'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

export type Person = Schemas['Person']
export type Climate = Schemas['Climate']
export type JobGate = Schemas['JobGate']

/** What changes with the clock is asked again so often, ms. */
const everyMinute = 60_000

/** The days of the vehicle: weather, people, and what may be cut when. */
export function useDays() {
  const { shell, change } = useState()
  const path = () => ({ vehicleId: shell.value!.vehicle.id })
  const days = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'days'),
    ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/days', { params: { path: { vehicleId } }, signal })),
  )
  useIntervalFn(() => shell.value && void days.again(), everyMinute)

  const typed = (list: Schemas['DayWeather'][]) =>
    change(() => got(api.POST('/api/vehicles/{vehicleId}/forecast/typed', { params: { path: path() }, body: { days: list } })))
  const table = (file: File) =>
    change(async () => {
      const body = await fileText(file, 2 * 1024 * 1024)
      return await got(
        api.POST('/api/vehicles/{vehicleId}/forecast/table', {
          params: { path: path() },
          body: body as never,
          bodySerializer: (b) => b as unknown as string,
          headers: { 'Content-Type': 'text/csv' },
        }),
      )
    }) as Promise<string[] | undefined>
  const simulated = (climate: Climate, seed: number) =>
    change(() =>
      got(api.POST('/api/vehicles/{vehicleId}/forecast/simulated', { params: { path: path() }, body: { climate, seed } })),
    )

  const savePerson = (row: Stored<Person> | null, body: Person) =>
    change(() =>
      got(
        row === null
          ? api.POST('/api/vehicles/{vehicleId}/people', { params: { path: path() }, body })
          : api.PUT('/api/vehicles/{vehicleId}/people/{id}', {
              params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
              body,
            }),
      ),
    )
  const removePerson = (row: Stored<Person>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/people/{id}', {
          params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  const setCare = (care: Schemas['CutCare']) => {
    const vehicle = shell.value!.vehicle
    return change(() =>
      got(
        api.PUT('/api/vehicles/{id}', {
          params: { path: { id: vehicle.id }, header: ifMatch(vehicle.version) },
          body: { ...vehicle.value, care },
        }),
      ),
    )
  }
  /** Ticks what was looked at before the first hole, or takes the tick away. */
  const tick = (gate: JobGate, item: Schemas['ReadyItem'], seen: boolean) =>
    change(async () => {
      const of = gate.job.kind === 'opening' ? shell.value!.openings : shell.value!.repairs
      const row = of.find((r) => r.id === gate.job.id)!
      const ready = seen ? [...(row.value.ready ?? []), item] : (row.value.ready ?? []).filter((r) => r !== item)
      const params = { path: { ...path(), id: row.id }, header: ifMatch(row.version) }
      return gate.job.kind === 'opening'
        ? await got(
            api.PUT('/api/vehicles/{vehicleId}/openings/{id}', {
              params,
              body: { ...(row.value as Schemas['Opening']), ready },
            }),
          )
        : await got(
            api.PUT('/api/vehicles/{vehicleId}/repairs/{id}', { params, body: { ...(row.value as Schemas['Repair']), ready } }),
          )
    })
  return { days, typed, table, simulated, savePerson, removePerson, setCare, tick }
}

/** How likely rain meets the open shell; worked out when it is asked for. */
export function useRisk(gate: () => JobGate | null) {
  const { shell } = useState()
  return useAnswer(
    () => {
      const g = gate()
      return g && shell.value && ofVehicle(shell.value.vehicle.id, 'risk', g.job.kind, g.job.id)
    },
    ([, vehicleId, , kind, id], signal) =>
      got(api.GET('/api/vehicles/{vehicleId}/days/risk/{kind}/{id}', { params: { path: { vehicleId, kind, id } }, signal })),
  )
}
