// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import type { Schemas } from '@/api/client'
import { i18n } from '@/app/texts'
import GateAside from './GateAside.vue'

const line = (title: string, state: 'good' | 'needsWork' | 'blocked', item: Schemas['ReadyItem'] | null = null) => ({
  title,
  state,
  item,
  why: `why ${title}`,
})
const gate = (ready: ReturnType<typeof line>[], cover = true): Schemas['JobGate'] => ({
  job: { kind: 'opening', id: 'o' },
  panelId: 'p',
  name: 'Vent',
  headline: '',
  state: 'go',
  gate: null,
  ready,
  cover: cover
    ? {
        result: {
          lengthMm: 700,
          widthMm: 600,
          tapeMm: 5200,
          ways: [
            { id: 'sheet', title: 'Tape a sheet over it', do: 'Low side first.', minutes: 12, materials: ['Sheet', 'Tape'] },
          ],
        },
        steps: [],
        sources: [],
        warnings: [],
      }
    : null,
})
const shown = (of: Schemas['JobGate']) => mount(GateAside, { props: { gate: of }, global: { plugins: [i18n] } })

test('what the program can tell is not ticked, what it cannot is, and what is left is counted', async () => {
  const aside = shown(
    gate([line('Its place', 'needsWork'), line('What seals it', 'good'), line('Looked behind', 'needsWork', 'behindSeen')]),
  )
  expect(aside.text()).toContain('Vent. 2 left.')
  const boxes = aside.findAll('input[type=checkbox]')
  expect(boxes).toHaveLength(1)
  await boxes[0]!.setValue(true)
  expect(aside.emitted('tick')).toEqual([['behindSeen', true]])
})

test('a tick is taken away again, and with nothing left it says so', async () => {
  const aside = shown(gate([line('Looked behind', 'good', 'behindSeen')]))
  expect(aside.text()).toContain('Nothing left.')
  await aside.get('input[type=checkbox]').setValue(false)
  expect(aside.emitted('tick')).toEqual([['behindSeen', false]])
})

test('the cover is told with its size, its tape and the ways to shut the hole', () => {
  const aside = shown(gate([]))
  expect(aside.text()).toContain('Cover 700 mm × 600 mm, 5.2 m of tape.')
  expect(aside.text()).toContain('Tape a sheet over it 12 min')
  expect(aside.text()).toContain('Sheet, Tape')
  expect(shown(gate([], false)).text()).not.toContain('If the weather turns')
})
