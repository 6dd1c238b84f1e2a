// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/api/client'
import { i18n } from '@/app/texts'
import JudgementList from './JudgementList.vue'

const row = (of: Partial<Schemas['Judgement']>): Schemas['Judgement'] => ({
  id: 'loss',
  state: 'needsWork',
  title: '20 % of the sheet is gone',
  measured: 20,
  required: 10,
  unit: 'percent',
  why: 'It holds, with less to spare.',
  remedy: 'Treat it.',
  where: [],
  ...of,
})
const shown = (...rows: Schemas['Judgement'][]) => mount(JudgementList, { props: { rows }, global: { plugins: [i18n] } })

describe('what rules say', () => {
  it('shows state, figure, limit, reason and remedy', () => {
    const list = shown(row({}))
    expect(list.find('svg').attributes('aria-label')).toBe('needs work')
    for (const part of ['20 % of the sheet is gone', '20 %', '10 %', 'It holds', 'Treat it.']) expect(list.text()).toContain(part)
  })

  it('leaves out the limit of what is good, and a figure that there is not', () => {
    const good = shown(row({ state: 'good', title: 'Enough is left', measured: 5, required: 10, remedy: null }))
    expect(good.find('.figure').text()).toBe('5 %')
    expect(good.find('.remedy').exists()).toBe(false)
    expect(
      shown(row({ measured: null, required: null }))
        .find('.figure')
        .text(),
    ).toBe('')
  })

  it('shows in the drawing what is under the finger or has the focus, and lets go of it', async () => {
    const one = row({})
    const list = shown(one, row({ id: 'pits' }))
    const button = list.findAll('button')[0]!
    for (const event of ['mouseenter', 'mouseleave', 'focus', 'blur', 'click']) await button.trigger(event)
    expect(list.emitted('show')).toEqual([[one], [null], [one], [null], [one]])
  })
})
