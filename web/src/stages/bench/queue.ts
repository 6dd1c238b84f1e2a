import { useEventListener, useIntervalFn } from '@vueuse/core'
import { openDB, type DBSchema } from 'idb'
import { computed, shallowRef } from 'vue'
import { api, ApiProblem, got, type Schemas } from '@/api/client'
import { said } from '@/app/state'

/** A step that is done and that the server does not know of yet. */
export interface Waiting {
  /** The report's token: by it the server knows one that it has had already. */
  token: string
  vehicleId: string
  kind: 'opening' | 'repair' | 'replacement' | 'lining'
  jobId: string
  job: string
  key: string
  title: string
  /** When it was done, ms by this device's clock: how long ago that is is told when it is sent. */
  at: number
  report: Schemas['StepReport']
  /** Why the server does not take it; empty while it has not been asked. */
  trouble: string
}

interface Kept extends DBSchema {
  reports: { key: number; value: Waiting }
}

const everySeconds = 5
const mostSeconds = 20
/** Whoever comes back later than a month says so with the most that is taken. */
const mostMinutes = 44_640
const open = () => openDB<Kept>('abri', 1, { upgrade: (db) => void db.createObjectStore('reports', { autoIncrement: true }) })
let kept: ReturnType<typeof open> | null = null
const database = () => (kept ??= open())

/** In the order in which they were done. */
const waiting = shallowRef<{ at: number; of: Waiting }[]>([])
let sending: Promise<void> | null = null

async function read() {
  const db = await database()
  const [keys, values] = await Promise.all([db.getAllKeys('reports'), db.getAll('reports')])
  waiting.value = keys.map((at, i) => ({ at, of: values[i]! }))
}

/**
 * Keeps a report until it can be sent, in the browser itself: it outlives a reload, and the browser. One that was put right takes the place of the
 * one that was not taken: what was done after it is sent after it.
 */
export async function keep(report: Waiting, inPlaceOf: number | null) {
  const value = JSON.parse(JSON.stringify(report)) as Waiting
  await (await database()).put('reports', value, inPlaceOf ?? undefined)
  await read()
}
export async function drop(at: number) {
  await (await database()).delete('reports', at)
  await read()
}

/** Sends what waits, one after the other; what the server refuses stays, with the reason, and holds up what comes after it in its job. */
async function sendAll(answered: (of: Waiting) => void) {
  await read()
  const stuck = new Set<string>()
  for (const { at, of } of waiting.value) {
    if (stuck.has(of.jobId)) continue
    try {
      await got(
        api.POST('/api/vehicles/{vehicleId}/bench/{kind}/{id}/{key}', {
          params: { path: { vehicleId: of.vehicleId, kind: of.kind, id: of.jobId, key: of.key } },
          // One that hangs, as at the edge of a network, must not keep the others for ever.
          signal: AbortSignal.timeout(mostSeconds * 1000),
          body: { ...of.report, agoMinutes: Math.min(Math.max((Date.now() - of.at) / 60_000, 0), mostMinutes) },
        }),
      )
      await drop(at)
      answered(of)
    } catch (e) {
      // Nobody answers, or a server that stumbled: tried again soon.
      if (!(e instanceof ApiProblem) || e.status === 0 || e.status >= 500) return
      stuck.add(of.jobId)
      const db = await database()
      // Unless somebody dropped it meanwhile, or put it right.
      if ((await db.get('reports', at))?.token === of.token) await db.put('reports', { ...of, trouble: said(e) }, at)
      // Somebody else may have been quicker: what is shown is from before.
      if (!of.trouble) answered(of)
    }
  }
  await read()
}

/** The queue, sent whenever there is a connection again. One frame uses it; what the server has answered is told. */
export function useQueue(answered: (of: Waiting) => void) {
  const send = () => (sending ??= sendAll(answered).finally(() => (sending = null)))
  void send()
  useEventListener(window, 'online', send)
  useIntervalFn(() => waiting.value.length > 0 && void send(), everySeconds * 1000)
  return { waiting, send, drop }
}

/** What waits of one job. */
export const waitingOf = (jobId: () => string) => computed(() => waiting.value.filter((w) => w.of.jobId === jobId()))
