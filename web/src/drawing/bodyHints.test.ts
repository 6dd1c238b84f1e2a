import { describe, expect, it } from 'vitest'
import { bodyHints, isTowed } from './bodyHints'

const body = { frontMm: 0, lengthMm: 3400, heightMm: 1880 }
const kinds = ['panelVan', 'bus', 'boxTrailer', 'caravanBody'] as const

describe('the shapes round a shell', () => {
  it.each(kinds)('of a %s lie ahead of it and reach as far as they say', (kind) => {
    const hints = bodyHints(kind, body)
    const ahead = [...hints.side, ...hints.above].map(([along]) => along)
    expect(Math.max(...ahead)).toBe(0)
    expect(Math.min(...ahead)).toBe(-hints.noseMm)
  })

  it.each(kinds)('of a %s stand on the road', (kind) => {
    for (const wheel of bodyHints(kind, body).wheels) expect(wheel.upMm - wheel.radiusMm).toBe(-600)
    for (const wheel of bodyHints(kind, body, { floorMm: 300 }).wheels) {
      expect(wheel.upMm - wheel.radiusMm).toBe(-300)
      expect(wheel.radiusMm).toBe(240)
    }
  })

  it('have the axles where somebody measured them, and a towed body has none at the front', () => {
    const van = bodyHints('panelVan', body, { frontAxleMm: -900, rearAxleMm: 2500 })
    expect(van.wheels.map((w) => w.alongMm)).toEqual([-900, 2500])
    for (const kind of kinds) expect(bodyHints(kind, body).wheels).toHaveLength(isTowed(kind) ? 1 : 2)
  })

  it('are as broad on the left as on the right', () => {
    for (const kind of kinds) {
      const { above } = bodyHints(kind, body)
      const across = above.map(([, share]) => share)
      expect(across.map((share) => -share).reverse()).toEqual(across)
    }
  })

  it('have their glass within the cab', () => {
    for (const kind of ['panelVan', 'bus'] as const) {
      const { glass, noseMm } = bodyHints(kind, body)
      expect(glass.length).toBeGreaterThan(2)
      for (const [along, up] of glass) {
        expect(along).toBeLessThan(0)
        expect(along).toBeGreaterThan(-noseMm)
        expect(up).toBeGreaterThan(0)
        expect(up).toBeLessThan(body.heightMm)
      }
    }
  })
})
