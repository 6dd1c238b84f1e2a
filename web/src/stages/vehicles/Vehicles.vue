<script setup lang="ts">
import Wrong from '@/ui/Wrong.vue'
import { Modal, Popconfirm, Skeleton } from 'ant-design-vue'
import { computed, onMounted, provide, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, got, ifMatch, type ApiProblem, type Stored, type Vehicle } from '@/api/client'
import { lengthsRead } from '@/app/parseLength'
import { copyOf } from '@/app/copy'
import { smallEnough } from '@/app/fileText'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import { formLengths, said, saidBeside, useState } from '@/app/state'
import StartFrom, { type Start } from './StartFrom.vue'
import VehicleForm from './VehicleForm.vue'

const { t } = useI18n()
const router = useRouter()
const { shell, change, load, lengths, ownLengths } = useState()
const vehicles = ref<Stored<Vehicle>[]>([])
const ready = ref(false)
const trouble = ref('')
const edited = ref<{ id?: string; version: number; value: Vehicle } | null>(null)
const wrong = ref('')
const start = ref<Start>({ preset: null, box: null, material: 'mildSteel' })

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
// Lengths in the form are typed and shown in the units of the vehicle that it is about.
provide(
  formLengths,
  computed(() => {
    const own = edited.value?.value
    return own ? { units: own.units, inchDenominator: own.inchDenominator } : lengths.value
  }),
)
const isTyped = useDraft({
  kind: () => 'vehicle',
  typed: () => edited.value && { edited: edited.value, start: start.value },
  what: () => `${t('app.draft.vehicle')} ${edited.value!.value.name}`.trim(),
  take: (draft) => ([edited.value, start.value] = [draft.edited, draft.start]),
})
const leave = leaving(isTyped, () => (edited.value = null))

function begin(row?: Stored<Vehicle>) {
  wrong.value = ''
  start.value = { preset: null, box: { lengthMm: null, widthMm: null, heightMm: null }, material: 'mildSteel' }
  edited.value = row
    ? { id: row.id, version: row.version, value: copyOf(row.value) }
    : {
        version: 0,
        value: {
          name: '',
          kind: 'panelVan',
          year: null,
          notes: '',
          units: ownLengths.value.units ?? 'mm',
          inchDenominator: ownLengths.value.inchDenominator ?? 16,
          schools: { ribInTheWay: 'keep', cutSize: 'wasteSide' },
          markerOffsetMm: 3.175,
          timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'Etc/UTC',
          place: null,
          masses: null,
          attitude: null,
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
      : await added(e.value)
    if (!e.id) ownLengths.value = { units: e.value.units, inchDenominator: e.value.inchDenominator }
    edited.value = null
    await list()
    if (shell.value?.vehicle.id === row.id) await load(row.id)
    if (!e.id) await router.push({ name: 'walkaround', params: { vehicleId: row.id } })
  } catch (problem) {
    wrong.value = saidBeside(problem as ApiProblem)
  }
}

/** A new vehicle: with the shell that it starts from, or with none. */
async function added(vehicle: Vehicle): Promise<{ id: string }> {
  const { preset, box, material } = start.value
  if (!preset && !box) return await got(api.POST('/api/vehicles', { body: vehicle }))
  const size = box && { lengthMm: box.lengthMm ?? 0, widthMm: box.widthMm ?? 0, heightMm: box.heightMm ?? 0 }
  return await got(api.POST('/api/vehicles/new', { body: { vehicle, preset, box: size, material } }))
}

async function bringIn(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    const body = smallEnough(file, 190 * 1024 * 1024)
    const row = await got(
      api.POST('/api/vehicles/import', {
        body: body as never,
        bodySerializer: (b) => b as unknown as string,
        headers: { 'Content-Type': /\.zip$/i.test(file.name) ? 'application/zip' : 'application/json' },
      }),
    )
    trouble.value = ''
    await router.push({ name: 'walkaround', params: { vehicleId: row.id } })
  } catch (problem) {
    trouble.value = said(problem)
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
      <label class="btn">
        {{ t('vehicles.import') }}
        <input class="hidden" type="file" accept=".zip,.json" @change="bringIn" />
      </label>
      <button class="btn plain" type="button" @click="takeBack">{{ t('vehicles.takeBack') }}</button>
    </div>
    <p v-if="trouble" class="wrong" role="alert">
      {{ trouble }} <button class="btn plain" @click="list">{{ t('app.tryAgain') }}</button>
    </p>
    <Skeleton v-if="!ready" active :title="false" />
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
        <a class="btn" :href="`/api/vehicles/${row.id}/vehicle.zip`" download>{{ t('vehicles.export') }}</a>
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
      width="min(760px, 100vw)"
      destroy-on-close
      @ok="save"
      @cancel="leave"
    >
      <form v-if="edited" class="form" @submit.prevent="save">
        <StartFrom v-if="!edited.id" v-model="start" v-model:kind="edited.value.kind" />
        <VehicleForm v-model="edited.value" :has-kind="!edited.id && start.preset !== null" />
        <Wrong :text="wrong" class="wide" />
      </form>
    </Modal>
  </div>
</template>

<style scoped>
.head {
  margin-bottom: 16px;
}
.hidden {
  position: absolute;
  width: 1px;
  clip-path: inset(50%);
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
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 8px 12px;
  background: var(--paper);
  border-left: 4px solid var(--rust);
}
.open {
  flex: 1 1 240px;
  display: flex;
  flex-direction: column;
  color: inherit;
  text-decoration: none;
}
.open b {
  font: 600 17px 'Barlow Semi Condensed';
}
</style>
