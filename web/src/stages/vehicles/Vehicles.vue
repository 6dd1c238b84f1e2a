<script setup lang="ts">
import { Modal, Popconfirm } from 'ant-design-vue'
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, got, ifMatch, type ApiProblem, type Stored, type Vehicle } from '@/api/client'
import LengthInput from '@/app/LengthInput.vue'
import { lengthsRead } from '@/app/parseLength'
import { copyOf } from '@/app/copy'
import { said, useState } from '@/app/state'

const { t } = useI18n()
const router = useRouter()
const { shell, change, load } = useState()
const vehicles = ref<Stored<Vehicle>[]>([])
const ready = ref(false)
const trouble = ref('')
const edited = ref<{ id?: string; version: number; value: Vehicle } | null>(null)
const wrong = ref('')

async function list() {
  try {
    vehicles.value = (await got(api.GET('/api/vehicles'))) as Stored<Vehicle>[]
    trouble.value = ''
  } catch (e) {
    trouble.value = said(e)
  }
  ready.value = true
}
onMounted(list)

function begin(row?: Stored<Vehicle>) {
  wrong.value = ''
  edited.value = row
    ? { id: row.id, version: row.version, value: copyOf(row.value) }
    : {
        version: 0,
        value: {
          name: '',
          kind: 'panelVan',
          year: null,
          notes: '',
          units: 'mm',
          inchDenominator: 16,
          schools: { ribInTheWay: 'keep', cutSize: 'wasteSide' },
          markerOffsetMm: 3.175,
        },
      }
}

async function save() {
  const e = edited.value
  if (!e) return
  if (!(await lengthsRead())) return
  try {
    const row = e.id
      ? await got(api.PUT('/api/vehicles/{id}', { params: { path: { id: e.id }, header: ifMatch(e.version) }, body: e.value }))
      : await got(api.POST('/api/vehicles', { body: e.value }))
    edited.value = null
    await list()
    if (shell.value?.vehicle.id === row.id) await load(row.id)
    if (!e.id) await router.push({ name: 'walkaround', params: { vehicleId: row.id } })
  } catch (problem) {
    wrong.value = said(problem as ApiProblem)
  }
}

async function remove(row: Stored<Vehicle>) {
  try {
    await got(api.DELETE('/api/vehicles/{id}', { params: { path: { id: row.id }, header: ifMatch(row.version) } }))
    if (shell.value?.vehicle.id === row.id) shell.value = null
  } catch (problem) {
    trouble.value = said(problem)
  }
  await list()
}

async function takeBack() {
  await change(() => got(api.POST('/api/vehicles/undo')))
  await list()
}
</script>

<template>
  <div class="page">
    <div class="row head">
      <h1>{{ t('vehicles.title') }}</h1>
      <button class="btn main" type="button" @click="begin()">{{ t('vehicles.add') }}</button>
      <button class="btn plain" type="button" @click="takeBack">{{ t('vehicles.takeBack') }}</button>
    </div>
    <p v-if="trouble" class="wrong" role="alert">
      {{ trouble }} <button class="btn plain" @click="list">{{ t('app.tryAgain') }}</button>
    </p>
    <p v-if="!ready" class="soft">{{ t('app.loading') }}</p>
    <div v-else-if="vehicles.length === 0 && !trouble" class="empty">
      <h2>{{ t('vehicles.none') }}</h2>
      <p>{{ t('vehicles.noneMore') }}</p>
      <button class="btn main" type="button" @click="begin()">{{ t('vehicles.add') }}</button>
    </div>
    <ul v-else class="list">
      <li v-for="row in vehicles" :key="row.id">
        <RouterLink class="open" :to="{ name: 'walkaround', params: { vehicleId: row.id } }">
          <b>{{ row.value.name }}</b>
          <span class="soft">{{ t(`vehicles.kinds.${row.value.kind}`) }}{{ row.value.year ? `, ${row.value.year}` : '' }}</span>
          <span class="soft notes">{{ row.value.notes }}</span>
        </RouterLink>
        <button class="btn" type="button" @click="begin(row)">{{ t('app.edit') }}</button>
        <Popconfirm
          :title="t('vehicles.removeSure', { name: row.value.name })"
          :ok-text="t('app.remove')"
          :cancel-text="t('app.cancel')"
          @confirm="remove(row)"
        >
          <button class="btn" type="button">{{ t('app.remove') }}</button>
        </Popconfirm>
      </li>
    </ul>
    <Modal
      :open="edited !== null"
      :title="edited?.id ? edited.value.name : t('vehicles.add')"
      :ok-text="t('app.save')"
      :cancel-text="t('app.cancel')"
      destroy-on-close
      @ok="save"
      @cancel="edited = null"
    >
      <form v-if="edited" class="form" @submit.prevent="save">
        <label class="named wide">{{ t('app.name') }}<input v-model="edited.value.name" class="field" maxlength="80" /></label>
        <label class="named">
          {{ t('app.kind') }}
          <select v-model="edited.value.kind" class="field">
            <option v-for="kind in ['panelVan', 'bus', 'boxTrailer', 'caravanBody'] as const" :key="kind" :value="kind">
              {{ t(`vehicles.kinds.${kind}`) }}
            </option>
          </select>
        </label>
        <label class="named">
          {{ t('vehicles.year') }}
          <input
            class="field"
            inputmode="numeric"
            :value="edited.value.year ?? ''"
            @input="edited.value.year = Number(($event.target as HTMLInputElement).value) || null"
          />
        </label>
        <label class="named">
          {{ t('vehicles.units') }}
          <select v-model="edited.value.units" class="field">
            <option value="mm">{{ t('app.mm') }}</option>
            <option value="inch">{{ t('app.inch') }}</option>
          </select>
        </label>
        <label class="named">
          {{ t('vehicles.inchDenominator') }}
          <select v-model.number="edited.value.inchDenominator" class="field">
            <option :value="16">1/16</option>
            <option :value="32">1/32</option>
          </select>
        </label>
        <label class="named">
          {{ t('vehicles.rib') }}
          <select v-model="edited.value.schools.ribInTheWay" class="field">
            <option value="keep">{{ t('schools.keep') }}</option>
            <option value="cutSecondary">{{ t('schools.cutSecondary') }}</option>
          </select>
        </label>
        <label class="named">
          {{ t('vehicles.cut') }}
          <select v-model="edited.value.schools.cutSize" class="field">
            <option value="wasteSide">{{ t('schools.wasteSide') }}</option>
            <option value="withClearance">{{ t('schools.withClearance') }}</option>
          </select>
        </label>
        <LengthInput
          :model-value="edited.value.markerOffsetMm"
          :label="t('vehicles.marker')"
          @update:model-value="(mm) => edited && (edited.value.markerOffsetMm = mm ?? 0)"
        />
        <label class="named wide"
          >{{ t('app.notes') }}<textarea v-model="edited.value.notes" class="field" maxlength="4000" />
        </label>
        <p v-if="wrong" class="wrong wide" role="alert">{{ wrong }}</p>
      </form>
    </Modal>
  </div>
</template>

<style scoped>
.head {
  margin-bottom: 16px;
}
.list {
  display: flex;
  flex-direction: column;
  gap: 8px;
  max-width: 860px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.list li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 8px 12px;
  background: var(--paper);
  border-left: 4px solid var(--rust);
}
.open {
  flex: 1;
  display: flex;
  flex-direction: column;
  color: inherit;
  text-decoration: none;
}
.open b {
  font: 600 17px 'Barlow Semi Condensed';
}
</style>
