<script setup lang="ts">
import { Modal, Popconfirm } from 'ant-design-vue'
import { computed, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Fitting, type Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { lengthNumber } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { said, useState } from '@/app/state'
import FittingForm from './FittingForm.vue'

/** The catalogue that all vehicles share. */
const { t } = useI18n()
const { fittings, lengths, loadFittings } = useState()
const find = ref('')
const trouble = ref('')
const wrong = ref('')
const edited = ref<{ row: Stored<Fitting> | null; value: Fitting } | null>(null)
const shown = computed(() => fittings.value.filter((f) => f.value.name.toLowerCase().includes(find.value.toLowerCase())))

async function list() {
  try {
    await loadFittings()
    trouble.value = ''
  } catch (e) {
    trouble.value = said(e)
  }
}
onMounted(list)

const blank = (): Fitting => ({
  name: '',
  kind: 'roofVent',
  cutOut: { widthMm: 400, heightMm: 400, cornerRadiusMm: 20 },
  toleranceMinusMm: 1,
  tolerancePlusMm: 4,
  neck: { widthMm: 396, heightMm: 396, cornerRadiusMm: 18 },
  flange: { widthMm: 490, heightMm: 490, cornerRadiusMm: 30 },
  leastLapMm: 25,
  clearance: { frontMm: 38, rearMm: 38, topMm: 38, bottomMm: 38 },
  massKg: 4,
  vibrates: false,
  hingeSide: null,
  sweep: { frontMm: 0, rearMm: 0, topMm: 0, bottomMm: 0 },
  flatnessMm: 1,
  beddingMostMm: 10,
  clamp: null,
  screws: { alongWidth: 5, alongHeight: 3, insetMm: 12, pilotMm: 2.5 },
  halves: null,
  bonded: null,
  air: null,
  heatMm: 0,
  needsPower: false,
})
function begin(row: Stored<Fitting> | null, copy = false) {
  wrong.value = ''
  const value = row ? copyOf(row.value) : blank()
  if (row && copy) value.name = t('fittings.copyName', { name: value.name })
  edited.value = { row: copy ? null : row, value }
}
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
    wrong.value = said(problem)
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
const size = (f: Fitting) =>
  `${lengthNumber(f.cutOut.widthMm, lengths.value)} x ${lengthNumber(f.cutOut.heightMm, lengths.value)}`
</script>

<template>
  <div class="page">
    <div class="row head">
      <h1>{{ t('fittings.title') }}</h1>
      <button class="btn main" type="button" @click="begin(null)">{{ t('fittings.add') }}</button>
      <button class="btn plain" type="button" @click="takeBack">{{ t('vehicles.takeBack') }}</button>
    </div>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <div v-if="fittings.length === 0" class="empty">
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
      <table class="figures list">
        <thead>
          <tr>
            <th>{{ t('app.name') }}</th>
            <th>{{ t('app.kind') }}</th>
            <th class="n">{{ t('fittings.cutOut') }}</th>
            <th class="n">{{ t('fittings.mass') }}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in shown" :key="row.id">
            <td>
              <button class="btn plain name" type="button" @click="begin(row)">{{ row.value.name }}</button>
            </td>
            <td>{{ t(`fittings.kinds.${row.value.kind}`) }}</td>
            <td class="n">{{ size(row.value) }}</td>
            <td class="n">{{ row.value.massKg }}</td>
            <td class="n">
              <button class="btn plain" type="button" @click="begin(row, true)">{{ t('fittings.copy') }}</button>
              <Popconfirm
                :title="t('fittings.removeSure', { name: row.value.name })"
                :ok-text="t('app.remove')"
                :cancel-text="t('app.cancel')"
                @confirm="remove(row)"
              >
                <button class="btn plain" type="button">{{ t('app.remove') }}</button>
              </Popconfirm>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
    <Modal
      :open="edited !== null"
      :title="edited?.row?.value.name ?? t('fittings.add')"
      :ok-text="t('app.save')"
      :cancel-text="t('app.cancel')"
      width="min(980px, 100vw)"
      destroy-on-close
      @ok="save"
      @cancel="edited = null"
    >
      <template v-if="edited">
        <FittingForm v-model="edited.value" />
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
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
.name {
  padding-left: 0;
  font-weight: 600;
}
</style>
