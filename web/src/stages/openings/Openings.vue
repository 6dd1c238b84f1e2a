<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Modal } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, got, type Opening, type Panel, type Stored } from '@/api/client'
import { newName, wasOffered } from '@/app/newName'
import { said, useState } from '@/app/state'
import { panelName } from '@/drawing/facing'
import { boxOf } from '@/drawing/geometry'
import DraughtCard from './DraughtCard.vue'
import Choice from '@/ui/Choice.vue'
import TextField from '@/ui/TextField.vue'
import OpeningList from './OpeningList.vue'

/** The openings of the vehicle; a new one starts at the best place that its fitting finds. */
const { t } = useI18n()
const router = useRouter()
const { shell, fittings, load } = useState()
const panels = computed(() => (shell.value?.panels ?? []) as Stored<Panel>[])
const adding = ref<{ name: string; fittingId: string; panelId: string } | null>(null)
const panel = computed(() => panels.value.find((p) => p.id === adding.value?.panelId))
const wrong = ref('')
const fittingOf = (id: string) => fittings.value.find((f) => f.id === id)?.value

const offered = (base: string) =>
  newName(
    base,
    (shell.value?.openings ?? []).map((o) => o.value.name),
  )

function begin() {
  wrong.value = ''
  const first = fittings.value[0]
  const roof = panels.value.find((p) => p.value.kind === 'roof') ?? panels.value[0]
  adding.value = { name: first ? offered(first.value.name) : '', fittingId: first?.id ?? '', panelId: roof?.id ?? '' }
}
function choose(fittingId: string) {
  if (!adding.value) return
  adding.value.fittingId = fittingId
  const bases = fittings.value.map((f) => f.value.name)
  if (wasOffered(adding.value.name, bases)) adding.value.name = offered(fittingOf(adding.value.fittingId)?.name ?? '')
}

async function add() {
  const a = adding.value
  const on = panel.value
  const fitting = a && fittingOf(a.fittingId)
  if (!a || !on || !fitting || !shell.value) return
  try {
    const vehicle = shell.value.vehicle
    const draft: Opening = {
      name: a.name,
      fittingId: a.fittingId,
      centre: centreOf(),
      turnDeg: 0,
      wallMm: null,
      schools: vehicle.value.schools,
      state: 'planned',
      asCut: null,
      notes: '',
    }
    const path = { vehicleId: vehicle.id, panelId: on.id }
    const site = await got(api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/site', { params: { path }, body: draft }))
    const found = await got(
      api.POST('/api/calculators/opening-positions', {
        body: {
          site,
          wishes: [
            { kind: 'bayCentre', weight: 1 },
            { kind: 'centreLine', weight: 0.5 },
          ],
        },
      }),
    )
    draft.centre = found.result.positions[0]?.centre ?? draft.centre
    const row = (await got(
      api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/openings', {
        params: { path },
        body: draft,
      }),
    )) as Stored<Opening>
    adding.value = null
    await load(vehicle.id)
    await router.push({ name: 'opening', params: { vehicleId: vehicle.id, openingId: row.id, tab: 'place' } })
  } catch (e) {
    wrong.value = said(e)
  }
}
function centreOf() {
  const b = boxOf(panel.value!.value.outline)
  return { sMm: (b.s1 + b.s2) / 2, tMm: (b.t1 + b.t2) / 2 }
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="panels.length === 0" class="empty">
    <h2>{{ t('openings.none') }}</h2>
    <p>{{ t('openings.noRoof') }}</p>
    <RouterLink class="btn main" :to="{ name: 'walkaround', params: { vehicleId: shell.vehicle.id } }">{{
      t('stages.walkaround')
    }}</RouterLink>
  </div>
  <div v-else class="page">
    <div class="row head">
      <h1 class="of-stage">{{ t('openings.title') }}</h1>
      <button class="btn main" type="button" @click="begin">{{ t('openings.add') }}</button>
      <RouterLink
        v-if="shell.openings.length > 1"
        class="btn"
        :to="{ name: 'together', params: { vehicleId: shell.vehicle.id } }"
        >{{ t('together.open') }}</RouterLink
      >
    </div>
    <div v-if="shell.openings.length === 0" class="empty">
      <h2>{{ t('openings.none') }}</h2>
      <p>{{ t('openings.noneMore') }}</p>
      <button class="btn main" type="button" @click="begin">{{ t('openings.add') }}</button>
    </div>
    <OpeningList v-else />
    <DraughtCard v-if="shell.openings.length > 0" :key="shell.vehicle.id" />
    <Modal
      :open="adding !== null"
      :title="t('openings.add')"
      :ok-text="t('app.add')"
      :cancel-text="t('app.cancel')"
      @ok="add"
      @cancel="adding = null"
    >
      <form v-if="adding" class="form" @submit.prevent="add">
        <p v-if="fittings.length === 0" class="wide">
          {{ t('openings.noFitting') }} <RouterLink :to="{ name: 'fittings' }">{{ t('openings.toFittings') }}</RouterLink>
        </p>
        <Choice
          class="wide"
          :model-value="adding.fittingId"
          :label="t('openings.fitting')"
          :options="fittings.map((f) => ({ value: f.id, text: f.value.name }))"
          @update:model-value="choose"
        />
        <Choice
          v-model="adding.panelId"
          class="wide"
          :label="t('openings.onPanel')"
          :options="panels.map((p) => ({ value: p.id, text: panelName(p.value) }))"
        />
        <TextField v-model="adding.name" class="wide" :label="t('app.name')" :most="80" />
        <p v-if="wrong" class="wrong wide" role="alert">{{ wrong }}</p>
      </form>
    </Modal>
  </div>
</template>

<style scoped>
.head {
  margin-bottom: 16px;
}
</style>
