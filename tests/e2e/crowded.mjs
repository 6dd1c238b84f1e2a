import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Starts the built program with a vehicle of 300 findings and 60 openings beside the demo: what speed is measured on. */
export async function crowded(port) {
  const root = fileURLToPath(new URL('../..', import.meta.url))
  const url = `http://127.0.0.1:${port}`
  const data = mkdtempSync(join(tmpdir(), 'abri-speed-'))
  const began = performance.now()
  const app = spawn('dotnet', [join(root, 'artifacts/app/Abri.Server.dll'), '--port', String(port), '--data', data], { stdio: 'ignore' })
  const answers = () => fetch(`${url}/health`).then((r) => r.ok, () => false)
  for (let i = 0; i < 1000 && !(await answers()); i++) await new Promise((r) => setTimeout(r, 20))
  const startMs = performance.now() - began

  const vehicles = await (await fetch(`${url}/api/vehicles`)).json()
  const heron = vehicles.find((v) => v.value.name === 'Heron')
  const bundle = await (await fetch(`${url}/api/vehicles/${heron.id}/vehicle.json`)).json()
  bundle.record.vehicle.name = 'Crowded'
  const roof = bundle.record.panels[0]
  const [finding, opening] = [roof.findings[1], roof.openings[2]]
  const at = (i, n) => ({ sMm: 100 + ((i * 4100) / n), tMm: ((i * 137) % 1600) - 800 })
  for (const panel of bundle.record.panels) [panel.findings, panel.openings, panel.joints, panel.repairs, panel.floor] = [[], [], null, null, null]
  roof.findings = Array.from({ length: 300 }, (_, i) => ({
    ...finding,
    key: `finding-${i}`,
    finding: { ...finding.finding, name: `Finding ${i}`, points: [at(i, 300)] },
  }))
  roof.openings = Array.from({ length: 60 }, (_, i) => ({ key: `opening-${i}`, value: { ...opening.value, name: `Opening ${i}`, centre: at(i, 60) } }))
  const answer = await fetch(`${url}/api/vehicles/import`, { method: 'POST', body: JSON.stringify(bundle), headers: { 'Content-Type': 'application/json' } })
  if (!answer.ok) throw new Error(await answer.text())
  const made = await answer.json()
  return {
    url,
    made,
    pid: app.pid,
    startMs,
    async end() {
      app.kill()
      await new Promise((resolve) => app.once('exit', resolve))
      rmSync(data, { recursive: true, force: true })
    },
  }
}

/** The figure below which such a share of a list lies. */
export const percentile = (list, share) => list.toSorted((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))]
