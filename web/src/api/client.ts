import createClient from 'openapi-fetch'
import { rowBefore, whichStands } from '@/app/newer'
import { whoHere } from '@/app/person'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type Point = Schemas['PanelPoint']
export type Member = Schemas['Member']
export type Panel = Schemas['Panel']
export type Fitting = Schemas['Fitting']
export type Opening = Schemas['Opening']
export type Vehicle = Schemas['Vehicle']
export type Zone = Schemas['Zone']
export type Finding = Schemas['Finding']
export type Site = Schemas['Site']
export type Side = Schemas['Side']
export type LengthFormat = Schemas['LengthFormat']
export type Step = Schemas['Step']
export type Source = Schemas['Source']

/** A record as it stands in the database. */
export interface Stored<T> {
  id: string
  version: number
  ownerId: string | null
  value: T
}

/** What the server says is wrong; `status` 0 means that it could not be reached. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly pointer?: string,
    readonly current?: unknown,
  ) {
    super(message)
  }
}

/** What makes stale which version of a row is on screen, as long as it is on its way: whoever saves next waits for it. */
export const underWay = new Set<Promise<unknown>>()
const ends = new WeakMap<Response, () => void>()

/** Somebody else was quicker: asks which fields are to stand, and saves those on top of the other's version. */
async function fetchOrDecide(request: Request): Promise<Response> {
  const again = request.method === 'PUT' ? request.clone() : null
  const response = await fetch(request)
  if (!again || response.status !== 412) return response
  const problem = (await response
    .clone()
    .json()
    .catch(() => ({}))) as { current?: Stored<Record<string, unknown>> }
  if (!problem.current?.value) return response
  const { id, version, value: theirs } = problem.current
  const mine = (await again.clone().json()) as Record<string, unknown>
  const begunWith = Number(/\d+/.exec(again.headers.get('If-Match')!)?.[0])
  const whole = await whichStands(mine, theirs, rowBefore(id, begunWith))
  if (!whole) return response
  const headers = new Headers(again.headers)
  headers.set('If-Match', `"${version}"`)
  return await fetchOrDecide(new Request(again.url, { method: 'PUT', headers, body: JSON.stringify(whole) }))
}

export const api = createClient<paths>({
  baseUrl: '',
  async fetch(request) {
    if (whoHere.value) request.headers.set('Abri-Person', encodeURIComponent(whoHere.value))
    if (!request.headers.has('If-Match')) return await fetch(request)
    let end = () => {}
    const change = new Promise<void>((resolve) => (end = resolve))
    underWay.add(change)
    void change.then(() => underWay.delete(change))
    try {
      const response = await fetchOrDecide(request)
      ends.set(response, end)
      // An answer that breaks off half way is read by nobody: nobody would end it.
      response.clone().text().catch(end)
      return response
    } catch (e) {
      end()
      throw e
    }
  },
})

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

/** Hands out the data of an answer, or throws what is wrong. */
export async function got<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await call
  } catch {
    throw new ApiProblem(0, 'offline', '')
  }
  // Not before whoever made the change has had his turn to read anew what it changed.
  setTimeout(ends.get(answer.response) ?? (() => {}))
  if (answer.response.ok) return answer.data as T
  const problem = (answer.error ?? {}) as { code?: string; detail?: string; pointer?: string; current?: unknown }
  throw new ApiProblem(
    answer.response.status,
    problem.code ?? 'failed',
    problem.detail ?? answer.response.statusText,
    problem.pointer,
    problem.current,
  )
}

export const ifMatch = (version: number) => ({ 'If-Match': `"${version}"` })
