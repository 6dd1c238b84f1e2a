import { shallowRef } from 'vue'
import { cache } from '@/api/cache'
import { copyOf } from './copy'

/** Plain data of a record, as it goes over the wire. */
type Plain = Record<string, unknown>

/** A field that two people have filled in differently. */
export interface Difference {
  /** Names down to the field, such as `measures`, `lengthMm`. */
  path: readonly string[]
  mine: unknown
  theirs: unknown
  /** Whose stands unless somebody says otherwise: theirs where only they have changed it. */
  usual: 'mine' | 'theirs'
}

const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value)
const same = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null)
const at = (value: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((part, name) => (isPlain(part) ? part[name] : undefined), value)

/** The fields in which two versions of a record differ, in the order of the record. A list is one field. */
export function differences(mine: Plain, theirs: Plain, before: Plain | null, above: readonly string[] = []): Difference[] {
  return [...new Set([...Object.keys(mine), ...Object.keys(theirs)])].flatMap((name) => {
    const [own, other] = [mine[name], theirs[name]]
    if (same(own, other)) return []
    const path = [...above, name]
    if (isPlain(own) && isPlain(other)) return differences(own, other, before, path)
    const usual = before !== null && same(own, at(before, path)) ? ('theirs' as const) : ('mine' as const)
    return [{ path, mine: own, theirs: other, usual }]
  })
}

/** My version with the fields that I leave as the other has them. */
export function together(mine: Plain, theirs: readonly Difference[]): Plain {
  const whole = copyOf(mine)
  for (const { path, theirs: value } of theirs) {
    const part = at(whole, path.slice(0, -1)) as Plain
    part[path.at(-1)!] = value
  }
  return whole
}

/** What a field is called, from its name: `measures`, `lengthMm` becomes `Measures: length`. */
export function fieldName(path: readonly string[]): string {
  const words = path.map((name) =>
    name
      .replace(/(?<=[a-z0-9])(Mm2|Mm|Kg|Deg|Percent|C|Id|Ids|At|On)$/, '')
      .replace(/([A-Z])/g, ' $1')
      .toLowerCase(),
  )
  const text = words.join(': ')
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** The row as it stood when somebody began to change it, where anything on screen still has it. */
export function rowBefore(id: string, version: number): Plain | null {
  const find = (data: unknown, deep: number): Plain | null => {
    if (typeof data !== 'object' || data === null || deep > 4) return null
    const row = data as { id?: unknown; version?: unknown; value?: unknown }
    if (row.id === id && isPlain(row.value)) return row.version === version ? row.value : null
    for (const part of Object.values(data)) {
      const found = find(part, deep + 1)
      if (found) return found
    }
    return null
  }
  for (const query of cache.getQueryCache().getAll()) {
    const found = find(query.state.data, 0)
    if (found) return found
  }
  return null
}

/** Two versions that are to become one, and how it is answered: with the fields to save, or null to leave it. */
export interface TwoVersions {
  mine: Plain
  differences: Difference[]
  decide: (whole: Plain | null) => void
}

/** What somebody has to decide right now; one at a time. */
export const twoVersions = shallowRef<TwoVersions | null>(null)

/** Asks which fields of two versions are to stand. */
export async function whichStands(mine: Plain, theirs: Plain, before: Plain | null): Promise<Plain | null> {
  const found = differences(mine, theirs, before)
  if (found.length === 0) return mine
  // Whoever asks while another answer is still wanted is told to come back.
  if (twoVersions.value) return null
  return await new Promise((resolve) => {
    twoVersions.value = {
      mine,
      differences: found,
      decide: (whole) => {
        twoVersions.value = null
        resolve(whole)
      },
    }
  })
}
