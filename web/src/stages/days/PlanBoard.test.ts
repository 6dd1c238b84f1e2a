// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { ref } from 'vue'
import { expect, test, vi } from 'vitest'
import { i18n } from '@/app/texts'
import PlanBoard from './PlanBoard.vue'
import type { PlanLine } from './usePlan'

vi.mock('@vueuse/core', async (original) => ({
  ...(await original<typeof import('@vueuse/core')>()),
  // 114 px for the days, 13 hours of 100 px.
  useElementSize: () => ({ width: ref(1414), height: ref(300) }),
}))
const at = (day: number, clock: string) => `2031-05-${day}T${clock}:00+01:00`
const key = { job: { kind: 'own' as const, id: 'o' }, key: 'own' }
const line = {
  key,
  name: 'Board',
  title: 'Collect the board',
  panelId: null,
  steps: [],
  minutes: 60,
  hands: 1,
  opensShell: false,
  mark: null,
  trouble: 'Rain from 09:00.',
  kept: {
    task: key,
    from: at(13, '09:00'),
    until: at(13, '10:00'),
    readyAt: at(13, '10:00'),
    opensShell: false,
    hands: [{ name: 'Ada', from: at(13, '09:00'), until: at(13, '10:00') }],
    isForeseen: true,
    covered: [],
  },
} satisfies PlanLine
const board = () =>
  mount(PlanBoard, {
    props: {
      lines: [line],
      hours: [],
      people: ['Ada'],
      now: at(13, '08:00'),
      chosen: null,
      starts: () => Promise.resolve([{ from: at(13, '12:00'), until: at(13, '14:00') }]),
    },
    global: { plugins: [i18n] },
    attachTo: document.body,
  })

test('a bar lies in its hours, is red with its reason, and a tap chooses it', async () => {
  const plan = board()
  const bar = plan.get('button.bar')
  expect(bar.attributes('style')).toContain('left: 200px')
  expect(bar.classes()).toContain('wrong')
  expect(bar.attributes('title')).toBe('09:00–10:00 Collect the board. Ada. Rain from 09:00.')
  await bar.trigger('pointerdown', { clientX: 10, clientY: 10 })
  await plan.get('[data-testid=plan-board]').trigger('pointerup')
  expect(plan.emitted('choose')).toEqual([[key]])
  expect(plan.emitted('move')).toBeUndefined()
})

test('held and moved it goes to the nearest slot at which it may begin', async () => {
  const plan = board()
  const row = plan.get('[data-day="2031-05-13"]').element
  document.elementsFromPoint = () => [row]
  await plan.get('button.bar').trigger('pointerdown', { clientX: 100, clientY: 10 })
  await flushPromises()
  const held = plan.get('[data-testid=plan-board]')
  await held.trigger('pointermove', { clientX: 103, clientY: 10 })
  expect(plan.find('.ghost').exists()).toBe(false)
  // 430 px to the right: 13:18, nearest to half past one.
  await held.trigger('pointermove', { clientX: 530, clientY: 10 })
  expect(plan.get('.ghost').attributes('style')).toContain('left: 650px')
  expect(plan.findAll('.may')).toHaveLength(5)
  await held.trigger('pointerup')
  expect(plan.emitted('move')).toEqual([[key, '2031-05-13T12:30:00.000Z']])
})
