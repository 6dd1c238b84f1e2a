// Writes what the API's document declares of fields and enumerations, for forms: bounds.ts and enums.ts beside the document.
import { readFileSync, writeFileSync } from 'node:fs'
import { format, resolveConfig } from 'prettier'

const folder = new URL('../src/api/', import.meta.url).pathname
const out = process.argv[2] ?? folder
const { schemas } = JSON.parse(readFileSync(`${folder}openapi.json`, 'utf8')).components
const bounds = {}
const enums = {}
for (const [name, schema] of Object.entries(schemas)) {
  if (schema.enum) enums[name] = schema.enum
  for (const [field, of] of Object.entries(schema.properties ?? {})) {
    if (of.minimum === undefined) continue
    bounds[name] ??= {}
    bounds[name][field] = { least: of.minimum, most: of.maximum, label: of['x-label'], unit: of['x-unit'] ?? '' }
  }
}
const head = '// Written by web/scripts/api.sh from the API document: change the record in Core instead.\n'
const write = async (file, text) =>
  writeFileSync(`${out}/${file}`, await format(head + text, { ...(await resolveConfig(folder)), parser: 'typescript' }))
await write(
  'bounds.ts',
  `/** What a figure may be, what it is called at the beginning of a sentence, and its unit. */
   export interface Bounds { least: number; most: number; label: string; unit: string }
   export const bounds = ${JSON.stringify(bounds)} satisfies Record<string, Record<string, Bounds>>`,
)
await write(
  'enums.ts',
  `export const enums = {${Object.entries(enums)
    .map(([name, values]) => `${name}: ${JSON.stringify(values)}`)
    .join(',')}} as const`,
)
