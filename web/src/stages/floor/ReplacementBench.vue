<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import type { Panel, Stored } from '@/api/client'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import { useBench } from '@/app/useBench'
import BenchHead from '@/ui/BenchHead.vue'
import PiecesTab from './PiecesTab.vue'
import ReplacementSteps from './ReplacementSteps.vue'
import ReplaceTab from './ReplaceTab.vue'
import { useFloor, useFloorJob, type Replacement } from './useFloor'

/** One replacement: where it is cut, its pieces, and all of it in order. */
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell } = useState()
const { save, remove } = useFloor()
const tabs = ['replace', 'pieces', 'steps'] as const
const tab = computed(() => route.params.tab as (typeof tabs)[number])
const row = computed(
  () => shell.value?.floor.replacements.find((r) => r.id === route.params.replacementId) as Stored<Replacement> | undefined,
)
const panel = computed(() => shell.value?.panels.find((p) => p.id === row.value?.ownerId)?.value as Panel | undefined)
const { draft, isChanged, undo } = useBench<Replacement>(
  () => row.value,
  'replacement',
  () => t('floor.draft'),
)
const job = useFloorJob(() => (row.value && draft.value ? { panelId: row.value.ownerId!, value: draft.value } : null))
const toFloor = computed(() => ({ name: 'floor', params: { vehicleId: shell.value!.vehicle.id } }))
async function keep() {
  if (await lengthsRead()) await save(row.value!, draft.value!)
}
async function drop() {
  await remove(row.value!)
  await router.push(toFloor.value)
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="!row || !panel || !draft" class="empty">
    <h2>{{ t('floor.gone') }}</h2>
    <RouterLink class="btn" :to="toFloor">{{ t('floor.title') }}</RouterLink>
  </div>
  <div v-else class="screen">
    <BenchHead
      :name="row.value.name"
      :back="toFloor"
      :back-label="t('floor.title')"
      :tabs="tabs.map((key) => ({ key, text: t(`floor.tab.${key}`) }))"
      :tab="tab"
      :changed="isChanged"
      :remove-sure="t('floor.removeSure', { name: row.value.name })"
      @save="keep"
      @undo="undo"
      @remove="drop"
    />
    <ReplaceTab
      v-if="tab === 'replace'"
      :key="row.id"
      v-model="draft"
      :panel="panel"
      :panel-id="row.ownerId!"
      :job="job.answer.value"
      :wrong="job.wrong.value"
    />
    <PiecesTab v-else-if="tab === 'pieces' && job.answer.value" :row="row" :job="job.answer.value" :changed="isChanged" />
    <ReplacementSteps v-else-if="tab === 'steps' && job.answer.value" :row="row" :job="job.answer.value" :changed="isChanged" />
    <Waiting v-else :wrong="job.wrong.value" />
  </div>
</template>
