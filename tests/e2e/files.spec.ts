import { expect, test, type Page } from '@playwright/test'
import DxfParser from 'dxf-parser'
import { startApp, type RunningApp } from './app.ts'

/** Drawing files against readers that are not ours: SVG against the browser's own geometry, our sheets against it and against a DXF parser. */
let app: RunningApp
test.beforeAll(async () => {
  app = await startApp(5089)
})
test.afterAll(async () => {
  await app.stop()
})

interface Point {
  sMm: number
  tMm: number
}

/** Numbers that are the same in every run (Park and Miller 1988). */
function random(seed: number): (low: number, high: number) => number {
  let state = seed
  return (low, high) => {
    state = (state * 48271) % 2147483647
    return low + ((high - low) * state) / 2147483647
  }
}

/** Points on the outline as the browser draws it, mm from the lower left corner of the page. */
async function inBrowser(page: Page, svg: string, id: string): Promise<Point[]> {
  await page.setContent(`<body style="margin:0">${svg}</body>`)
  return await page.evaluate((wanted) => {
    const root = document.querySelector('svg')!
    const box = root.getBoundingClientRect()
    const at = (document.getElementById(wanted) ?? document.querySelector(`[id^="${wanted}"]`)) as SVGElement
    const drawn = at instanceof SVGGeometryElement ? at : at.querySelector<SVGGeometryElement>('path,rect,circle,ellipse,polygon,polyline,line')!
    const matrix = drawn.getScreenCTM()!
    const length = drawn.getTotalLength()
    return Array.from({ length: 2000 }, (_, i) => {
      const p = drawn.getPointAtLength((length * i) / 2000).matrixTransform(matrix)
      return { sMm: ((p.x - box.left) * 25.4) / 96, tMm: ((box.bottom - p.y) * 25.4) / 96 }
    })
  }, id)
}

function offEdge(p: Point, outline: Point[]): number {
  let least = Infinity
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!
    const [ds, dt] = [b.sMm - a.sMm, b.tMm - a.tMm]
    const share = Math.max(0, Math.min(1, ((p.sMm - a.sMm) * ds + (p.tMm - a.tMm) * dt) / (ds * ds + dt * dt || 1)))
    least = Math.min(least, Math.hypot(p.sMm - a.sMm - share * ds, p.tMm - a.tMm - share * dt))
  })
  return least
}
const box = (points: Point[]) => [
  Math.min(...points.map((p) => p.sMm)),
  Math.max(...points.map((p) => p.sMm)),
  Math.min(...points.map((p) => p.tMm)),
  Math.max(...points.map((p) => p.tMm)),
]

