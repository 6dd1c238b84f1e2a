import { useIntervalFn } from '@vueuse/core'
import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import { ref } from 'vue'

export type PlanLine = Schemas['PlanLine']
export type TaskKey = Schemas['TaskKey']
export type OwnTask = Schemas['OwnTask']
type Plan = Schemas['PlanOfVehicle']

const everyMinute = 60_000
export const keyText = (key: TaskKey) => `${key.job.kind}/${key.job.id}/${key.key}`

/** The plan of the vehicle, and everything that changes it. */
export function usePlan() {
  const { shell, change } = useState()
  const path = () => ({ vehicleId: shell.value!.vehicle.id })
  const plan = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'plan'),
    ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/plan', { params: { path: { vehicleId } }, signal })),
  )
  useIntervalFn(() => shell.value && void plan.again(), everyMinute)
  /** What clashed last; null once something fits again. */
  const clash = ref<Schemas['PlanMade'] | null>(null)
  const stopping = ref<AbortController | null>(null)

  async function make(marks: Schemas['TaskMark'][] | null, overruled: Schemas['Overruled'][] | null) {
    const stop = (stopping.value = new AbortController())
    try {
      const made = await change(() =>
        got(
          api.POST('/api/vehicles/{vehicleId}/plan', {
            params: { path: path() },
            body: { marks, overruled },
            signal: stop.signal,
          }),
        ),
      )
      if (made) clash.value = made.isKept ? null : made
      return made
    } finally {
      stopping.value = null
    }
  }
  const marksOf = (of: Plan) => of.lines.flatMap((l) => (l.mark ? [l.mark] : []))
  /** Marks a task, or takes its mark away, and plans anew. */
  const mark = (of: Plan, key: TaskKey, kind: Schemas['TaskMarkKind'] | null, at: string) =>
    make([...marksOf(of).filter((m) => keyText(m.task) !== keyText(key)), ...(kind ? [{ task: key, kind, at }] : [])], null)
  const overrule = (of: Plan, rule: Schemas['RuleLine'], reason: string) =>
    make(null, [...of.overruled.map((o) => o.overruled), { first: rule.first, then: rule.then, reason }])
  const restore = (of: Plan, line: Schemas['OverruledLine']) =>
    make(
      null,
      of.overruled.filter((o) => o !== line).map((o) => o.overruled),
    )
  /** When a task may begin, as far as weather, light and people are concerned. */
  const starts = (key: TaskKey) =>
    got(
      api.GET('/api/vehicles/{vehicleId}/plan/starts/{kind}/{id}/{key}', {
        params: { path: { ...path(), kind: key.job.kind, id: key.job.id, key: key.key } },
      }),
    )

  const saveOwn = (row: Stored<OwnTask> | null, body: OwnTask) =>
    change(() =>
      got(
        row === null
          ? api.POST('/api/vehicles/{vehicleId}/own-tasks', { params: { path: path() }, body })
          : api.PUT('/api/vehicles/{vehicleId}/own-tasks/{id}', {
              params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
              body,
            }),
      ),
    )
  const removeOwn = (row: Stored<OwnTask>) =>
    change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/own-tasks/{id}', {
          params: { path: { ...path(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  const stop = () => stopping.value?.abort()
  return { plan, clash, stopping, stop, make, mark, overrule, restore, starts, saveOwn, removeOwn }
}
