import { afterEach, describe, expect, it } from 'vitest'
import { cache } from '@/api/cache'
import { differences, fieldName, rowBefore, together, twoVersions, whichStands } from './newer'

const before = { name: 'Rust', notes: '', measures: { lengthMm: 10, widthMm: null }, points: [1, 2] }
const mine = { ...before, name: 'Rust by the step', measures: { lengthMm: 12, widthMm: null } }
const theirs = { ...before, notes: 'wet', measures: { lengthMm: 14, widthMm: 5 } }

afterEach(() => cache.clear())

describe('two versions of a record', () => {
  it('are compared field by field, and what only one has changed is taken from that one', () => {
    expect(differences(mine, theirs, before).map((d) => [fieldName(d.path), d.mine, d.theirs, d.usual])).toEqual([
      ['Name', 'Rust by the step', 'Rust', 'mine'],
      ['Notes', '', 'wet', 'theirs'],
      ['Measures: length', 12, 14, 'mine'],
      ['Measures: width', null, 5, 'theirs'],
    ])
  })

  it('leave all to me where nobody knows what stood before', () => {
    expect(new Set(differences(mine, theirs, null).map((d) => d.usual))).toEqual(new Set(['mine']))
  })

  it('take a list as one field, and not told as not there', () => {
    expect(differences({ points: [1, 2] }, { points: [1, 3] }, null)).toHaveLength(1)
    expect(differences({ a: null }, {}, null)).toEqual([])
  })

  it('become one, with each field as it was chosen, and neither is touched', () => {
    const found = differences(mine, theirs, before)
    const whole = together(mine, [found[1]!, found[3]!])
    expect(whole).toEqual({ ...mine, notes: 'wet', measures: { lengthMm: 12, widthMm: 5 } })
    expect(mine.notes).toBe('')
    expect(together(mine, found)).toEqual(theirs)
  })

  it('ask nobody where they say the same', async () => {
    expect(await whichStands(mine, { ...mine }, before)).toEqual(mine)
    expect(twoVersions.value).toBeNull()
  })

  it('ask one thing at a time, and leave no save without an answer', async () => {
    const first = whichStands(mine, theirs, before)
    expect(await whichStands(mine, theirs, before)).toBeNull()
    twoVersions.value!.decide(mine)
    expect(await first).toEqual(mine)
  })

  it('wait for an answer, and can be left as they are', async () => {
    const answer = whichStands(mine, theirs, before)
    expect(twoVersions.value!.differences).toHaveLength(4)
    twoVersions.value!.decide(null)
    expect(await answer).toBeNull()
    expect(twoVersions.value).toBeNull()
  })
})

describe('what stood before', () => {
  it('is found in whatever was answered, if it is the version that was begun with', () => {
    cache.setQueryData(['shell'], {
      findings: [{ id: 'f1', version: 3, value: before }],
      floor: { rows: [{ id: 'r', version: 1, value: { a: 1 } }] },
    })
    expect(rowBefore('f1', 3)).toEqual(before)
    expect(rowBefore('r', 1)).toEqual({ a: 1 })
    expect(rowBefore('f1', 2)).toBeNull()
    expect(rowBefore('nobody', 1)).toBeNull()
  })
})

it.each([
  [['massKg'], 'Mass'],
  [['toleranceMinusMm'], 'Tolerance minus'],
  [['seenBy'], 'Seen by'],
  [['clearance', 'frontMm'], 'Clearance: front'],
  [['materialId'], 'Material'],
])('%j is called %s', (path, name) => expect(fieldName(path)).toBe(name))
