<script setup lang="ts">
import Wrong from '@/ui/Wrong.vue'
import { Modal, Popconfirm, Skeleton } from 'ant-design-vue'
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Fitting, type Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { lengthNumber } from '@/app/length'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import { lengthsRead } from '@/app/parseLength'
import { said, saidBeside, useState } from '@/app/state'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import FittingForm from './FittingForm.vue'

/** The catalogue that all vehicles share. */
const { t } = useI18n()
const { fittings, lengths, loadFittings } = useState()
const find = ref('')
const trouble = ref('')
const ready = ref(false)
/** One of each kind with the parts that it usually has, to begin a new one from. */
const typical = ref<Fitting[]>([])
const wrong = ref('')
const edited = ref<{ row: Stored<Fitting> | null; value: Fitting } | null>(null)
const shown = computed(() => fittings.value.filter((f) => f.value.name.toLowerCase().includes(find.value.toLowerCase())))

async function list() {
  try {
    await loadFittings()
    if (typical.value.length === 0) typical.value = await got(api.GET('/api/fittings/typical'))
    trouble.value = ''
  } catch (e) {
    trouble.value = said(e)
  }
  ready.value = true
}
onMounted(list)

function begin(row: Stored<Fitting> | null, copy = false) {
  wrong.value = ''
  const start = row?.value ?? typical.value.find((f) => f.kind === 'roofVent')
  if (!start) return
  const value = { ...copyOf(start), ...(row ? {} : { name: '' }) }
  if (row && copy) value.name = t('fittings.copyName', { name: value.name })
  edited.value = { row: copy ? null : row, value }
}
const isTyped = useDraft({
  kind: () => 'fitting',
  typed: () => edited.value,
  what: () => `${t('app.draft.fitting')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const leave = leaving(isTyped, () => (edited.value = null))
async function save() {
  const e = edited.value
  if (!e) return
  if (!(await lengthsRead())) return
  try {
    if (e.row)
      await got(
        api.PUT('/api/fittings/{id}', { params: { path: { id: e.row.id }, header: ifMatch(e.row.version) }, body: e.value }),
      )
    else await got(api.POST('/api/fittings', { body: e.value }))
    edited.value = null
    await list()
  } catch (problem) {
    wrong.value = saidBeside(problem)
  }
}
async function remove(row: Stored<Fitting>) {
  try {
    await got(api.DELETE('/api/fittings/{id}', { params: { path: { id: row.id }, header: ifMatch(row.version) } }))
    await list()
  } catch (problem) {
    trouble.value = said(problem)
  }
}
async function takeBack() {
  try {
    await got(api.POST('/api/fittings/undo'))
    await list()
  } catch (problem) {
    trouble.value = said(problem)
  }
}
const columns = computed<Column<Stored<Fitting>>[]>(() => [
  { key: 'name', title: t('app.name'), text: (row) => row.value.name },
  { key: 'kind', title: t('app.kind'), text: (row) => t(`fittings.kinds.${row.value.kind}`), narrows: true },
  {
    key: 'cutOut',
    title: t('fittings.cutOut'),
    text: (row) => size(row.value),
    figure: (row) => row.value.cutOut.widthMm * row.value.cutOut.heightMm,
  },
  { key: 'mass', title: t('fittings.mass'), text: (row) => `${row.value.massKg}`, figure: (row) => row.value.massKg },
])
const size = (f: Fitting) =>
  `${lengthNumber(f.cutOut.widthMm, lengths.value)} x ${lengthNumber(f.cutOut.heightMm, lengths.value)}`
</script>

<template>
  <div class="page">
    <div class="row head">
      <h1>{{ t('fittings.title') }}</h1>
      <button class="btn main" type="button" :disabled="!ready" @click="begin(null)">{{ t('fittings.add') }}</button>
      <button class="btn plain" type="button" @click="takeBack">{{ t('vehicles.takeBack') }}</button>
    </div>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <Skeleton v-if="!ready" active :title="false" />
    <div v-else-if="fittings.length === 0 && !trouble" class="empty">
      <h2>{{ t('fittings.none') }}</h2>
      <p>{{ t('fittings.noneMore') }}</p>
    </div>
    <template v-else>
      <input
        v-if="fittings.length > 8"
        v-model="find"
        class="field find"
        type="search"
        :placeholder="t('fittings.find')"
        :aria-label="t('fittings.find')"
      />
      <DataTable class="list" :columns="columns" :rows="shown" :key-of="(row) => row.id" @open="begin">
        <template #actions="{ row }">
          <button class="btn plain" type="button" @click="begin(row, true)">{{ t('fittings.copy') }}</button>
          <Popconfirm
            :title="t('fittings.removeSure', { name: row.value.name })"
            :ok-text="t('app.remove')"
            :cancel-text="t('app.cancel')"
            @confirm="remove(row)"
          >
            <button class="btn plain" type="button">{{ t('app.remove') }}</button>
          </Popconfirm>
        </template>
      </DataTable>
    </template>
    <Modal
      :open="edited !== null"
      :title="edited?.row?.value.name ?? t('fittings.add')"
      :ok-text="t('app.save')"
      :cancel-text="t('app.cancel')"
      width="min(980px, 100vw)"
      destroy-on-close
      @ok="save"
      @cancel="leave"
    >
      <template v-if="edited">
        <FittingForm v-model="edited.value" :fresh="edited.row === null" :typical="typical" />
        <Wrong :text="wrong" />
      </template>
    </Modal>
  </div>
</template>

<style scoped>
.head {
  margin-bottom: 16px;
}
.find {
  max-width: 320px;
}
.list {
  max-width: 980px;
}
</style>
