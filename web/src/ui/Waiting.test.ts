// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { i18n } from '@/app/texts'
import Waiting from './Waiting.vue'

const shown = (wrong?: string) => mount(Waiting, { props: { wrong }, global: { plugins: [i18n] } })

it('shows the outline of a screen that is on its way, and says so to who cannot see it', () => {
  const waiting = shown()
  expect(waiting.get('[role=status]').attributes('aria-label')).toBe('Loading...')
  expect(waiting.find('.drawing').exists()).toBe(true)
  expect(waiting.find('[role=alert]').exists()).toBe(false)
})

it('says why it does not come instead', () => {
  const failed = shown('The program does not answer.')
  expect(failed.get('[role=alert]').text()).toBe('The program does not answer.')
  expect(failed.find('[role=status]').exists()).toBe(false)
})
