// @vitest-environment happy-dom
import { readFileSync } from 'node:fs'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { glossary } from '@/app/texts/glossary'
import Explained from './Explained.vue'
import { partsOf } from './explained'

const words = (text: string) => partsOf(text).flatMap((part) => part.word ?? [])

describe('a text with words of the trade', () => {
  it('is the same text again, whatever it explains', () => {
    for (const text of ['', 'Bows', 'Set the flange, not the flanges, on the bow.', 'No word of it', '  a swage '])
      expect(
        partsOf(text)
          .map((part) => part.text)
          .join(''),
      ).toBe(text)
  })

  it('explains a word once, in one or several, large or small', () => {
    expect(words('Bows carry it: a bow in front, a Flange behind.')).toEqual(['bow', 'flange'])
  })

  it('takes the whole word, and of two the longer one', () => {
    expect(words('Elbow grease, a bowl and a gasketless seal')).toEqual([])
    expect(words('Drill the pilot holes beside the cant rail')).toEqual(['pilot hole', 'cant rail'])
  })

  it('is reached with Tab, but breaks up no label', () => {
    const stops = (within: boolean) =>
      mount(Explained, { props: { text: 'Outer flange', within } })
        .get('.word')
        .attributes('tabindex')
    expect(stops(false)).toBe('0')
    expect(stops(true)).toBeUndefined()
  })

  it('tells the meaning when it has the focus', async () => {
    const shown = mount(Explained, { props: { text: 'Behind the datum' }, attachTo: document.body })
    await shown.get('.word').trigger('focus')
    await expect.poll(() => document.body.textContent).toContain(glossary.datum)
    shown.unmount()
  })

  it('explains only words that the glossary of the project has too', () => {
    const rows = readFileSync(`${import.meta.dirname}/../../../docs/glossary.md`, 'utf8')
      .split('\n')
      .filter((line) => line.startsWith('|'))
      .map((line) => line.split('|')[1]!.trim().toLowerCase())
    expect(Object.keys(glossary).filter((word) => !rows.some((row) => row.split(', ').includes(word)))).toEqual([])
  })
})
