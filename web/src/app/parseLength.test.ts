// @vitest-environment happy-dom
import { expect, it, vi } from 'vitest'
import { api, got, ifMatch } from '@/api/client'
import { lengthsRead, parseLength } from './parseLength'

it('waits for the change before, so that no row is saved over its own older version', async () => {
  let answer: (response: Response) => void = () => {}
  vi.stubGlobal('fetch', () => new Promise<Response>((resolve) => (answer = resolve)))
  const path = { vehicleId: 'a', id: 'b' }
  const params = { path, header: ifMatch(1) }
  const change = got(api.PUT('/api/vehicles/{vehicleId}/panels/{id}', { params, body: {} as never }))
  let read = false
  const reading = lengthsRead().then(() => (read = true))
  await new Promise((resolve) => setTimeout(resolve, 30))
  expect(read).toBe(false)
  answer(Response.json({}))
  await change
  await reading
  expect(read).toBe(true)
})

it('waits no longer once a change has failed', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new Error('no network')))
  const params = { path: { vehicleId: 'a', id: 'b' }, header: ifMatch(1) }
  await expect(got(api.DELETE('/api/vehicles/{vehicleId}/panels/{id}', { params }))).rejects.toThrow()
  expect(await lengthsRead()).toBe(true)
})

it('waits no longer once an answer has broken off half way', async () => {
  const broken = () => new ReadableStream({ start: (body) => body.error(new Error('gone')) })
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(broken(), { headers: { 'Content-Type': 'application/json' } })))
  const params = { path: { vehicleId: 'a', id: 'b' }, header: ifMatch(1) }
  await expect(got(api.PUT('/api/vehicles/{vehicleId}/panels/{id}', { params, body: {} as never }))).rejects.toThrow()
  expect(await lengthsRead()).toBe(true)
})

it('reads a plain number without a connection, and says of anything else that nobody answers', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new Error('no network')))
  const mm = { units: 'mm', inchDenominator: 16 } as const
  const inch = { units: 'inch', inchDenominator: 16 } as const
  expect(await parseLength(' 396,5 ', mm)).toBe(396.5)
  expect(await parseLength('396 mm', inch)).toBe(396)
  expect(await parseLength('15.5', inch)).toBeCloseTo(393.7)
  await expect(parseLength('15 1/2"', inch)).rejects.toMatchObject({ status: 0 })
})

it('leaves to the server what it can read, and what it refuses', async () => {
  vi.stubGlobal('fetch', () => Promise.resolve(Response.json({ code: 'length', detail: 'No.' }, { status: 422 })))
  await expect(parseLength('396', { units: 'mm', inchDenominator: 16 })).rejects.toMatchObject({ status: 422 })
})
