// Fails when what the first screen loads is larger than the bar: script and style, gzipped, of the entry and what it imports at once.
import { gzipSync } from 'node:zlib'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const mostKb = 300
const root = fileURLToPath(new URL('../src/Abri.Server/wwwroot/', import.meta.url))
const html = readFileSync(root + 'index.html', 'utf8')
const seen = new Set()
const take = (file) => {
  if (seen.has(file)) return
  seen.add(file)
  const text = readFileSync(root + file, 'utf8')
  if (file.endsWith('.js')) for (const m of text.matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)) take(`assets/${m[1]}`)
}
for (const m of html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.(?:js|css))"/g)) take(m[1])
// The first screen of somebody who has a vehicle is Walkaround.
const main = readFileSync(root + [...seen].find((f) => /index-.*\.js$/.test(f)), 'utf8')
for (const m of main.matchAll(/assets\/((?:Walkaround|Home)-[^"']+\.(?:js|css))/g)) take(`assets/${m[1]}`)
const kb = [...seen].reduce((sum, f) => sum + gzipSync(readFileSync(root + f)).length, 0) / 1024
console.log(`First screen: ${kb.toFixed(1)} KB of script and style gzipped (bar: ${mostKb})`)
if (kb > mostKb) process.exit(1)
