// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { ref } from 'vue'
import { expect, test, vi } from 'vitest'
import { i18n } from '@/app/texts'
import WeatherBand from './WeatherBand.vue'

vi.mock('@vueuse/core', async (original) => ({
  ...(await original<typeof import('@vueuse/core')>()),
  useElementSize: () => ({ width: ref(480), height: ref(100) }),
}))

/** Hours of two days from eight in the evening on: dark until six, rain of 40 and 80 % in the fourth and fifth hour. */
const hours = Array.from({ length: 48 }, (_, i) => {
  const clock = (20 + i) % 24
  const day = 12 + Math.floor((20 + i) / 24)
  return {
    at: `2031-05-${day}T${String(clock).padStart(2, '0')}:00:00+01:00`,
    hour: {
      airC: 10 + (clock === 15 ? 8 : 0),
      relativePercent: 60,
      windMs: 3,
      gustMs: 5,
      rainMm: 0,
      rainPercent: i === 3 ? 40 : i === 4 ? 80 : 0,
      cloudPercent: 50,
    },
    isDark: clock < 6,
    isTrusted: i < 40,
    roofC: null,
  }
})
const band = (compact = false) =>
  mount(WeatherBand, {
    props: {
      hours,
      windows: [{ from: '2031-05-13T08:00:00+01:00', until: '2031-05-13T16:00:00+01:00' }],
      now: '2031-05-12T20:30:00+01:00',
      label: 'Weather',
      compact,
    },
    global: { plugins: [i18n] },
  })

test('an hour is as wide as any other, and its rain as high as its chance', () => {
  const bars = band().findAll('.rain')
  expect(bars).toHaveLength(48)
  // 480 px for 48 hours; 210 px less 24 above and 40 below.
  expect(Number(bars[4]!.attributes('x'))).toBeCloseTo(40.5)
  expect(Number(bars[4]!.attributes('height'))).toBeCloseTo(0.8 * 146)
  expect(Number(bars[3]!.attributes('height'))).toBeCloseTo(0.4 * 146)
  expect(bars[4]!.classes()).toContain('wet')
  expect(bars[3]!.classes()).not.toContain('wet')
})

test('nights are shaded, what is not trusted is veiled, and a window lies under its hours', () => {
  const drawn = band()
  const nights = drawn.findAll('.night')
  expect(nights.map((n) => [Number(n.attributes('x')), Number(n.attributes('width'))])).toEqual([
    [40, 60],
    [280, 60],
  ])
  expect(Number(drawn.get('.untrusted').attributes('x'))).toBe(400)
  const window = drawn.get('.window')
  // Twelve hours after the first one, eight hours long.
  expect([Number(window.attributes('x')), Number(window.attributes('width'))]).toEqual([120, 80])
  expect(drawn.text()).toContain('08:00–16:00')
  expect(Number(drawn.get('.now').attributes('x1'))).toBeCloseTo(5)
})

test('the hour under the finger is told in words', async () => {
  const drawn = band()
  await drawn.get('svg').trigger('pointermove', { clientX: 45 })
  expect(drawn.get('.told').text()).toBe('Tue 00:00: 10 °C, rain 80 %, wind 3 m/s')
  await drawn.get('svg').trigger('pointerleave')
  expect(drawn.get('.told').text()).toBe('')
})

test('on the strip days are short and nothing is written below', () => {
  const drawn = band(true)
  expect(drawn.findAll('.name').map((n) => n.text())).toEqual(['Mon', 'Tue', 'Wed'])
  expect(drawn.find('.told').exists()).toBe(false)
  expect(drawn.find('.degrees').exists()).toBe(false)
})
