<script setup lang="ts">
import { enums } from '@/api/enums'
import Wrong from '@/ui/Wrong.vue'
import { Modal } from 'ant-design-vue'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Stored, type Zone } from '@/api/client'
import { newName, wasOffered } from '@/app/newName'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthNumber } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { saidBeside, useState } from '@/app/state'
import TextField from '@/ui/TextField.vue'
import Choice from '@/ui/Choice.vue'
import ZoneDrawing from './ZoneDrawing.vue'

/** What stands inside, as boxes that openings should serve or avoid. */
const props = defineProps<{ zones: readonly Stored<Zone>[]; vehicleId: string }>()
const { t } = useI18n()
const { lengths, load } = useState()
const edges = ['xMinMm', 'xMaxMm', 'yMinMm', 'yMaxMm', 'zMinMm', 'zMaxMm'] as const
const kinds = enums.ZoneKind
const edited = ref<{ row: Stored<Zone> | null; value: Zone } | null>(null)
const wrong = ref('')

const isTyped = useDraft({
  kind: () => `zone ${props.vehicleId}`,
  typed: () => edited.value,
  path: () => `/vehicles/${props.vehicleId}/walkaround?tab=inside`,
  what: () => `${t('app.draft.zone')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const leave = leaving(isTyped, () => (edited.value = null))

const kindText = (kind: Zone['kind']) => t(`walkaround.zoneKinds.${kind}`)
const others = (row: Stored<Zone> | null) => props.zones.filter((z) => z.id !== row?.id).map((z) => z.value.name)
function setKind(kind: Zone['kind']) {
  const { row, value } = edited.value!
  value.kind = kind
  if (wasOffered(value.name, kinds.map(kindText))) value.name = newName(kindText(value.kind), others(row))
}

function begin(row: Stored<Zone> | null) {
  wrong.value = ''
  edited.value = {
    row,
    value: row
      ? copyOf(row.value)
      : {
          name: newName(t('walkaround.zoneKinds.bench'), others(null)),
          kind: 'bench',
          xMinMm: 1000,
          xMaxMm: 1600,
          yMinMm: 200,
          yMaxMm: 800,
          zMinMm: 0,
          zMaxMm: 900,
        },
  }
}
async function run(call: () => Promise<unknown>) {
  try {
    await call()
    edited.value = null
    await load(props.vehicleId)
  } catch (e) {
    wrong.value = saidBeside(e)
  }
}
async function save() {
  const e = edited.value
  if (!e) return
  if (!(await lengthsRead())) return
  const vehicleId = props.vehicleId
  await run(() =>
    e.row
      ? got(
          api.PUT('/api/vehicles/{vehicleId}/zones/{id}', {
            params: { path: { vehicleId, id: e.row.id }, header: ifMatch(e.row.version) },
            body: e.value,
          }),
        )
      : got(api.POST('/api/vehicles/{vehicleId}/zones', { params: { path: { vehicleId } }, body: e.value })),
  )
}
async function remove() {
  const row = edited.value?.row
  if (row)
    await run(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/zones/{id}', {
          params: { path: { vehicleId: props.vehicleId, id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
}
</script>

<template>
  <div class="card">
    <h2>{{ t('walkaround.zones') }}</h2>
    <p class="soft">{{ t('walkaround.zonesMore') }}</p>
    <ZoneDrawing v-if="zones.length > 0" :zones="zones" @open="begin" />
    <table class="figures">
      <tbody>
        <tr v-for="row in zones" :key="row.id">
          <td>
            <button class="btn plain" type="button" @click="begin(row)">{{ row.value.name }}</button>
          </td>
          <td class="n">{{ lengthNumber(row.value.xMinMm, lengths) }} – {{ lengthNumber(row.value.xMaxMm, lengths) }}</td>
        </tr>
      </tbody>
    </table>
    <button class="btn" type="button" @click="begin(null)">{{ t('walkaround.addZone') }}</button>
  </div>
  <Modal
    :open="edited !== null"
    :title="edited?.row?.value.name ?? t('walkaround.addZone')"
    :ok-text="t('app.save')"
    :cancel-text="t('app.cancel')"
    destroy-on-close
    @ok="save"
    @cancel="leave"
  >
    <div v-if="edited" class="form">
      <TextField v-model="edited.value.name" :label="t('app.name')" :most="80" />
      <Choice
        :model-value="edited.value.kind"
        :label="t('app.kind')"
        :options="kinds.map((kind) => ({ value: kind, text: kindText(kind) }))"
        @update:model-value="setKind"
      />
      <LengthInput v-for="edge in edges" :key="edge" v-model="edited.value[edge]" :label="t(`walkaround.zone.${edge}`)" />
      <Wrong :text="wrong" class="wide" />
      <button v-if="edited.row" class="btn" type="button" @click="remove">{{ t('app.remove') }}</button>
    </div>
  </Modal>
</template>
