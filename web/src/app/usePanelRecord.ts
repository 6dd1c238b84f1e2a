import { ref, type Ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, got, ifMatch, type Stored } from '@/api/client'
import { copyOf } from './copy'
import { lengthsRead } from './parseLength'
import { useDraft } from './drafts'
import { i18n } from './texts'
import { saidBeside, useState } from './state'

/** A record of a panel being written down: a new one has no row yet. */
export interface EditedRecord<T> {
  row: Stored<T> | null
  panelId: string
  value: T
}

/** Writes down records that lie on a panel: what is typed stays until it is kept. */
export function usePanelRecord<T>(
  records: 'suspects' | 'observations' | 'seal-readings' | 'drains' | 'coverings' | 'probes' | 'boards',
) {
  const { shell, load } = useState()
  const edited = ref(null) as Ref<EditedRecord<T> | null>
  const wrong = ref('')
  // All of them are written alike; one stands for the others to the type checker.
  const list = `/api/vehicles/{vehicleId}/panels/{panelId}/${records}` as '/api/vehicles/{vehicleId}/panels/{panelId}/drains'
  const one = `/api/vehicles/{vehicleId}/${records}/{id}` as '/api/vehicles/{vehicleId}/drains/{id}'

  const route = useRoute()
  const isTyped = useDraft({
    kind: () => `${records} ${String(route.params.vehicleId)}`,
    typed: () => edited.value,
    what: () =>
      `${i18n.global.t(`app.draft.${records}`)} ${(edited.value?.value as { name?: string } | undefined)?.name ?? ''}`.trim(),
    take: (draft) => (edited.value = draft),
  })

  function begin(panelId: string, value: T, row: Stored<T> | null = null) {
    wrong.value = ''
    edited.value = { row, panelId, value: copyOf(value) }
  }
  async function run(call: () => Promise<unknown>): Promise<boolean> {
    try {
      await call()
      edited.value = null
    } catch (e) {
      wrong.value = saidBeside(e)
      return false
    }
    await load(shell.value!.vehicle.id)
    return true
  }
  async function add(panelId: string, value: T): Promise<boolean> {
    const path = { vehicleId: shell.value!.vehicle.id, panelId }
    return await run(() => got(api.POST(list, { params: { path }, body: value as never })))
  }
  async function save(): Promise<boolean> {
    const e = edited.value
    if (!e || !(await lengthsRead())) return false
    if (!e.row) return await add(e.panelId, e.value)
    const path = { vehicleId: shell.value!.vehicle.id, id: e.row.id }
    return await run(() => got(api.PUT(one, { params: { path, header: ifMatch(e.row!.version) }, body: e.value as never })))
  }
  async function remove(row: Stored<T>): Promise<boolean> {
    const path = { vehicleId: shell.value!.vehicle.id, id: row.id }
    return await run(() => got(api.DELETE(one, { params: { path, header: ifMatch(row.version) } })))
  }
  return { edited, isTyped, wrong, begin, add, save, remove }
}
