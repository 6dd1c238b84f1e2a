<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, message, Skeleton } from 'ant-design-vue'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { bounds } from '@/api/bounds'
import { api, got, type Panel, type Point, type Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { lengthText } from '@/app/length'
import { newName } from '@/app/newName'
import { said, useState } from '@/app/state'
import { usePanelRecord } from '@/app/usePanelRecord'
import { panelName, type ViewedFrom } from '@/drawing/facing'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Switch from '@/ui/Switch.vue'
import Verdict from '@/ui/Verdict.vue'
import BoardForm from './BoardForm.vue'
import FloorLayer from './FloorLayer.vue'
import FloorTabs from './FloorTabs.vue'
import ProbeForm from './ProbeForm.vue'
import ProbeGrid from './ProbeGrid.vue'
import SagFigure from './SagFigure.vue'
import { useFloor, type Board, type FloorLine, type Probe } from './useFloor'

/** The floors of the vehicle: where wood is bad, what lies there, what is replaced; and how far a deck sags. */
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell, lengths } = useState()
const { floor, lines, add, probe } = useFloor()
const tab = computed(() => (route.params.tab === 'deck' ? 'deck' : 'survey'))
/** Whoever probes stands on it. */
const from = ref<ViewedFrom>('inside')
const floors = computed(() => (shell.value?.panels ?? []).filter((p) => p.value.kind === 'floor') as Stored<Panel>[])
const chosenFloor = ref<string | null>(null)
const panel = computed(() => floors.value.find((p) => p.id === chosenFloor.value) ?? floors.value[0] ?? null)
const on = <T extends { ownerId: string | null }>(rows: readonly T[]) => rows.filter((r) => r.ownerId === panel.value?.id)
const members = computed(() => on(shell.value!.members).map((m) => m.value))
const probes = computed(() => on(shell.value!.floor.probes) as Stored<Probe>[])
const boards = computed(() => on(shell.value!.floor.boards) as Stored<Board>[])
const shown = computed(() => lines.value.filter((l) => l.panelId === panel.value?.id))
const cuts = computed(() =>
  shown.value.map((l) => ({
    id: l.key,
    name: l.value.name,
    state: l.value.state,
    cut: l.replaced?.cut ?? [l.value.area],
  })),
)
const deck = computed(() => floor.answer.value?.decks.find((d) => d.panelId === panel.value?.id)?.deck ?? null)
const chosen = ref<string | null>(null)
const line = computed(() => shown.value.find((l) => l.key === chosen.value) ?? null)
const stateText = (l: FloorLine) => (l.replaced ? t(`floor.state.${l.value.state}`) : t('floor.notPlanned'))
const columns: Column<FloorLine>[] = [{ key: 'name', title: t('floor.what'), text: (l) => l.value.name }]

/** Tapping the floor: a place is probed, or what is bad there gets a replacement. */
const tapping = ref<'probe' | 'replacement' | null>(null)
const next = reactive({
  of: 'board' as Probe['of'],
  wood: 'sound' as Probe['wood'],
  moisturePercent: null as number | null,
})
const since = ref(0)
/** Whether a grid is being typed. */
const grid = ref(false)
function begin(what: typeof tapping.value) {
  tapping.value = tapping.value === what ? null : what
  since.value = 0
}
const tapped = (at: Point): Probe => ({ ...next, at, takenAt: new Date().toISOString(), notes: '' })
async function place(at: Point) {
  if (tapping.value === 'probe') {
    if (await probe(panel.value!.id, tapped(at))) since.value++
    // A reading belongs to the place where it was taken.
    next.moisturePercent = null
  } else if (tapping.value === 'replacement') {
    tapping.value = null
    try {
      const path = { vehicleId: shell.value!.vehicle.id, panelId: panel.value!.id }
      const start = await got(
        api.GET('/api/vehicles/{vehicleId}/panels/{panelId}/new-replacement', { params: { path, query: at } }),
      )
      const taken = lines.value.map((l) => l.value.name)
      await plan({ ...start, name: newName(t('floor.newName'), taken) })
    } catch (e) {
      void message.error(said(e))
    }
  }
}
async function plan(value: FloorLine['value']) {
  const row = await add(panel.value!.id, value)
  if (row) await toBench(row.id)
}
const toBench = (id: string) =>
  router.push({ name: 'replacement', params: { vehicleId: shell.value!.vehicle.id, replacementId: id, tab: 'replace' } })

