// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import Switch from './Switch.vue'

const choices = [
  { key: 'a', text: 'Members' },
  { key: 'b', text: 'Shape', disabled: true },
  { key: 'c', text: 'Surface' },
]
const row = (modelValue: string, tabs = true) =>
  mount(Switch<string>, { props: { modelValue, choices, tabs, label: 'Panel' }, attachTo: document.body })

describe('a row of choices', () => {
  it.each([
    ['a', 'ArrowRight', 'c'],
    ['c', 'ArrowRight', 'a'],
    ['a', 'ArrowLeft', 'c'],
    ['c', 'Home', 'a'],
    ['a', 'End', 'c'],
  ])('goes from %s by %s to %s, past what is shut', async (from, key, to) => {
    const shown = row(from)
    await shown.trigger('keydown', { key })
    expect(shown.emitted('update:modelValue')).toEqual([[to]])
    shown.unmount()
  })

  it('is one stop for Tab, and says which one holds', () => {
    const shown = row('c')
    expect(shown.findAll('[role=tab]').map((b) => [b.attributes('tabindex'), b.attributes('aria-selected')])).toEqual([
      ['-1', 'false'],
      ['-1', 'false'],
      ['0', 'true'],
    ])
    shown.unmount()
    const none = row('x', false)
    expect(none.findAll('button').map((b) => b.attributes('tabindex'))).toEqual(['0', '0', '0'])
    none.unmount()
  })

  it('leaves Alt with an arrow to the drawing, and every arrow where it is no row of tabs', async () => {
    for (const [shown, altKey] of [[row('a'), true] as const, [row('a', false), false] as const]) {
      await shown.trigger('keydown', { key: 'ArrowRight', altKey })
      expect(shown.emitted('update:modelValue')).toBeUndefined()
      shown.unmount()
    }
  })
})
