// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { beforeEach, expect, test } from 'vitest'
import { i18n } from '@/app/texts'
import AirInputs from './AirInputs.vue'
import { air, airBy, airHours, forecastAir } from './useAir'

const shown = () => mount(AirInputs, { global: { plugins: [i18n] } })
const choices = (of: ReturnType<typeof shown>) => of.findAll('button[aria-pressed]').map((b) => b.text())

beforeEach(() => {
  forecastAir.value = null
  air.value = { byForecast: true, steady: false, dayC: 16, dayPercent: 65, nightC: 8, nightPercent: 85 }
})

test('without a forecast days and nights are typed, and steady air is one hour', () => {
  expect(choices(shown())).toEqual(['Days and nights', 'Steady air'])
  expect(airBy.value).toBe('dayNight')
  expect(airHours.value).toHaveLength(720)
  expect([airHours.value[0]!.airC, airHours.value[12]!.airC, airHours.value[24]!.airC]).toEqual([16, 8, 16])
  airBy.value = 'steady'
  expect(airHours.value).toEqual([{ airC: 16, relativePercent: 65 }])
})

test('with a forecast its hours are taken, and after its end days and nights go on where they are', () => {
  forecastAir.value = Array.from({ length: 30 }, (_, i) => ({ airC: i, relativePercent: 50 }))
  const inputs = shown()
  expect(choices(inputs)).toEqual(['Forecast', 'Days and nights', 'Steady air'])
  expect(inputs.text()).toContain('Now 0 °C and 50 %, then hour by hour for 30 hours')
  expect(airHours.value).toHaveLength(720)
  expect(airHours.value[29]!.airC).toBe(29)
  // Hour 30 is the seventh of its day, hour 36 the first of its night.
  expect([airHours.value[30]!.airC, airHours.value[36]!.airC]).toEqual([16, 8])
})

test('who types instead is not overruled by the next forecast', async () => {
  forecastAir.value = [{ airC: 3, relativePercent: 50 }]
  airBy.value = 'dayNight'
  forecastAir.value = [{ airC: 4, relativePercent: 50 }]
  expect(airBy.value).toBe('dayNight')
  expect(airHours.value[0]!.airC).toBe(16)
})
