import { expect, it } from 'vitest'
import { newName, wasOffered } from './newName'

it('offers the plain name, then the next number that is free', () => {
  expect(newName('Vent', [])).toBe('Vent')
  expect(newName('Vent', ['Vent'])).toBe('Vent 2')
  expect(newName('Vent', ['Vent', 'Vent 2', 'Vent 4'])).toBe('Vent 3')
  expect(newName('Vent', ['Vent 2'])).toBe('Vent')
})

it('knows a name that was typed from one that was offered', () => {
  const bases = ['Open seam', 'Open hole']
  for (const offered of ['', '  ', 'Open hole', 'Open seam 12']) expect(wasOffered(offered, bases)).toBe(true)
  for (const typed of ['Open seam at the step', 'Open seam 2b', 'Hole', 'Open seams'])
    expect(wasOffered(typed, bases)).toBe(false)
})
