import { newName } from '@/app/newName'
import { computed, ref } from 'vue'
import type { Finding, Point } from '@/api/client'
import { useRoute } from 'vue-router'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { useState } from '@/app/state'
import { i18n } from '@/app/texts'
import { whoHere } from '@/app/person'
import { boxOf } from '@/drawing/geometry'

/** A finding being written down: a new one has no id yet. */
export interface EditedFinding {
  id: string | null
  version: number
  panelId: string
  value: Finding
}

/** The findings of the vehicle: their numbers in the order of work, and the one that is being edited. */
export function useFindings() {
  const { shell } = useState()
  const edited = ref<EditedFinding | null>(null)
  const numbers = computed(() => {
    const ids = new Set(shell.value?.findings.map((f) => f.id))
    const inOrder = (shell.value?.next ?? []).filter((job) => ids.has(job.job.id))
    return Object.fromEntries(inOrder.map((job, i) => [job.job.id, i + 1]))
  })

  const route = useRoute()
  const isTyped = useDraft({
    kind: () => `finding ${String(route.params.vehicleId)}`,
    typed: () => edited.value,
    what: () => `${i18n.global.t('app.draft.finding')} ${edited.value?.value.name ?? ''}`.trim(),
    take: (draft) => (edited.value = draft),
  })

  function begin(panelId?: string, at?: Point) {
    const panel = shell.value?.panels.find((p) => p.id === panelId) ?? shell.value?.panels[0]
    if (!panel) return
    const b = boxOf(panel.value.outline)
    edited.value = {
      id: null,
      version: 0,
      panelId: panel.id,
      value: {
        name: newName(
          i18n.global.t('findings.kinds.surfaceRust'),
          (shell.value?.findings ?? []).map((f) => f.value.name),
        ),
        kind: 'surfaceRust',
        shape: 'point',
        points: [at ?? { sMm: Math.round((b.s1 + b.s2) / 2), tMm: Math.round((b.t1 + b.t2) / 2) }],
        seen: 'outside',
        severity: 'moderate',
        measures: { lengthMm: null, widthMm: null, depthMm: null, moisturePercent: null },
        state: 'open',
        seenBy: whoHere.value,
        seenAt: new Date().toISOString(),
        notes: '',
      },
    }
  }
  function open(id: string) {
    const row = shell.value?.findings.find((f) => f.id === id)
    if (row) edited.value = { id, version: row.version, panelId: row.ownerId!, value: copyOf(row.value) as Finding }
  }
  return { numbers, edited, isTyped, begin, open }
}
