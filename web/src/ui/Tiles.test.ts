// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { h } from 'vue'
import { describe, expect, it } from 'vitest'
import Tiles from './Tiles.vue'

const options = [
  { value: 'a', text: 'Rust' },
  { value: 'b', text: 'Dent' },
  { value: 'c', text: 'Stain' },
]
const tiles = (modelValue: string | null) =>
  mount(Tiles<string>, {
    props: { label: 'What is wrong', options, modelValue },
    slots: { default: () => h('svg', { class: 'picture' }) },
    attachTo: document.body,
  })

describe('tiles', () => {
  it('say which one is chosen, and hand out another by a tap', async () => {
    const group = tiles('b')
    expect(group.findAll('[role=radio]').map((b) => b.attributes('aria-checked'))).toEqual(['false', 'true', 'false'])
    expect(group.findAll('.picture')).toHaveLength(3)
    await group.findAll('[role=radio]')[2]!.trigger('click')
    expect(group.emitted('update:modelValue')).toEqual([['c']])
  })

  it('are one stop for Tab: the chosen one, or the first', () => {
    expect(
      tiles('b')
        .findAll('[role=radio]')
        .map((b) => b.attributes('tabindex')),
    ).toEqual(['-1', '0', '-1'])
    expect(
      tiles(null)
        .findAll('[role=radio]')
        .map((b) => b.attributes('tabindex')),
    ).toEqual(['0', '-1', '-1'])
  })

  it.each([
    ['b', 'ArrowRight', 'c'],
    ['c', 'ArrowRight', 'a'],
    ['a', 'ArrowUp', 'c'],
    ['b', 'ArrowLeft', 'a'],
  ])('from %s by %s to %s, round the end', async (from, key, to) => {
    const group = tiles(from)
    await group.trigger('keydown', { key })
    expect(group.emitted('update:modelValue')).toEqual([[to]])
  })

  it('leave other keys alone', async () => {
    const group = tiles('a')
    await group.trigger('keydown', { key: 'x' })
    expect(group.emitted('update:modelValue')).toBeUndefined()
  })
})
