<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Skeleton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import type { Panel, Schemas, Stored } from '@/api/client'
import { newName } from '@/app/newName'
import { useState } from '@/app/state'
import { panelName, type ViewedFrom } from '@/drawing/facing'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import FloorTabs from './FloorTabs.vue'
import LiningLayer from './LiningLayer.vue'
import PassingThrough from './PassingThrough.vue'
import { useLinings } from './useLinings'

/** The linings of the vehicle, panel by panel, with what passes through them. */
const { t } = useI18n()
const router = useRouter()
const { shell, lengths } = useState()
const { linings, add } = useLinings()
/** Whoever fits a lining stands inside. */
const from = ref<ViewedFrom>('inside')
const chosen = ref<string | null>(null)
const panels = computed(() => (shell.value?.panels ?? []) as Stored<Panel>[])
const lines = computed(() => linings.answer.value?.linings ?? [])
const panelId = computed(
  () => chosen.value ?? lines.value[0]?.row.ownerId ?? linings.answer.value?.bare[0] ?? panels.value[0]?.id ?? null,
)
const panel = computed(() => panels.value.find((p) => p.id === panelId.value) ?? null)
const members = computed(() => shell.value!.members.filter((m) => m.ownerId === panelId.value).map((m) => m.value))
const drawn = computed(() =>
  lines.value
    .filter((l) => l.row.ownerId === panelId.value)
    .map((l) => ({ id: l.row.id, name: l.row.value.name, outline: l.row.value.outline, state: l.row.value.state })),
)
const nameOf = (l: Schemas['LiningLine']) => {
  const own = panels.value.find((p) => p.id === l.row.ownerId)
  return own ? panelName(own.value) : ''
}
const columns: Column<Schemas['LiningLine']>[] = [{ key: 'name', title: t('lining.title'), text: (l) => l.row.value.name }]
const toBench = (liningId: string) =>
  router.push({ name: 'lining', params: { vehicleId: shell.value!.vehicle.id, liningId, tab: 'design' } })
async function begin() {
  const taken = lines.value.map((l) => l.row.value.name)
  const row = await add(panelId.value!, newName(t('lining.newName'), taken))
  if (row) await toBench(row.id)
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="linings.wrong.value && !linings.answer.value" class="empty" role="alert">
    <h2>{{ linings.wrong.value }}</h2>
    <Action look="main" @click="linings.again()">{{ t('app.tryAgain') }}</Action>
  </div>
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('floor.title') }}</h1>
      <FloorTabs on="linings" />
      <div class="sp" />
      <template v-if="panel">
        <Choice
          :model-value="panel.id"
          :label="t('lining.panel')"
          hide-label
          :options="panels.map((p) => ({ value: p.id, text: panelName(p.value) }))"
          @update:model-value="(id) => (chosen = id)"
        />
        <ViewSwitch v-model="from" />
        <Action @click="begin">{{ t('lining.add') }}</Action>
      </template>
    </header>
    <PanelDrawing
      v-if="panel && linings.answer.value"
      :key="panel.id"
      :panel="panel.value"
      :members="members"
      :from="from"
      :lengths="lengths"
      :hide="{ bays: true }"
      :label="t('lining.drawing')"
    >
      <template #default="{ view }">
        <LiningLayer :view="view" :linings="drawn" @open="toBench" />
        <PassingThrough :view="view" :panel-id="panel!.id" />
      </template>
    </PanelDrawing>
    <aside>
      <Skeleton v-if="!linings.answer.value" active :title="false" />
      <Empty v-else-if="lines.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('lining.none')">
        <p>{{ t('lining.noneMore') }}</p>
      </Empty>
      <DataTable
        v-else
        data-testid="linings"
        :columns="columns"
        :rows="lines"
        :key-of="(l) => l.row.id"
        @open="(l) => toBench(l.row.id)"
      >
        <template #first="{ row }">
          {{ row.row.value.name }}
          <small class="soft">{{ nameOf(row) }}, {{ t(`lining.state.${row.row.value.state}`) }}</small>
          <small :class="row.state === 'good' ? 'soft' : 'look'">{{ row.verdict }}</small>
        </template>
      </DataTable>
    </aside>
  </div>
</template>

<style scoped>
small {
  display: block;
  font-weight: 400;
}
.look {
  color: var(--rust);
}
</style>
