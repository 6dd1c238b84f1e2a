import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

const root = fileURLToPath(new URL('..', import.meta.url))
const read = (name: string) => readFileSync(`${root}/${name}`, 'utf8')
const sources = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
  (name) => /\.(vue|css|ts)$/.test(name) && !/^api.|tokens\.css$|\.test\.ts$/.test(name),
)

it('names a colour in one place only', () => {
  const raw = /(?<!url\()#(?:[0-9a-f]{8}|[0-9a-f]{6}|[0-9a-f]{3,4})\b(?![\w-])|\b(?:rgba?|hsla?)\(/i
  const found = sources.flatMap((name) =>
    read(name)
      .split('\n')
      .flatMap((line, i) => (raw.test(line) ? [`${name}:${i + 1} ${line.trim()}`] : [])),
  )
  expect(found).toEqual([])
})

it('uses every token, and none that there is not', () => {
  const there = [...read('app/tokens.css').matchAll(/--([\w-]+):/g)].map((m) => m[1]!)
  const used = new Set(
    sources.flatMap((name) => [...read(name).matchAll(/var\(--([\w-]+)|token\('([\w-]+)'\)/g)].map((m) => m[1] ?? m[2]!)),
  )
  expect([...used].filter((name) => !there.includes(name))).toEqual([])
  expect(there.filter((name) => !used.has(name))).toEqual([])
})
