// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { i18n } from '@/app/texts'
import SkyKey from './SkyKey.vue'

test('nothing is dry until somebody says so, and what is over need not be said', async () => {
  const key = mount(SkyKey, { props: { part: 'Morning', day: 'Mon', modelValue: null }, global: { plugins: [i18n] } })
  expect(key.get('button').attributes('aria-label')).toBe('Mon morning: Not set')
  await key.get('button').trigger('click')
  expect(key.emitted('update:modelValue')).toEqual([['dry']])
  await key.setProps({ over: true })
  expect(key.get('button').attributes('disabled')).toBeDefined()
  expect(key.text()).toContain('Over')
})

test('each tap says the next worse sky, and after the storm it is dry again; it is read aloud whole', async () => {
  const key = mount(SkyKey, { props: { part: 'Morning', day: 'Mon', modelValue: 'dry' }, global: { plugins: [i18n] } })
  expect(key.get('button').attributes('aria-label')).toBe('Mon morning: Dry')
  for (const next of ['showers', 'rain', 'storm', 'dry'] as const) {
    await key.get('button').trigger('click')
    expect(key.emitted('update:modelValue')!.at(-1)).toEqual([next])
    await key.setProps({ modelValue: next })
  }
  await key.setProps({ modelValue: 'storm' })
  expect(key.findAll('.drop')).toHaveLength(3)
  expect(key.find('.gust').exists()).toBe(true)
})
