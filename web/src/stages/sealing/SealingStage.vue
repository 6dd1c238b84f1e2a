<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Input } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import type { Schemas } from '@/api/client'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { useKeys } from '@/app/keys'
import { lengthText } from '@/app/length'
import { newName } from '@/app/newName'
import { useState } from '@/app/state'
import { panelName, type ViewedFrom } from '@/drawing/facing'
import { drawingKey } from '@/drawing/keys'
import UnfoldedShell from '@/drawing/UnfoldedShell.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import Action from '@/ui/Action.vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import JointCard from './JointCard.vue'
import JointForm from './JointForm.vue'
import JointLayer from './JointLayer.vue'
import ProductDrawer from './ProductDrawer.vue'
import { sameThing, stateOf, useSealing, type ShownJoint } from './useSealing'

/** Every joint of the shell that keeps water out: with what it is sealed, how much that takes, how long it needs, and what was done before. */
const { t } = useI18n()
const route = useRoute()
const { shell, fittings, lengths } = useState()
const sealing = useSealing()
const { joints, products, trouble } = sealing
const from = ref<ViewedFrom>('outside')
const drawing = ref<InstanceType<typeof UnfoldedShell> | null>(null)
const chosen = ref<string | null>(null)
const search = ref('')
const edited = ref<{ joint: ShownJoint; panelId: string; value: Schemas['Joint'] } | null>(null)
const isTyped = useDraft({
  kind: () => `joint ${String(route.params.vehicleId)}`,
  typed: () => edited.value,
  what: () => `${t('app.draft.joint')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const showProducts = ref(false)
const layers = { members: true, findings: false, openings: true, zones: false, bays: false }

const found = computed(() => {
  const words = search.value.trim().toLowerCase()
  return joints.value.filter((j) => `${j.value.name} ${j.product?.value.name ?? ''} ${where(j)}`.toLowerCase().includes(words))
})
const joint = computed(() => joints.value.find((j) => j.key === chosen.value) ?? null)
watch(
  [joints, () => route.query.at],
  ([all, at]) => {
    if (all.some((j) => j.key === at)) chosen.value = at as string
  },
  { immediate: true },
)
// A joint that was read off the shell gets an id when it is written down: the eye stays on it.
watch(joints, (now, before) => {
  const was = before?.find((j) => j.key === chosen.value)
  if (was && !now.some((j) => j.key === chosen.value))
    chosen.value = now.find((j) => j.panelId === was.panelId && sameThing(j.value, was.value))?.key ?? null
  const asked = route.query.joint
  if (chosen.value === null && asked)
    chosen.value = now.find((j) => j.value.of?.kind === 'opening' && j.value.of.id === asked)?.key ?? null
})
const open = computed(() => joints.value.filter((j) => stateOf(j) === 'open').length)
const columns: Column<ShownJoint>[] = [
  { key: 'name', title: t('sealing.joint'), text: (j) => j.value.name },
  {
    key: 'length',
    title: t('sealing.length'),
    text: (j) => lengthText(j.value.lengthMm, lengths.value),
    figure: (j) => j.value.lengthMm,
    width: 78,
  },
  {
    key: 'state',
    title: t('sealing.product'),
    text: (j) => (j.sealedOn ? t('sealing.sealed', { on: j.sealedOn }) : (j.product?.value.name ?? t('sealing.noProduct'))),
    narrows: true,
    width: 98,
  },
]
function where(j: ShownJoint): string {
  const panel = shell.value?.panels.find((p) => p.id === j.panelId)
  return panel ? panelName(panel.value) : ''
}
function beddingOf(j: ShownJoint): Schemas['FlangeBedding'] {
  const opening = j.value.of?.kind === 'opening' ? shell.value?.openings.find((o) => o.id === j.value.of!.id) : undefined
  return (opening?.value.schools ?? shell.value?.vehicle.value.schools)?.bedding ?? 'butylAndLapSealant'
}
function add() {
  const panel = shell.value!.panels[0]!
  const value: Schemas['Joint'] = {
    name: newName(
      t('sealing.kind.seam'),
      joints.value.map((j) => j.value.name),
    ),
    kind: 'seam',
    lengthMm: 1000,
    one: 'paintedMetal',
    other: 'paintedMetal',
    gapMm: 3,
    movementMm: 0,
    sun: true,
    standingWater: false,
    removableLater: false,
    paintedOver: false,
    structural: false,
    unbroken: false,
    of: null,
    productId: null,
    history: [],
    notes: '',
  }
  edited.value = {
    joint: { key: '', panelId: panel.id, row: null, value, product: null, faults: [], sealedOn: null, lies: null },
    panelId: panel.id,
    value: copyOf(value),
  }
}
const edit = (j: ShownJoint) => (edited.value = { joint: j, panelId: j.panelId, value: copyOf(j.value) })
async function keep() {
  const e = edited.value!
  const row = await sealing.save({ ...e.joint, panelId: e.panelId }, e.value)
  if (!row) return
  edited.value = null
  chosen.value = row.id
}
useKeys((event) => drawingKey(event, from, drawing.value))
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="trouble && !sealing.answer.value" class="empty" role="alert">
    <h2>{{ trouble }}</h2>
    <Action look="main" @click="sealing.load()">{{ t('app.tryAgain') }}</Action>
  </div>
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('sealing.title') }}</h1>
      <span class="soft">{{ t('sealing.joints', { n: joints.length, m: open }) }}</span>
      <div class="sp" />
      <ViewSwitch v-model="from" />
      <Action look="plain" @click="showProducts = true">{{ t('sealing.products') }}</Action>
      <Action @click="add">{{ t('sealing.add') }}</Action>
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
    >
      <template #default="{ at }">
        <JointLayer
          :joints="joints"
          :shell="shell"
          :fittings="fittings"
          :at="at"
          :chosen="chosen"
          @choose="(key) => (chosen = key)"
        />
      </template>
    </UnfoldedShell>
    <aside>
      <template v-if="joint">
        <Action look="plain" class="back" @click="chosen = null">← {{ t('sealing.title') }}</Action>
        <JointCard
          :key="joint.value.of?.id ?? joint.key"
          :joint="joint"
          :products="products"
          :where="where(joint)"
          :bedding="beddingOf(joint)"
          :keep="(value: Schemas['Joint']) => sealing.save(joint!, value)"
          @edit="edit(joint)"
        />
      </template>
      <template v-else>
        <div class="legend soft">
          <span class="is-open">{{ t('sealing.legend.open') }}</span>
          <span class="is-chosen">{{ t('sealing.legend.chosen') }}</span>
          <span class="is-sealed">{{ t('sealing.legend.sealed') }}</span>
        </div>
        <div v-if="joints.some((j) => j.faults.length > 0)" class="card fault" role="alert">
          <h2>{{ t('sealing.faults') }}</h2>
          <template v-for="j in joints" :key="j.key">
            <Action v-for="f in j.faults" :key="f" look="plain" class="line" @click="chosen = j.key">
              <b>{{ j.value.name }}</b> {{ f }}
            </Action>
          </template>
        </div>
        <Input
          v-model:value="search"
          allow-clear
          type="search"
          :placeholder="t('sealing.search')"
          :aria-label="t('sealing.search')"
        />
        <Empty v-if="joints.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('sealing.none')">
          <p>{{ t('sealing.noneMore') }}</p>
        </Empty>
        <DataTable
          v-if="joints.length > 0"
          data-testid="joints"
          :columns="columns"
          :rows="found"
          :key-of="(j) => j.key"
          :look="(j) => `is-${stateOf(j)}`"
          @open="(j) => (chosen = j.key)"
        >
          <template #first="{ row }">
            {{ row.value.name }} <small class="soft">{{ where(row) }}</small>
          </template>
        </DataTable>
        <a :href="`/api/vehicles/${shell.vehicle.id}/joints.csv`" download>{{ t('sealing.csv') }}</a>
      </template>
    </aside>
    <JointForm
      v-if="edited"
      v-model:value="edited.value"
      v-model:panel-id="edited.panelId"
      :joint="edited.joint"
      :others="joints.filter((j) => j.key !== edited!.joint.key).map((j) => j.value.name)"
      :is-typed="isTyped"
      @keep="keep"
      @close="edited = null"
      @remove="sealing.remove(edited!.joint).then(() => ((edited = null), (chosen = null)))"
    />
    <ProductDrawer v-model="showProducts" :products="products" />
  </div>
</template>

<style scoped>
:deep(.data small) {
  display: block;
  font-weight: 400;
}
:deep(.data tr td:first-child) {
  border-left: 4px solid var(--rust);
}
:deep(.data tr.is-chosen td:first-child) {
  border-left-color: var(--amber);
}
:deep(.data tr.is-sealed td:first-child) {
  border-left-color: var(--teal);
}
.fault {
  padding: 10px 12px;
  border-left: 4px solid var(--stop);
  background: var(--stop-soft);
}
.fault .line {
  height: auto;
  padding: 2px 0;
  text-align: left;
  white-space: normal;
}
.legend {
  display: flex;
  gap: 14px;
}
.legend span::before {
  content: '';
  display: inline-block;
  width: 22px;
  height: 0;
  margin-right: 5px;
  border-top: 3px dashed var(--rust);
  vertical-align: middle;
}
.legend .is-chosen::before {
  border-color: var(--amber);
}
.legend .is-sealed::before {
  border-top: 3px solid var(--teal);
}
.back {
  align-self: flex-start;
}
</style>
