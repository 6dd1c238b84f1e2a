// @vitest-environment happy-dom
import { expect, it, vi } from 'vitest'
import { api, got, ifMatch } from '@/api/client'
import { lengthsRead } from './parseLength'

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
