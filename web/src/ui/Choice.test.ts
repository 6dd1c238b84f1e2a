// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import Choice from './Choice.vue'

const options = (n: number) => Array.from({ length: n }, (_, i) => ({ value: `v${i}`, text: `Choice ${i}` }))
const list = (n: number) =>
  mount(Choice<string>, { props: { modelValue: 'v1', label: 'Kind', options: options(n) }, attachTo: document.body })

describe('a list to choose from', () => {
  it('has its label, and says whether it is open', async () => {
    const shown = list(3)
    await flushPromises()
    const input = shown.find('[role=combobox]')
    expect(shown.find('label').attributes('for')).toBe(input.attributes('id'))
    expect(input.attributes('aria-expanded')).toBe('false')
    expect(input.attributes('aria-controls')).toBeUndefined()
    await shown.find('.ant-select-selector').trigger('mousedown')
    await flushPromises()
    expect(input.attributes('aria-expanded')).toBe('true')
    expect(input.attributes('aria-controls')).toBe(`${input.attributes('id')}_list`)
    shown.unmount()
  })

  it('can be searched when it is long', async () => {
    const short = list(8)
    const long = list(9)
    await flushPromises()
    expect(short.find('.ant-select-show-search').exists()).toBe(false)
    expect(long.find('.ant-select-show-search').exists()).toBe(true)
    short.unmount()
    long.unmount()
  })

  it('hands out what was chosen', async () => {
    const shown = list(3)
    await shown.find('.ant-select-selector').trigger('mousedown')
    await flushPromises()
    const option = [...document.querySelectorAll('.ant-select-item-option')].find((o) => o.textContent === 'Choice 2')!
    option.dispatchEvent(new MouseEvent('click', { bubbles: true }))
    await flushPromises()
    expect(shown.emitted('update:modelValue')).toEqual([['v2']])
    shown.unmount()
  })
})