/** SVG with an outline that is reached through everything a drawing program writes. */
function drawings(): string[] {
  const r = random(7)
  const n = (low: number, high: number) => r(low, high).toFixed(2)
  const shapes = [
    () => `<rect x="${n(5, 20)}" y="${n(5, 20)}" width="${n(40, 90)}" height="${n(40, 90)}" rx="${n(0, 15)}"/>`,
    () => `<circle cx="${n(40, 60)}" cy="${n(40, 60)}" r="${n(10, 40)}"/>`,
    () => `<ellipse cx="${n(40, 60)}" cy="${n(40, 60)}" rx="${n(10, 40)}" ry="${n(10, 40)}"/>`,
    () => `<polygon points="10,10 ${n(60, 90)},${n(5, 30)} ${n(60, 90)},${n(60, 90)} ${n(5, 30)},${n(60, 90)}"/>`,
    () => `<path d="M10 10 H${n(60, 90)} q20 20 0 ${n(40, 60)} C70 90 40 ${n(70, 95)} 20 80 z"/>`,
    () => `<path d="m20 ${n(20, 30)} l50 0 a${n(25, 40)} ${n(25, 40)} ${n(0, 90)} 0 1 0 40 L20 70z"/>`,
  ]
  const frames = [
    () => `width="${n(200, 900)}mm" height="${n(200, 900)}mm" viewBox="0 0 110 ${n(100, 200)}"`,
    () => `width="${n(20, 50)}cm" height="${n(20, 50)}cm" viewBox="${n(-20, 0)} ${n(-20, 0)} 140 140" preserveAspectRatio="xM${r(0, 1) < 0.5 ? 'in' : 'ax'}YM${r(0, 1) < 0.5 ? 'in' : 'ax'} meet"`,
    () => `width="${n(8, 20)}in" height="${n(8, 20)}in" viewBox="0 0 120 120" preserveAspectRatio="none"`,
    () => `width="${n(300, 600)}pt" height="${n(300, 600)}pt"`,
  ]
  const moves = [
    (x: string) => `<g transform="translate(${n(-5, 15)} ${n(-5, 15)}) rotate(${n(-20, 20)} 50 50)">${x}</g>`,
    (x: string) => `<g transform="matrix(${n(0.6, 1)} ${n(-0.1, 0.1)} ${n(-0.1, 0.1)} ${n(0.6, 1)} 3 4)"><g transform="skewX(${n(-9, 9)})">${x}</g></g>`,
    (x: string) => `<g style="transform: translate(${n(0, 9)}px, ${n(0, 9)}px) scale(${n(0.6, 1)})">${x}</g>`,
    (x: string) => `<svg x="${n(0, 9)}" y="${n(0, 9)}" width="100" height="100" viewBox="0 0 ${n(100, 130)} 120">${x}</svg>`,
    (x: string) => x,
  ]
  const pick = <T>(all: T[]): T => all[Math.floor(r(0, all.length - 0.001))]!
  return Array.from({ length: 30 }, (_, i) => {
    const shape = pick(shapes)().replace('<', '<').replace(/^<(\w+)/, `<$1 id="OUTLINE"`)
    const body = i % 6 === 5 ? `<defs>${shape.replace('id="OUTLINE"', 'id="drawn"')}</defs><use id="OUTLINE" href="#drawn" x="${n(0, 9)}" y="${n(0, 9)}"/>` : shape
    return `<svg xmlns="http://www.w3.org/2000/svg" ${pick(frames)()}>${pick(moves)(pick(moves)(body))}</svg>`
  })
}

test('an outline in SVG comes in where the browser draws it', async ({ page, request }) => {
  let [worst, compared] = [0, 0]
  for (const svg of drawings()) {
    const answer = await request.post(`${app.url}/api/drawings/read`, { data: svg, headers: { 'Content-Type': 'image/svg+xml' } })
    const read = (await answer.json()) as { outline: Point[]; detail?: string }
    // What a nested page cuts off is cut off here too, which getPointAtLength does not know.
    const cut = svg.includes('<svg x=')
    expect(answer.status(), `${svg} ${read.detail}`).toBe(200)
    // A use draws a copy, which the browser gives no geometry of: its first child does, moved by the use.
    if (svg.includes('<use')) continue
    const drawn = await inBrowser(page, svg, 'OUTLINE')
    if (cut && box(drawn).some((edge, i) => Math.abs(edge - box(read.outline)[i]!) > 0.2)) continue
    compared++
    for (const p of drawn) worst = Math.max(worst, offEdge(p, read.outline))
    box(drawn).forEach((edge, i) => expect(Math.abs(edge - box(read.outline)[i]!), svg).toBeLessThan(0.25))
  }
  expect(compared).toBeGreaterThan(15)
  // A corner between two of the points that were asked for is missed by a tenth at most.
  // Half of it is how far straight edges may lie off a curve; the rest is single precision over a metre.
  expect(worst).toBeLessThan(0.1)
})

