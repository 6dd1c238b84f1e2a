// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, test, vi } from 'vitest'
import type { Schemas } from '@/api/client'
import { i18n } from '@/app/texts'
import PeopleCard from './PeopleCard.vue'

const person = (name: string, hours: Schemas['WorkDay'][]) => ({ id: name, version: 1, ownerId: 'v', value: { name, hours } })
const on = (day: Schemas['DayOfWeek'], fromHour = 8, toHour = 17.5): Schemas['WorkDay'] => ({ day, fromHour, toHour })
const setCare = vi.fn()
const shown = (people: ReturnType<typeof person>[], care = { slow: true, mostRainPercent: 20 }) =>
  mount(PeopleCard, {
    props: { people, care, stage: { setCare } as never },
    global: { plugins: [i18n], stubs: { PersonForm: true } },
  })

test('days with the same hours are told together, from Monday on', () => {
  const card = shown([
    person('Ada', [on('wednesday'), on('monday'), on('tuesday'), on('saturday', 10, 12)]),
    person('Bea', [on('sunday', 9, 9.25)]),
    person('Cy', []),
  ])
  const told = card.findAll('li').map((li) => li.text())
  expect(told[0]).toBe('AdaMon–Wed 8:00–17:30; Sat 10:00–12:00')
  expect(told[1]).toBe('BeaSun 9:00–9:15')
  expect(told[2]).toBe('Cyfree')
})

test('where nobody is written down it says who is taken to work', () => {
  expect(shown([]).text()).toContain('one person, every day from eight to six')
})

test('care is changed one part at a time', async () => {
  const card = shown([])
  const press = (text: string) => card.findAll('button').find((b) => b.text() === text)!
  expect(press('20 %').attributes('aria-pressed')).toBe('true')
  await press('Usual').trigger('click')
  expect(setCare).toHaveBeenLastCalledWith({ slow: false, mostRainPercent: 20 })
  await press('10 %').trigger('click')
  expect(setCare).toHaveBeenLastCalledWith({ slow: true, mostRainPercent: 10 })
})
