// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { ref } from 'vue'
import { expect, test, vi } from 'vitest'
import { i18n } from '@/app/texts'
import RiskChart from './RiskChart.vue'
import RunBars from './RunBars.vue'

vi.mock('@vueuse/core', async (original) => ({
  ...(await original<typeof import('@vueuse/core')>()),
  useElementSize: () => ({ width: ref(590), height: ref(100) }),
}))
const at = (clock: string) => `2031-05-12T${clock}:00+01:00`

test('steps lie in their hours, a cover in its own, and the end is where rain does no more harm', () => {
  const run = mount(RunBars, {
    props: {
      run: {
        steps: [
          { title: 'Cut', from: at('08:00'), to: at('09:00') },
          { title: 'Set it', from: at('10:00'), to: at('11:00') },
        ],
        covered: [{ title: 'Cover', from: at('09:00'), to: at('10:00') }],
        safeAt: at('12:00'),
      },
      now: at('07:00'),
    },
    global: { plugins: [i18n] },
  })
  // 590 px less 190 for words: 400 px for four hours.
  expect(run.findAll('.step').map((s) => [Number(s.attributes('x')), Number(s.attributes('width'))])).toEqual([
    [0, 100],
    [200, 100],
  ])
  expect([Number(run.get('.cover').attributes('x')), Number(run.get('.cover').attributes('width'))]).toEqual([100, 100])
  expect(run.text()).toContain('08:00 Cut')
  expect(run.text()).toContain('09:00–10:00 Cover over the hole')
  expect(run.get('.end').text()).toBe('safe from rain 12:00')
})

test('the risk is as high as its chance, and the best times are marked where they are', () => {
  const chart = mount(RiskChart, {
    props: {
      curve: {
        starts: [0.5, 0.25, 1].map((chance, i) => ({ at: at(`0${8 + i}:00`.slice(-5)), chance, wetMinutes: 0 })),
        best: [{ at: at('09:00'), chance: 0.25, wetMinutes: 0 }],
        verdict: '',
      },
      now: at('07:00'),
    },
    global: { plugins: [i18n] },
  })
  const best = chart.get('.best')
  // 550 px for three beginnings from 40 on; 92 px high under 8.
  expect(Number(best.attributes('cx'))).toBeCloseTo(40 + 275)
  expect(Number(best.attributes('cy'))).toBeCloseTo(8 + 92 * 0.75)
  expect(chart.text()).toContain('09:00: 25 %')
})
