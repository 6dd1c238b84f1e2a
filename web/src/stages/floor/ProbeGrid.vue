<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got } from '@/api/client'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import { useState } from '@/app/state'
import { useFigure } from '@/stages/figures/useFigure'
import TextField from '@/ui/TextField.vue'
import Wrong from '@/ui/Wrong.vue'
import type { Probe } from './useFloor'

/** Probes that were noted as a grid, typed or pasted, and kept in one change. */
const props = defineProps<{ panelId: string; of: Probe['of'] }>()
const open = defineModel<boolean>('open', { required: true })
const { t } = useI18n()
const { shell, lengths, change } = useState()
const text = ref('')
const isTyped = useDraft({
  kind: () => `probe grid ${props.panelId}`,
  typed: () => (open.value ? { text: text.value } : null),
  what: () => t('floor.grid'),
  take: (draft) => {
    text.value = draft.text
    open.value = true
  },
})
function close() {
  text.value = ''
  open.value = false
}
const leave = leaving(isTyped, close)
const read = useFigure('probe-grid', () => (text.value.trim() === '' ? null : { text: text.value, lengths: lengths.value }))
const found = computed(() => (read.wrong.value ? [] : (read.answer.value?.result.probes ?? [])))
const bad = computed(() => read.answer.value?.result.bad ?? 0)
async function add() {
  const takenAt = new Date().toISOString()
  const probes: Probe[] = found.value.map((p) => ({ ...p, of: props.of, takenAt, notes: '' }))
  const params = { path: { vehicleId: shell.value!.vehicle.id, panelId: props.panelId } }
  const rows = await change(() =>
    got(api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/probe-grid', { params, body: { probes } })),
  )
  if (rows) close()
}
/** As somebody would note it. */
const example = '-700 -350 0 350 700\n600: s s14 p21 o28 -\n900: s s s t -'
</script>

<template>
  <Modal
    :open="open"
    :title="t('floor.grid')"
    :ok-text="t('floor.gridAdd')"
    :cancel-text="t('app.cancel')"
    :ok-button-props="{ disabled: found.length === 0 }"
    destroy-on-close
    @ok="add"
    @cancel="leave"
  >
    <p class="soft">{{ t('floor.gridMore') }}</p>
    <pre class="soft">{{ example }}</pre>
    <TextField v-model="text" :label="t('floor.gridText')" :most="60000" lines />
    <p role="status">{{ t('floor.gridRead', { n: found.length, bad }, found.length) }}</p>
    <Wrong :text="read.wrong.value" />
  </Modal>
</template>
