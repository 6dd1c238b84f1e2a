<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { computed, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import type { Schemas, Stored } from '@/api/client'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import { useBench } from '@/app/useBench'
import BenchHead from '@/ui/BenchHead.vue'
import BlankTab from './BlankTab.vue'
import DesignTab from './DesignTab.vue'
import FastenersTab from './FastenersTab.vue'
import FinishTab from './FinishTab.vue'
import RepairSteps from './RepairSteps.vue'
import { useRepairPlan, useRepairs, type Repair } from './useRepairs'

/** One repair at the bench: how it is made, its blank, what fastens it, its paint, and all of it in order. */
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell } = useState()
const { save, remove } = useRepairs()
type Tab = 'design' | 'blank' | 'fasteners' | 'finish' | 'steps'
const tab = computed(() => route.params.tab as Tab)
const row = computed(() => shell.value?.repairs.find((r) => r.id === route.params.repairId) as Stored<Repair> | undefined)
const panel = computed(() => shell.value?.panels.find((p) => p.id === row.value?.ownerId)?.value as Schemas['Panel'] | undefined)
const { draft, isChanged, undo } = useBench<Repair>(
  () => row.value,
  'repair',
  () => t('metal.draft'),
)
const plan = useRepairPlan(() => (row.value && draft.value ? { panelId: row.value.ownerId!, value: draft.value } : null))
const result = computed(() => plan.answer.value?.result)
const tabs = computed<Tab[]>(() => [
  'design',
  ...(result.value?.patch ? (['blank', 'fasteners'] as const) : []),
  ...(result.value?.advice ? (['finish'] as const) : []),
  'steps',
])
watch([tabs, tab], ([all, now]) => {
  if (result.value && !plan.wrong.value && !all.includes(now)) void router.replace({ params: { tab: 'design' } })
})
const toMetal = computed(() => ({ name: 'metal', params: { vehicleId: shell.value!.vehicle.id }, query: { at: row.value?.id } }))
async function keep() {
  if (await lengthsRead()) await save(row.value!, draft.value!)
}
async function drop() {
  await remove(row.value!)
  await router.push({ name: 'metal', params: { vehicleId: shell.value!.vehicle.id } })
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="!row || !panel || !draft" class="empty">
    <h2>{{ t('metal.gone') }}</h2>
    <RouterLink class="btn" :to="{ name: 'metal', params: { vehicleId: shell.vehicle.id } }">{{ t('metal.title') }}</RouterLink>
  </div>
  <div v-else class="screen">
    <BenchHead
      :name="row.value.name"
      :back="toMetal"
      :back-label="t('metal.title')"
      :tabs="tabs.map((key) => ({ key, text: t(`metal.tab.${key}`) }))"
      :tab="tab"
      :changed="isChanged"
      :remove-sure="t('metal.removeSure', { name: row.value.name })"
      @save="keep"
      @undo="undo"
      @remove="drop"
    />
    <DesignTab
      v-if="tab === 'design'"
      v-model="draft"
      :panel="panel"
      :panel-id="row.ownerId!"
      :plan="plan.answer.value"
      :wrong="plan.wrong.value"
    />
    <BlankTab
      v-else-if="tab === 'blank' && plan.answer.value?.result.patch"
      v-model:cut="draft.blankCut!"
      :panel="panel"
      :row="row"
      :patch="plan.answer.value.result.patch"
      :changed="isChanged"
    />
    <FastenersTab
      v-else-if="tab === 'fasteners' && plan.answer.value?.result.patch"
      :panel="panel"
      :panel-id="row.ownerId!"
      :patch="plan.answer.value.result.patch"
    />
    <FinishTab v-else-if="tab === 'finish' && plan.answer.value" :plan="plan.answer.value.result" />
    <RepairSteps v-else-if="tab === 'steps' && plan.answer.value" :row="row" :plan="plan.answer.value" :changed="isChanged" />
    <Waiting v-else :wrong="plan.wrong.value" />
  </div>
</template>
