<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, message } from 'ant-design-vue'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, got, type Schemas } from '@/api/client'
import { useKeys } from '@/app/keys'
import { newName } from '@/app/newName'
import { said, useState } from '@/app/state'
import { panelName, type ViewedFrom } from '@/drawing/facing'
import { middleOf } from '@/drawing/geometry'
import { drawingKey } from '@/drawing/keys'
import RepairLayer from '@/drawing/RepairLayer.vue'
import UnfoldedShell from '@/drawing/UnfoldedShell.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import Action from '@/ui/Action.vue'
import { useRepairs, type MetalLine, type Repair } from './useRepairs'

/** The metal of the shell: what rusts or is open, what is done about it, and in which order. */
/** The map comes first; what stands beside it brings its own parts of the library. */
const MetalList = defineAsyncComponent(() => import('./MetalList.vue'))
const RepairCard = defineAsyncComponent(() => import('./RepairCard.vue'))
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell, fittings, lengths } = useState()
const { metal, spots, repairs, add } = useRepairs()
const from = ref<ViewedFrom>('outside')
const drawing = ref<InstanceType<typeof UnfoldedShell> | null>(null)
const chosen = ref<string | null>(null)
const layers = { members: true, findings: false, openings: false, zones: false, bays: false }

const lines = computed<MetalLine[]>(() =>
  [
    ...spots.value.map((s) => ({
      key: s.findingId,
      panelId: s.panelId,
      order: s.order,
      value: s.proposal,
      spot: s,
      repair: null,
    })),
    ...repairs.value.map((r) => ({
      key: r.row.id,
      panelId: r.row.ownerId!,
      order: r.order,
      value: r.row.value,
      spot: null,
      repair: r,
    })),
  ].sort((a, b) => (a.order ?? Infinity) - (b.order ?? Infinity)),
)
const line = computed(() => lines.value.find((l) => l.key === chosen.value) ?? null)
watch(
  [lines, () => route.query.at],
  ([all, at]) => {
    if (all.some((l) => l.key === at)) chosen.value = at as string
  },
  { immediate: true },
)
/** Spots are drawn like repairs that nobody has planned yet. */
const drawn = computed(() => [
  ...spots.value.map((s) => ({
    row: { id: s.findingId, version: 0, ownerId: s.panelId, value: s.proposal },
    outline: s.proposal.points,
  })),
  ...repairs.value.map((r) => ({ row: r.row, outline: r.outline })),
])
const where = (l: MetalLine) => {
  const panel = shell.value?.panels.find((p) => p.id === l.panelId)
  return panel ? panelName(panel.value) : ''
}
async function plan(l: MetalLine, value: Repair) {
  const row = await add(l.panelId, value)
  if (row) await toBench(row.id)
}
const toBench = (id: string) =>
  router.push({ name: 'repair', params: { vehicleId: shell.value!.vehicle.id, repairId: id, tab: 'design' } })
/** A repair of something that nobody wrote down as a finding: at a place that is clicked. */
const placing = ref(false)
async function place(panelId: string, at: Schemas['PanelPoint']) {
  placing.value = false
  try {
    const path = { vehicleId: shell.value!.vehicle.id, panelId }
    const start = await got(api.GET('/api/vehicles/{vehicleId}/panels/{panelId}/new-repair', { params: { path, query: at } }))
    const taken = lines.value.map((l) => l.value.name)
    const row = await add(panelId, { ...start, name: newName(t('metal.newName'), taken) })
    if (row) await toBench(row.id)
  } catch (e) {
    void message.error(said(e))
  }
}
useKeys((event) => drawingKey(event, from, drawing.value))
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="metal.wrong.value && !metal.answer.value" class="empty" role="alert">
    <h2>{{ metal.wrong.value }}</h2>
    <Action look="main" @click="metal.again()">{{ t('app.tryAgain') }}</Action>
  </div>
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('metal.title') }}</h1>
      <span class="soft">{{ t('metal.count', { n: spots.length, m: repairs.length }) }}</span>
      <div class="sp" />
      <ViewSwitch v-model="from" />
      <RouterLink class="btn plain" :to="{ name: 'sheets', params: { vehicleId: shell.vehicle.id } }">{{
        t('metal.sheets')
      }}</RouterLink>
      <Action @click="placing = !placing">{{ placing ? t('app.cancel') : t('metal.add') }}</Action>
    </header>
    <UnfoldedShell
      ref="drawing"
      :shell="shell"
      :fittings="fittings"
      :from="from"
      :lengths="lengths"
      :layers="layers"
      :numbers="{}"
      :shown="null"
      :marks="drawn.map((r) => ({ panelId: r.row.ownerId!, at: middleOf(r.outline) }))"
      :picking="placing"
      @place="place"
    >
      <template #default="{ at }">
        <RepairLayer :repairs="drawn" :at="at" :chosen="chosen" @choose="(id) => (chosen = id)" />
      </template>
    </UnfoldedShell>
    <aside>
      <p v-if="placing" class="warn" role="status">{{ t('metal.placeIt') }}</p>
      <template v-if="line">
        <Action look="plain" class="back" @click="chosen = null">← {{ t('metal.title') }}</Action>
        <RepairCard
          :key="line.key"
          :value="line.value"
          :panel-id="line.panelId"
          :row="line.repair?.row ?? null"
          :look-again-on="line.repair?.lookAgainOn ?? null"
          :where="where(line)"
          @plan="(value) => plan(line!, value)"
          @bench="toBench(line!.key)"
        />
      </template>
      <template v-else>
        <div class="legend soft">
          <span>{{ t('metal.legend.open') }}</span>
          <span class="doing">{{ t('metal.legend.doing') }}</span>
          <span class="done">{{ t('metal.legend.done') }}</span>
        </div>
        <Empty v-if="lines.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('metal.none')">
          <p>{{ t('metal.noneMore') }}</p>
        </Empty>
        <MetalList v-else :lines="lines" :where="where" @open="(key) => (chosen = key)" />
        <p class="soft">{{ t('metal.orderMore') }}</p>
      </template>
    </aside>
  </div>
</template>

<style scoped>
.legend {
  display: flex;
  gap: 14px;
}
.legend span::before {
  content: '';
  display: inline-block;
  width: 12px;
  height: 12px;
  margin-right: 5px;
  border-radius: 3px;
  background: var(--rust);
  vertical-align: -1px;
}
.legend .doing::before {
  background: var(--amber);
}
.legend .done::before {
  background: var(--teal);
}
.back {
  align-self: flex-start;
}
</style>
