import { useIntervalFn } from '@vueuse/core'
import { message } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ofVehicle } from '@/api/cache'
import { api, ApiProblem, got, type Schemas } from '@/api/client'
import { useDraft } from '@/app/drafts'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import { drop, keep, waitingOf } from './queue'
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
  nextTime: string
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
  nextTime: '',
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

/** What was typed, out of the report that was made of it. */
export const typedOf = (report: Schemas['StepReport']): Typed => ({
  ...blank(),
  token: report.token,
  by: report.by,
  minutes: report.minutes,
  values: Object.fromEntries(report.readings.filter((r) => r.seen === null).map((r) => [r.name, r.value])),
  seen: Object.fromEntries(report.readings.flatMap((r) => (r.seen === null ? [] : [[r.name, r.seen]]))),
  hole: report.asCut ?? blank().hole,
  overruled: report.overruled ?? '',
  notes: report.notes,
  nextTime: report.nextTime ?? '',
})

/** One job on the bench: its steps, what is typed at the shown one, and what the server says of it while it is typed. */
export function useBenchJob(kind: () => Kind, jobId: () => string) {
  const { t } = useI18n()
  const { shell, change } = useState()
  const path = () => ({ vehicleId: shell.value!.vehicle.id, kind: kind(), id: jobId() })
  const job = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'bench', kind(), jobId()),
    (_, signal) => got(api.GET('/api/vehicles/{vehicleId}/bench/{kind}/{id}', { params: { path: path() }, signal })),
  )
  useIntervalFn(() => shell.value && void job.again(), everyMinute)

  const chosen = ref<string | null>(null)
  const steps = computed(() => job.answer.value?.steps ?? [])
  /** Steps that are done here and that the server does not know of yet. */
  const unsent = waitingOf(jobId)
  const isUnsent = (key: string) => unsent.value.some((w) => w.of.key === key && !w.of.trouble)
  /** The step to go on with: the server's, or without a connection the one after the last that is done here. */
  const next = computed(() => {
    const at = steps.value.findLastIndex((s) => isUnsent(s.step.key))
    return at < 0 ? job.answer.value?.nextKey : steps.value[at + 1]?.step.key
  })
  const shown = computed(() => steps.value.find((s) => s.step.key === (chosen.value ?? next.value)) ?? steps.value.at(-1) ?? null)
  /** What was said of the step that is shown, where the server did not take it. */
  const refused = computed(() => unsent.value.find((w) => w.of.key === shown.value?.step.key && w.of.trouble) ?? null)
  /** Puts it back into the fields, to be put right and sent again; it waits until then. */
  const takeBack = () => {
    typed.value = { ...typedOf(refused.value!.of.report), token: crypto.randomUUID() }
    takenBack.value = refused.value!.at
  }
  const takenBack = ref<number | null>(null)
  const isTakenBack = computed(() => takenBack.value !== null && takenBack.value === refused.value?.at)
  /** Whether the step that is shown comes after one that is not sent: what the server said of it is from before. */
  const goesOn = computed(() => unsent.value.length > 0 && shown.value?.step.key === next.value)
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
    const { token, by, minutes, notes, overruled, nextTime } = typed.value
    rememberPerson(by)
    const report = {
      token,
      by,
      minutes,
      notes,
      overruled: overruled.trim() || null,
      readings: readingsOf(at, typed.value),
      asCut: holeOf(typed.value),
      told: at.step.do,
      nextTime: nextTime.trim() || null,
      agoMinutes: null,
    }
    const queued = {
      token,
      vehicleId: shell.value!.vehicle.id,
      kind: kind(),
      jobId: jobId(),
      job: job.answer.value!.name,
      key: at.step.key,
      title: at.step.title,
      at: Date.now(),
      report,
      trouble: '',
    }
    const params = { path: { ...path(), key: at.step.key } }
    const before = refused.value?.at ?? null
    // What comes after a step that waits is sent after it.
    const answer = unsent.value.some((w) => w.at !== before)
      ? null
      : got(api.POST('/api/vehicles/{vehicleId}/bench/{kind}/{id}/{key}', { params, body: report }))
    const isKept = await (answer ?? Promise.reject(new ApiProblem(0, 'offline', ''))).then(
      () => false,
      async (e: unknown) => {
        if (!(e instanceof ApiProblem) || e.status !== 0) return false
        await keep(queued, before)
        if (answer) void message.info(t('bench.queue.kept'))
        return true
      },
    )
    if (!isKept && !(await change(() => answer!))) return false
    if (!isKept && before !== null) await drop(before)
    typed.value = blank()
    chosen.value = null
    if (!isKept) await job.again()
    return true
  }
  return { job, steps, shown, chosen, typed, verdicts, done, isUnsent, goesOn, refused, takeBack, isTakenBack }
}

/** Whether somebody typed anything but their name. */
function isTouched(typed: Typed): boolean {
  return (
    typed.minutes !== null ||
    typed.notes !== '' ||
    typed.nextTime !== '' ||
    typed.overruled !== '' ||
    Object.keys(typed.seen).length > 0 ||
    [...Object.values(typed.values), ...Object.values(typed.hole)].some((v) => v !== null)
  )
}
