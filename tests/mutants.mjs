// What became of the mutants of a run, and those that nobody noticed.
import { readFileSync } from 'node:fs'
const report = JSON.parse(readFileSync(process.argv[2], 'utf8'))
const count = {}
for (const [file, { source, mutants }] of Object.entries(report.files)) {
  const lines = source.split('\n')
  for (const m of mutants) {
    if (['Ignored', 'CompileError'].includes(m.status)) continue
    count[m.status] = (count[m.status] ?? 0) + 1
    if (['Survived', 'NoCoverage'].includes(m.status))
      console.log(`${m.status} ${file.split('Abri.Core/').at(-1)}:${m.location.start.line} ${m.mutatorName}: ${lines[m.location.start.line - 1].trim()} -> ${m.replacement}`.slice(0, 220))
  }
}
const killed = (count.Killed ?? 0) + (count.Timeout ?? 0)
const all = Object.values(count).reduce((a, b) => a + b, 0)
console.log(`${killed} of ${all} noticed, ${Math.round((1000 * killed) / all) / 10} %`, JSON.stringify(count))
