import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { ofVehicle } from '@/api/cache'
import { api, got, type Schemas } from '@/api/client'
import { useDraft } from '@/app/drafts'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import { rememberPerson, whoHere } from '@/app/person'

export type BenchStep = Schemas['BenchStep']
type Kind = 'opening' | 'repair' | 'replacement' | 'lining'

const everyMinute = 60_000

/** What somebody types at a step before it is done. The token is made once, so that a report that is sent again is the same one. */
export interface Typed {
  token: string
  by: string
  minutes: number | null
  values: Record<string, number | null>
  seen: Record<string, boolean>
  hole: Record<keyof Schemas['AsCut'], number | null>
  overruled: string
  notes: string
}

const blank = (): Typed => ({
  token: crypto.randomUUID(),
  by: whoHere.value,
  minutes: null,
  values: {},
  seen: {},
  hole: {
    topWidthMm: null,
    bottomWidthMm: null,
    frontHeightMm: null,
    rearHeightMm: null,
    risingDiagonalMm: null,
    fallingDiagonalMm: null,
  },
  overruled: '',
  notes: '',
})

/** The six readings of a hole, once all of them are there. */
export function holeOf(typed: Typed): Schemas['AsCut'] | null {
  return Object.values(typed.hole).every((mm) => mm !== null) ? (typed.hole as Schemas['AsCut']) : null
}

/** What was typed at the hold points of a step; those that the six readings of a hole stand for are left to the server. */
export function readingsOf(step: BenchStep, typed: Typed): Schemas['HoldReading'][] {
  return step.step.holds
    .filter((h) => h.reads === null)
    .map((h) => ({
      name: h.name,
      value: h.unit === null ? null : (typed.values[h.name] ?? null),
      seen: h.unit === null ? (typed.seen[h.name] ?? null) : null,
    }))
}

/** One job on the bench: its steps, what is typed at the shown one, and what the server says of it while it is typed. */
export function useBenchJob(kind: () => Kind, jobId: () => string) {
  const { shell, change } = useState()
  const path = () => ({ vehicleId: shell.value!.vehicle.id, kind: kind(), id: jobId() })
  const job = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'bench', kind(), jobId()),
    (_, signal) => got(api.GET('/api/vehicles/{vehicleId}/bench/{kind}/{id}', { params: { path: path() }, signal })),
  )
  useIntervalFn(() => shell.value && void job.again(), everyMinute)

  const chosen = ref<string | null>(null)
  const steps = computed(() => job.answer.value?.steps ?? [])
  const shown = computed(
    () => steps.value.find((s) => s.step.key === (chosen.value ?? job.answer.value?.nextKey)) ?? steps.value.at(-1) ?? null,
  )
  const typed = ref(blank())
  // What was typed at one step is none of the next one's business, and is there again when one comes back to it.
  const others = new Map<string, Typed>()
  watch(
    () => shown.value?.step.key,
    (now, before) => {
      if (before) others.set(before, typed.value)
      typed.value = (now && others.get(now)) || blank()
    },
  )
  useDraft<Typed>({
    kind: () => `bench ${jobId()} ${shown.value?.step.key ?? ''}`,
    typed: () => (isTouched(typed.value) ? typed.value : null),
    what: () => shown.value?.step.title ?? '',
    take: (draft) => (typed.value = draft),
  })

  const verdicts = useAnswer(
    () => {
      const at = shown.value
      if (!shell.value || !at || at.state === 'done' || at.state === 'blocked') return null
      const body = { readings: readingsOf(at, typed.value), asCut: holeOf(typed.value) }
      return [...ofVehicle(shell.value.vehicle.id, 'bench-check', jobId()), at.step.key, body] as const
    },
    ([, , , , key, body], signal) =>
      got(
        api.POST('/api/vehicles/{vehicleId}/bench/{kind}/{id}/{key}/check', {
          params: { path: { ...path(), key } },
          body,
          signal,
        }),
      ),
  )

  /** Whether the step went into the record. */
  async function done(): Promise<boolean> {
    const at = shown.value!
    const { token, by, minutes, notes, overruled } = typed.value
    rememberPerson(by)
    const kept = await change(() =>
      got(
        api.POST('/api/vehicles/{vehicleId}/bench/{kind}/{id}/{key}', {
          params: { path: { ...path(), key: at.step.key } },
          body: {
            token,
            by,
            minutes,
            notes,
            overruled: overruled.trim() || null,
            readings: readingsOf(at, typed.value),
            asCut: holeOf(typed.value),
            told: at.step.do,
          },
        }),
      ),
    )
    if (!kept) return false
    typed.value = blank()
    chosen.value = null
    await job.again()
    return true
  }
  return { job, steps, shown, chosen, typed, verdicts, done }
}

/** Whether somebody typed anything but their name. */
function isTouched(typed: Typed): boolean {
  return (
    typed.minutes !== null ||
    typed.notes !== '' ||
    typed.overruled !== '' ||
    Object.keys(typed.seen).length > 0 ||
    [...Object.values(typed.values), ...Object.values(typed.hole)].some((v) => v !== null)
  )
}
