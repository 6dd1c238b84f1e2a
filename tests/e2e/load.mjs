// Measures the server by itself: the record of a vehicle with 300 findings and 60 openings, and 50 clients for 30 s, 80 % reading. Needs the built program.
import { readFileSync } from 'node:fs'
import { crowded, percentile } from './crowded.mjs'

const { url, made, pid, startMs, end } = await crowded(5097)
const json = { 'Content-Type': 'application/json' }
const vehicle = `${url}/api/vehicles/${made.id}`
console.log(`cold start to the first answer: ${startMs.toFixed(0)} ms`)

const get = async (address, headers) => {
  const start = performance.now()
  const answer = await fetch(address, { headers })
  await answer.text()
  return { ms: performance.now() - start, answer }
}
/** Changes the notes of one finding, so that the record has to be read anew. */
async function change(finding, notes) {
  const address = `${vehicle}/findings/${finding.id}`
  const row = await (await fetch(address)).json()
  return fetch(address, {
    method: 'PUT',
    headers: { ...json, 'If-Match': `"${row.version}"` },
    body: JSON.stringify({ ...row.value, notes }),
  })
}
const shell = await (await fetch(`${vehicle}/shell`)).json()
const [anew, again, same] = [[], [], []]
for (let i = 0; i < 40; i++) {
  await change(shell.findings[i], `note ${i}`)
  const first = await get(`${vehicle}/shell`)
  anew.push(first.ms)
  again.push((await get(`${vehicle}/shell`)).ms)
  const unchanged = await get(`${vehicle}/shell`, { 'If-None-Match': first.answer.headers.get('etag') })
  if (unchanged.answer.status !== 304) throw new Error(`${unchanged.answer.status} where 304 was due`)
  same.push(unchanged.ms)
}
const median = (list) => percentile(list, 0.5).toFixed(1)
console.log(`whole shell over HTTP, medians of 40: ${median(anew)} ms after a change, ${median(again)} ms again, ${median(same)} ms as 304; bar 15 ms`)

const times = []
const statuses = new Map()
const until = performance.now() + 30_000
await Promise.all(
  Array.from({ length: 50 }, async (_, client) => {
    for (let i = 0; performance.now() < until; i++) {
      const start = performance.now()
      const answer =
        (i + client) % 5 === 0
          ? await change(shell.findings[(client * 6) % 300], `client ${client}, ${i}`)
          : await fetch(`${vehicle}/${['shell', 'sealing', 'findings.csv', 'wet-roof'][(i + client) % 4]}`)
      await answer.arrayBuffer()
      times.push(performance.now() - start)
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1)
    }
  }),
)
const memory = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024
console.log(`50 clients, 30 s, one change in five: ${times.length} answers, p50 ${percentile(times, 0.5).toFixed(0)} ms, p95 ${percentile(times, 0.95).toFixed(0)} ms (bar 250 ms), ` +
  `statuses ${[...statuses].map(([s, n]) => `${s}: ${n}`).join(', ')}; ${memory.toFixed(0)} MB after it`)
await end()
