// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/api/client'
import { useState } from '@/app/state'
import { i18n } from '@/app/texts'
import StepList from './StepList.vue'

const step = (of: Partial<Schemas['WorkStep']>): Schemas['WorkStep'] => ({
  number: 1,
  key: 'cut',
  title: 'Cut',
  do: 'Saw along the line.',
  tools: [],
  consumables: [],
  minutes: { quick: 10, likely: 20, slow: 40 },
  people: 1,
  place: 'roof',
  holds: [],
  cautions: [],
  shell: 'none',
  weather: { dry: false, windBelowMs: null, fromC: null, toC: null },
  waitHours: 0,
  after: [],
  ...of,
})
const hold = (of: Partial<Schemas['HoldPoint']>): Schemas['HoldPoint'] => ({
  name: 'Width of the hole',
  wanted: 400,
  less: 1,
  more: 1,
  unit: 'mm',
  ...of,
})
const shown = (...steps: Schemas['WorkStep'][]) => mount(StepList, { props: { steps }, global: { plugins: [i18n] } })

describe('steps of work', () => {
  it('say what they need: people, dry weather, wind, warmth, and how long they take', () => {
    const text = shown(
      step({
        people: 2,
        weather: { dry: true, windBelowMs: 8, fromC: 5, toC: 35 },
        minutes: { quick: 60, likely: 150, slow: 300 },
      }),
    ).text()
    for (const part of ['2', '8', '5', '35', '2.5']) expect(text).toContain(part)
    expect(shown(step({})).text()).not.toContain('35')
  })

  it('mark where the shell opens and closes', () => {
    const list = shown(
      step({ shell: 'opens' }),
      step({ key: 'set', number: 2, shell: 'closes' }),
      step({ key: 'test', number: 3 }),
    )
    expect(list.findAll('li').map((li) => li.classes())).toEqual([['opens'], ['closes'], ['none']])
    expect(list.findAll('.shell')).toHaveLength(2)
  })

  it.each([
    [hold({}), '400 mm', '1 mm'],
    [hold({ less: 1, more: 4 }), '399 mm', '404 mm'],
    [hold({ less: 0, more: 0, wanted: 3, unit: 'count' }), '3', '3'],
    [hold({ wanted: 12.5, less: 2, more: 2, unit: 'percent' }), '12.5 %', '2 %'],
  ])('say what is measured before the next step, with its tolerance', (point, first, second) => {
    const text = shown(step({ holds: [point] }))
      .find('.holds')
      .text()
    expect(text).toContain(first)
    expect(text).toContain(second)
  })

  it('ask for a look where nothing is measured', () => {
    const text = shown(
      step({ holds: [hold({ name: 'Bedding shows all round', wanted: null, less: null, more: null, unit: null })] }),
    )
    expect(text.find('.holds').text()).toBe('Bedding shows all round')
  })

  it('write lengths as the vehicle has them', () => {
    const { ownLengths } = useState()
    ownLengths.value = { units: 'inch', inchDenominator: 16 }
    expect(shown(step({ holds: [hold({ wanted: 406.4 })] })).text()).toContain('16"')
    ownLengths.value = { units: 'mm', inchDenominator: 16 }
  })

  it('warn, and say how long to wait', () => {
    const list = shown(step({ cautions: [{ id: 'glass', text: 'Glass: two people.' }], waitHours: 24 }))
    expect(list.find('.caution').text()).toBe('Glass: two people.')
    expect(list.text()).toContain('24')
    expect(shown(step({})).find('.caution').exists()).toBe(false)
  })
})