/** The bounds of a layer as the DXF parser reads it; arcs by their ends and quarter points. */
function layerBox(file: string, layer: string): number[] {
  const points: Point[] = []
  for (const e of new DxfParser().parseSync(file)!.entities.filter((one) => one.layer === layer) as unknown as Record<string, unknown>[]) {
    const vertices = (e.vertices ?? []) as { x: number; y: number }[]
    vertices.forEach((v) => points.push({ sMm: v.x, tMm: v.y }))
    if (e.type === 'ARC' || e.type === 'CIRCLE') {
      const c = e.center as { x: number; y: number }
      const [from, to] = e.type === 'CIRCLE' ? [0, 2 * Math.PI] : [e.startAngle as number, e.endAngle as number]
      const sweep = (((to - from) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI
      for (let i = 0; i <= 64; i++) {
        const a = from + (sweep * i) / 64
        points.push({ sMm: c.x + (e.radius as number) * Math.cos(a), tMm: c.y + (e.radius as number) * Math.sin(a) })
      }
    }
  }
  return box(points)
}

test('the sheets of random openings on every panel are the same to a DXF parser and to the browser, and come back in', async ({ page, request }) => {
  const r = random(11)
  const vehicles = (await (await request.get(`${app.url}/api/vehicles`)).json()) as { id: string }[]
  const fittings = (await (await request.get(`${app.url}/api/fittings`)).json()) as { id: string; value: { cutOut: { cornerRadiusMm: number } } }[]
  let compared = 0
  const kinds = new Set<string>()
  for (const vehicle of vehicles) {
    const shell = await (await request.get(`${app.url}/api/vehicles/${vehicle.id}/shell`)).json()
    for (const panel of shell.panels) {
      const edge = box(panel.value.outline)
      for (let k = 0; k < 3; k++) {
        const value = {
          name: `Random ${panel.id} ${k}`,
          fittingId: fittings[Math.floor(r(0, fittings.length - 0.001))]!.id,
          centre: { sMm: Math.round(r(edge[0]!, edge[1]!)), tMm: Math.round(r(edge[2]!, edge[3]!)) },
          turnDeg: [0, 90, 180, 270][Math.floor(r(0, 3.999))],
          wallMm: null,
          schools: { ribInTheWay: 'cutSecondary', cutSize: r(0, 1) < 0.5 ? 'wasteSide' : 'withClearance' },
          state: 'planned',
          asCut: null,
          notes: '',
        }
        const added = await request.post(`${app.url}/api/vehicles/${vehicle.id}/panels/${panel.id}/openings`, { data: value })
        if (added.status() !== 200) continue
        const { id } = await added.json()
        for (const view of ['outside', 'inside']) {
          const at = `${app.url}/api/vehicles/${vehicle.id}/openings/${id}/sheet`
          const dxf = await request.get(`${at}.dxf?view=${view}`)
          if (dxf.status() !== 200) continue
          const file = await dxf.text()
          const svg = await (await request.get(`${at}.svg?view=${view}`)).text()
          const cut = layerBox(file, 'CUT')
          await page.setContent(`<body style="margin:0">${svg}</body>`)
          const drawn = await page.evaluate(() => {
            const root = document.querySelector('svg')!
            const all = [...root.querySelectorAll<SVGGraphicsElement>('#CUT *')].map((e) => e.getBBox())
            return [Math.min(...all.map((b) => b.x)), Math.max(...all.map((b) => b.x + b.width)), Math.min(...all.map((b) => b.y)), Math.max(...all.map((b) => b.y + b.height))]
          })
          expect(drawn[1]! - drawn[0]!, `${panel.value.kind} ${view}`).toBeCloseTo(cut[1]! - cut[0]!, 1)
          expect(drawn[3]! - drawn[2]!, `${panel.value.kind} ${view}`).toBeCloseTo(cut[3]! - cut[2]!, 1)
          for (const [text, type] of [
            [file, 'application/dxf'],
            [svg, 'image/svg+xml'],
          ]) {
            const back = await request.post(`${app.url}/api/drawings/read?unit=mm`, { data: text, headers: { 'Content-Type': type! } })
            const read = await back.json()
            expect(back.status(), `${panel.value.kind} ${type} ${read.detail}`).toBe(200)
            const own = box(read.outline)
            expect(own[1]! - own[0]!).toBeCloseTo(cut[1]! - cut[0]!, 1)
            expect(own[3]! - own[2]!).toBeCloseTo(cut[3]! - cut[2]!, 1)
          }
          compared++
          kinds.add(panel.value.kind)
        }
      }
    }
  }
  expect(compared).toBeGreaterThan(20)
  expect(kinds.size).toBeGreaterThan(4)
})
