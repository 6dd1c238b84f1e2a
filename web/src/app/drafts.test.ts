// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'

vi.mock('vue-router', () => ({ useRoute: () => ({ fullPath: '/here' }) }))
const stored = () => JSON.parse(localStorage.getItem('abri.drafts') ?? '{}') as Record<string, { what: string; value: unknown }>

/** A window of its own: what it knows it reads from the browser's store. */
async function open() {
  vi.resetModules()
  const { useDraft, useDrafts } = await import('./drafts')
  const typed = ref<{ text: string } | null>(null)
  let isTyped = () => false
  let list: ReturnType<typeof useDrafts> | null = null
  const shown = mount(
    defineComponent(() => {
      list = useDrafts()
      isTyped = useDraft({
        kind: () => 'note',
        typed: () => typed.value,
        what: () => `note ${typed.value?.text}`,
        take: (v) => (typed.value = v),
      })
      return () => h('div')
    }),
  )
  return { typed, isTyped: () => isTyped(), list: () => list!, shown }
}

beforeEach(() => localStorage.clear())
afterEach(() => vi.restoreAllMocks())

describe('what is typed and not saved', () => {
  it('is kept as soon as it differs from what the editor opened with, and forgotten once it is closed', async () => {
    const note = await open()
    note.typed.value = { text: '' }
    await flushPromises()
    expect(stored()).toEqual({})
    note.typed.value.text = 'wet'
    await flushPromises()
    expect(note.isTyped()).toBe(true)
    expect(Object.values(stored()).map((d) => d.what)).toEqual(['note wet'])
    note.typed.value = null
    await flushPromises()
    expect(stored()).toEqual({})
    expect(note.isTyped()).toBe(false)
  })

  it('is forgotten too when it is changed and closed in one go', async () => {
    const note = await open()
    note.typed.value = { text: '' }
    await flushPromises()
    note.typed.value.text = 'wet'
    await flushPromises()
    note.typed.value.text = 'saved as number 5'
    await Promise.resolve()
    note.typed.value = null
    await flushPromises()
    expect(stored()).toEqual({})
  })

  it('is offered after a reload, and taken up again as unsaved as it was', async () => {
    const before = await open()
    before.typed.value = { text: '' }
    await flushPromises()
    before.typed.value.text = 'wet'
    await flushPromises()
    const after = await open()
    expect(after.list().left.value.map((d) => d.what)).toEqual(['note wet'])
    after.list().takeUp(after.list().left.value[0]!.key)
    await flushPromises()
    expect(after.typed.value).toEqual({ text: 'wet' })
    expect(after.isTyped()).toBe(true)
    expect(after.list().left.value).toEqual([])
  })

  it('of two windows stands side by side', async () => {
    const one = await open()
    const other = await open()
    for (const [note, text] of [
      [one, 'first'],
      [other, 'second'],
    ] as const) {
      note.typed.value = { text: '' }
      await flushPromises()
      note.typed.value.text = text
      await flushPromises()
    }
    expect(Object.values(stored()).map((d) => d.what)).toEqual(['note first', 'note second'])
    one.typed.value = null
    await flushPromises()
    expect(Object.values(stored()).map((d) => d.what)).toEqual(['note second'])
  })

  it('is dropped on purpose, and the oldest go when there are many', async () => {
    localStorage.setItem(
      'abri.drafts',
      JSON.stringify(
        Object.fromEntries(
          Array.from({ length: 20 }, (_, i) => [`old ${i}`, { what: `${i}`, path: '/', at: `2031-05-${10 + i}`, value: 1 }]),
        ),
      ),
    )
    const note = await open()
    note.list().drop('old 5')
    expect(Object.keys(stored())).toHaveLength(19)
    note.typed.value = { text: '' }
    await flushPromises()
    for (const text of ['a', 'b']) {
      note.typed.value.text = text
      await flushPromises()
    }
    expect(Object.keys(stored())).toHaveLength(20)
  })

  it('survives a store that takes no more', async () => {
    const note = await open()
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    note.typed.value = { text: '' }
    await flushPromises()
    note.typed.value.text = 'wet'
    await flushPromises()
    expect(note.isTyped()).toBe(true)
    expect(note.typed.value).toEqual({ text: 'wet' })
  })
})
