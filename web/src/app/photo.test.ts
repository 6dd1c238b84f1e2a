// @vitest-environment happy-dom
import { afterEach, describe, expect, it, vi } from 'vitest'
import { sendable } from './photo'

const most = 8 * 1024 * 1024
const photo = (bytes: number, type = 'image/jpeg') => new File([new Uint8Array(bytes)], 'rust.jpg', { type })

/** A browser that reads a picture of a size, and draws it into so many bytes. */
function draws(width: number, height: number, bytes: number) {
  vi.stubGlobal('createImageBitmap', () => Promise.resolve({ width, height }))
  const drawn: number[][] = []
  const canvas = {
    width: 0,
    height: 0,
    getContext: () => ({ drawImage: (_: unknown, x: number, y: number, w: number, h: number) => drawn.push([x, y, w, h]) }),
    toBlob: (done: (blob: Blob) => void) => done(new Blob([new Uint8Array(bytes)], { type: 'image/jpeg' })),
  }
  vi.spyOn(document, 'createElement').mockReturnValue(canvas as unknown as HTMLElement)
  return drawn
}
afterEach(() => {
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

describe('a photo that goes out', () => {
  it('stays as it is up to 8 MB', async () => {
    const file = photo(most)
    expect(await sendable(file)).toBe(file)
  })

  it('is drawn anew from one byte more on, its longer side 4000 px', async () => {
    const drawn = draws(8000, 6000, 1000)
    const sent = (await sendable(photo(most + 1)))!
    expect([sent.size, sent.type, sent.name]).toEqual([1000, 'image/jpeg', 'rust.jpg'])
    expect(drawn).toEqual([[0, 0, 4000, 3000]])
  })

  it('is drawn anew where the server does not keep its kind, no larger than it is', async () => {
    const drawn = draws(1200, 900, 1000)
    expect((await sendable(photo(10, 'image/heic')))!.type).toBe('image/jpeg')
    expect(drawn).toEqual([[0, 0, 1200, 900]])
  })

  it('is none where it cannot be read, or stays too large', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no picture')))
    expect(await sendable(photo(most + 1))).toBeNull()
    draws(8000, 6000, most + 1)
    expect(await sendable(photo(most + 1))).toBeNull()
  })
})
