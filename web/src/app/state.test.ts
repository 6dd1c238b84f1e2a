// @vitest-environment happy-dom
import { QueryObserver } from '@tanstack/vue-query'
import { expect, it, vi } from 'vitest'
import { cache, ofVehicle } from '@/api/cache'
import { useState } from './state'

const whole = { vehicle: { id: 'a', value: { units: 'mm', inchDenominator: 16 } } }
const answer = (request: Request) => Response.json(request.url.endsWith('/shell') ? whole : [])

it('asks for a vehicle once more when a connection drops, and says so when it drops again', async () => {
  const { load, shell, trouble } = useState()
  let dropped = 0
  vi.stubGlobal('fetch', (request: Request) =>
    dropped++ === 0 ? Promise.reject(new Error('dropped')) : Promise.resolve(answer(request)),
  )
  await load('a')
  expect([shell.value?.vehicle.id, trouble.value]).toEqual(['a', null])
  vi.stubGlobal('fetch', () => Promise.reject(new Error('gone')))
  await load('b')
  expect([shell.value, trouble.value?.status]).toEqual([null, 0])
})

it('asks anew what was still on its way when something changed: its answer is of what stood before', async () => {
  vi.stubGlobal('fetch', (request: Request) => Promise.resolve(answer(request)))
  const asked: { signal: AbortSignal; answer: (text: string) => void }[] = []
  const seen: (string | undefined)[] = []
  const observer = new QueryObserver<string>(cache, {
    queryKey: ofVehicle('a', 'strip'),
    queryFn: ({ signal }) => new Promise((resolve) => asked.push({ signal, answer: resolve })),
  })
  const stop = observer.subscribe((result) => seen.push(result.data))
  await useState().load('a')
  await vi.waitFor(() => expect(asked).toHaveLength(2))
  expect(asked[0]!.signal.aborted).toBe(true)
  asked[0]!.answer('before')
  asked[1]!.answer('after')
  await vi.waitFor(() => expect(seen.at(-1)).toBe('after'))
  expect(seen).not.toContain('before')
  stop()
})

it('does not ask again what the server has refused', async () => {
  const asked = vi.fn(() => Promise.resolve(Response.json({ code: 'not-found' }, { status: 404 })))
  vi.stubGlobal('fetch', asked)
  await useState().load('c')
  expect(useState().trouble.value?.status).toBe(404)
  expect(asked).toHaveBeenCalledTimes(2)
})