const probeRecord = usePanelRecord<Probe>('probes')
const boardRecord = usePanelRecord<Board>('boards')
function openProbe(id: string) {
  const row = probes.value.find((p) => p.id === id)
  if (row) probeRecord.begin(panel.value!.id, row.value, row)
}
const typeProbe = () => probeRecord.begin(panel.value!.id, tapped({ sMm: 0, tMm: 0 }))
async function addBoard() {
  const name = newName(
    t('floor.boardName'),
    boards.value.map((b) => b.value.name),
  )
  try {
    const path = { vehicleId: shell.value!.vehicle.id, panelId: panel.value!.id }
    const start = await got(
      api.GET('/api/vehicles/{vehicleId}/panels/{panelId}/new-board', { params: { path, query: { name } } }),
    )
    boardRecord.begin(panel.value!.id, start)
  } catch (e) {
    void message.error(said(e))
  }
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="floor.wrong.value && !floor.answer.value" class="empty" role="alert">
    <h2>{{ floor.wrong.value }}</h2>
    <Action look="main" @click="floor.again()">{{ t('app.tryAgain') }}</Action>
  </div>
  <div v-else-if="!panel" class="empty">
    <FloorTabs :on="tab" />
    <h2>{{ t('floor.none') }}</h2>
    <p>{{ t('floor.noneMore') }}</p>
    <RouterLink class="btn main" :to="{ name: 'walkaround', params: { vehicleId: shell.vehicle.id } }">{{
      t('floor.toWalkaround')
    }}</RouterLink>
  </div>
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('floor.title') }}</h1>
      <FloorTabs :on="tab" />
      <div class="sp" />
      <template v-if="tab === 'survey'">
        <Choice
          v-if="floors.length > 1"
          :model-value="panel.id"
          :label="t('floor.which')"
          hide-label
          :options="floors.map((f) => ({ value: f.id, text: panelName(f.value) }))"
          @update:model-value="(id) => (chosenFloor = id)"
        />
        <ViewSwitch v-model="from" />
        <Action :look="tapping === 'probe' ? 'main' : undefined" @click="begin('probe')">{{
          tapping === 'probe' ? t('floor.done') : t('floor.probe')
        }}</Action>
        <Action @click="begin('replacement')">{{ tapping === 'replacement' ? t('app.cancel') : t('floor.add') }}</Action>
      </template>
    </header>
    <SagFigure v-if="tab === 'deck' && floor.answer.value" :key="panel.id" :start="deck" />
    <template v-else>
      <PanelDrawing
        :panel="panel.value"
        :members="members"
        :from="from"
        :lengths="lengths"
        :hide="{ bays: true }"
        :label="t('floor.drawing')"
        :picking="tapping !== null"
        @place="place"
      >
        <template #default="{ view }">
          <FloorLayer
            :view="view"
            :probes="probes"
            :boards="boards"
            :cuts="cuts"
            @probe="openProbe"
            @cut="(id) => (chosen = id)"
          />
        </template>
      </PanelDrawing>
      <aside>
        <div v-if="tapping === 'probe'" class="card" data-testid="probing">
          <h2>{{ t('floor.probing') }}</h2>
          <p class="soft">{{ t('floor.probeMore') }}</p>
          <Switch
            v-model="next.of"
            :choices="enums.ProbeOf.map((o) => ({ key: o, text: t(`floor.ofs.${o}`) }))"
            :label="t('floor.of')"
          />
          <Switch
            v-model="next.wood"
            class="woods"
            :choices="enums.WoodState.map((w) => ({ key: w, text: t(`floor.woods.${w}`) }))"
            :label="t('floor.wood')"
          />
          <NumberInput
            v-model="next.moisturePercent"
            :bounds="bounds.Probe.moisturePercent"
            :label="t('floor.moisture')"
            meter="moisturePercent"
          />
          <p role="status">{{ t('floor.probed', { n: since }) }}</p>
          <div class="row">
            <Action look="plain" @click="typeProbe">{{ t('floor.typePlace') }}</Action>
            <Action look="plain" @click="grid = true">{{ t('floor.typeGrid') }}</Action>
          </div>
        </div>
        <p v-else-if="tapping === 'replacement'" class="warn" role="status">{{ t('floor.placeIt') }}</p>
        <template v-if="line">
          <Action look="plain" class="back" @click="chosen = null">← {{ t('floor.title') }}</Action>
          <div class="card" data-testid="floor-card">
            <h2>{{ line.value.name }}</h2>
            <p class="soft">{{ panelName(panel.value) }}, {{ stateText(line) }}</p>
            <Verdict v-if="line.replaced" :verdict="line.replaced.verdict" :look="line.replaced.state !== 'good'" wrong="" />
            <Action v-if="line.replaced" look="main" @click="toBench(line!.key)">{{ t('floor.toBench') }}</Action>
            <Action v-else look="main" @click="plan(line!.value)">{{ t('floor.planIt') }}</Action>
          </div>
        </template>
        <template v-else-if="!tapping">
          <Skeleton v-if="!floor.answer.value" active :title="false" />
          <Empty v-else-if="shown.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('floor.nothing')">
            <p>{{ t('floor.nothingMore') }}</p>
          </Empty>
          <DataTable
            v-else
            data-testid="floor"
            :columns="columns"
            :rows="shown"
            :key-of="(l) => l.key"
            @open="(l) => (chosen = l.key)"
          >
            <template #first="{ row }">
              <b class="order">{{ row.order ?? (row.replaced ? '✓' : '·') }}</b> {{ row.value.name }}
              <small class="soft">{{ stateText(row) }}</small>
            </template>
          </DataTable>
          <p class="soft">{{ t('floor.orderMore') }}</p>
          <div class="card" data-testid="boards">
            <h2>{{ t('floor.boards') }}</h2>
            <p v-if="boards.length === 0" class="soft">{{ t('floor.noBoards') }}</p>
            <button
              v-for="b in boards"
              :key="b.id"
              class="btn plain board"
              type="button"
              @click="boardRecord.begin(panel!.id, b.value, b)"
            >
              {{ b.value.name }}, {{ t(`floor.materials.${b.value.material}`) }}, {{ lengthText(b.value.thickMm, lengths) }}
            </button>
            <Action @click="addBoard">{{ t('floor.addBoard') }}</Action>
          </div>
          <p class="soft">{{ t('floor.legend') }}</p>
        </template>
      </aside>
    </template>
    <ProbeForm :record="probeRecord" />
    <BoardForm :record="boardRecord" />
    <ProbeGrid v-model:open="grid" :panel-id="panel.id" :of="next.of" />
  </div>
</template>

<style scoped>
.back {
  align-self: flex-start;
}
.board {
  justify-content: flex-start;
  text-align: left;
}
.woods :deep(button) {
  min-height: 44px;
}
small {
  display: block;
  font-weight: 400;
}
.order {
  color: var(--rust);
}
</style>
