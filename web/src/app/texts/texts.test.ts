import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import openapi from '@/api/openapi.json'
import { en } from './en'

const root = fileURLToPath(new URL('../..', import.meta.url))
const sources = readdirSync(root, { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.(vue|ts)$/.test(name) && !/schema\.ts$|\.test\.ts$|^app.texts/.test(name))
  .map((name) => ({ name, text: readFileSync(`${root}/${name}`, 'utf8') }))

/** What stands at a key of the catalogue; undefined where nothing does. */
const at = (key: string): unknown =>
  key.split('.').reduce<unknown>((part, word) => (part as Record<string, unknown> | undefined)?.[word], en)
const enumOf = (name: keyof typeof openapi.components.schemas) =>
  ((openapi.components.schemas[name] as { enum?: unknown[] }).enum ?? []).filter((v) => typeof v === 'string') as string[]

/** Groups of texts that are looked up by a word of the server: each word needs its text. */
const groups: Record<string, keyof typeof openapi.components.schemas> = {
  'findings.kinds': 'FindingKind',
  'findings.severities': 'Severity',
  'findings.states': 'FindingState',
  'findings.shapes': 'FindingShape',
  'fittings.kinds': 'FittingKind',
  fittings: 'Side',
  'leaks.kinds': 'SuspectKind',
  'leaks.conditions': 'Condition',
  'leaks.winds': 'WindFrom',
  'leaks.states': 'LeakState',
  'leaks.observationKinds': 'ObservationKind',
  'openings.state': 'OpeningState',
  'panels.kinds': 'PanelKind',
  'sealing.adhesion': 'Adhesion',
  'sealing.event': 'JointEventKind',
  'sealing.family': 'ProductFamily',
  'sealing.kind': 'JointKind',
  'sealing.setting': 'Setting',
  'sealing.state': 'CureState',
  'sealing.substrate': 'Substrate',
  'asCut.fit': 'Fit',
  'vehicles.kinds': 'VehicleKind',
  'walkaround.materials': 'SkinMaterial',
  'walkaround.memberKinds': 'MemberKind',
  'walkaround.memberMaterials': 'MemberMaterial',
  'walkaround.roles': 'MemberRole',
  'walkaround.zoneKinds': 'ZoneKind',
  'waysOut.kinds': 'CoveringKind',
  'waysOut.laps': 'Lap',
  'steps.place': 'WorkPlace',
  worked: 'SourceKind',
}

describe('the catalogue of texts', () => {
  it('has every key that is written out in the code', () => {
    const tops = Object.keys(en).join('|')
    const written = new RegExp(`'((?:${tops})(?:\\.[A-Za-z][\\w-]*)+)'`, 'g')
    const missing = sources.flatMap(({ name, text }) =>
      [...text.matchAll(written)]
        .filter((m) => !m[1]!.endsWith('.pdf') && at(m[1]!) === undefined)
        .map((m) => `${name}: ${m[1]}`),
    )
    expect(missing).toEqual([])
  })

  it('has the group of every key that is put together', () => {
    const put = /\bt\(\s*`([\w.]+)\.\$\{/g
    const found = sources.flatMap(({ name, text }) => [...text.matchAll(put)].map((m) => ({ name, group: m[1]! })))
    expect(found.length).toBeGreaterThan(50)
    expect(found.filter((f) => typeof at(f.group) !== 'object')).toEqual([])
  })

  it('has no text that nothing shows', () => {
    const all = sources.map((s) => s.text).join('\n')
    const written = new Set([...all.matchAll(/['"`]([A-Za-z][\w-]*(?:\.[\w-]+)+)['"`]/g)].map((m) => m[1]!))
    const begun = new Set(
      [...all.matchAll(/(?:`([A-Za-z][\w-]*(?:\.[\w-]+)*)\.\$\{|'([A-Za-z][\w-]*(?:\.[\w-]+)*)\.' \+)/g)].map(
        (m) => m[1] ?? m[2]!,
      ),
    )
    const texts = (part: unknown, key: string): string[] =>
      typeof part === 'object' && part !== null && !Array.isArray(part)
        ? Object.entries(part).flatMap(([word, below]) => texts(below, key ? `${key}.${word}` : word))
        : [key]
    const shown = (key: string) =>
      key.split('.').some((_, i, words) => {
        const first = words.slice(0, i + 1).join('.')
        return written.has(first) || (i + 1 < words.length && begun.has(first))
      })
    expect(texts(en, '').filter((key) => !shown(key))).toEqual([])
  })

  it.each(Object.entries(groups))('%s has every word of %s', (group, name) => {
    const words = enumOf(name)
    expect(words.length).toBeGreaterThan(0)
    expect(words.filter((word) => typeof at(`${group}.${word}`) !== 'string')).toEqual([])
  })
})
