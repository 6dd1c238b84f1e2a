// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { i18n } from '@/app/texts'
import type { Schemas, Stored } from '@/api/client'
import type { Viewport } from '@/drawing/viewport'
import FloorLayer from './FloorLayer.vue'

/** Probes, boards and cuts on a floor, half a pixel a millimetre. */
const view = {
  x: (s: number) => s / 2,
  y: (t: number) => t / 2,
  scale: { value: 0.5 },
  path: (points: { sMm: number; tMm: number }[]) => `M${points.map((p) => `${p.sMm / 2} ${p.tMm / 2}`).join('L')}Z`,
} as unknown as Viewport
const probe = (id: string, of: Schemas['ProbeOf'], wood: Schemas['WoodState'], moisturePercent: number | null) =>
  ({
    id,
    version: 1,
    ownerId: 'p',
    value: { of, at: { sMm: 200, tMm: 100 }, wood, moisturePercent, takenAt: '2026-06-01T09:00:00Z', notes: '' },
  }) as Stored<Schemas['Probe']>
const layer = (still = false) =>
  mount(FloorLayer, {
    global: { plugins: [i18n] },
    props: {
      view,
      probes: [probe('a', 'board', 'soft', 28), probe('b', 'member', 'sound', null)],
      boards: [],
      cuts: [
        {
          id: 'c',
          name: 'Soft board',
          state: 'planned',
          cut: [
            [
              { sMm: 0, tMm: 0 },
              { sMm: 400, tMm: 0 },
              { sMm: 400, tMm: 200 },
            ],
          ],
        },
      ],
      still,
    },
  })

test('a probe says by shape what was probed, and in words how it is', () => {
  const [board, member] = layer().findAll('[data-testid=probe]')
  expect(board!.find('circle').exists() && member!.find('rect').exists()).toBe(true)
  expect(board!.attributes('aria-label')).toBe('Board, Soft, 28 %')
  expect(member!.attributes('aria-label')).toBe('Bearer, Sound')
  expect(board!.attributes('transform')).toBe('translate(100.0 50.0)')
})

test('probes and cuts are opened by finger and by key, and lie still where nothing is opened', async () => {
  const drawn = layer()
  await drawn.find('[data-testid=probe]').trigger('click')
  await drawn.find('.cut').trigger('keydown', { key: 'Enter' })
  expect(drawn.emitted()).toMatchObject({ probe: [['a']], cut: [['c']] })
  expect(layer(true).find('[data-testid=probe]').attributes('role')).toBe('img')
})

test('the name of a cut stands at its foot, off its probes', () => {
  const name = layer().find('.cut text')
  expect([name.attributes('x'), name.attributes('y')]).toEqual(['100', '92'])
})
