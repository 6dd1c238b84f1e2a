<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Point, Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { lengthText } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import { facingOf, type ViewedFrom } from '@/drawing/facing'
import { boxOf } from '@/drawing/geometry'
import OpeningShape from '@/drawing/OpeningShape.vue'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import PointList from '@/stages/walkaround/PointList.vue'
import Choice from '@/ui/Choice.vue'
import JudgementList from '@/ui/JudgementList.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import Ticks from '@/ui/Ticks.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import Wrong from '@/ui/Wrong.vue'
import DoorDrawing from './DoorDrawing.vue'
import DoorFields from './DoorFields.vue'
import PatchFields from './PatchFields.vue'
import PatchHandles from './PatchHandles.vue'
import PatchLayer from './PatchLayer.vue'
import SpotFields from './SpotFields.vue'
import { useRepairKinds } from './useRepairKinds'
import { usualMarkMm } from './marks'
import WindowFields from './WindowFields.vue'
import type { Repair } from './useRepairs'

/** What is done at a place, in a drawing of its panel: the patch can be dragged by its sides; the rules follow. */
const props = defineProps<{
  panel: Schemas['Panel']
  panelId: string
  plan: Schemas['WorkedOfRepairPlan'] | null
  wrong: string
}>()
const value = defineModel<Repair>({ required: true })
const { t } = useI18n()
const { shell, fittings, lengths } = useState()
const from = ref<ViewedFrom>('outside')
const marks = ref<Schemas['Mark'][]>([])
const part = ref<'make' | 'metal' | 'place'>('make')
const members = computed(() => shell.value!.members.filter((m) => m.ownerId === props.panelId).map((m) => m.value))
const patch = computed(() => props.plan?.result.patch ?? null)
const protects = computed(() => props.plan?.result.isForWorkshop === true)
const { kindsOf, asKind } = useRepairKinds(() => props.panelId)
const setKind = async (kind: Repair['kind']) => (value.value = await asKind(value.value, kind))
/** What is drawn where there is no patch: the place itself. */
const damage = computed<readonly Point[]>(() => (value.value.shape === 'area' ? value.value.points : []))
/** The drawing shows the place with room round it, and stays while a side is dragged. */
const focus = computed(() => {
  const b = boxOf(value.value.points)
  const room = Math.max(120, (b.s2 - b.s1) * 0.12, (b.t2 - b.t1) * 0.12)
  return { s1: b.s1 - room, s2: b.s2 + room, t1: b.t1 - room, t2: b.t2 + room }
})
/** The height of the panel, where it is a door. */
const doorHeight = computed(() => {
  const b = boxOf(props.panel.outline)
  return b.t2 - b.t1
})
/** What is planned beside an old window, since it swallows marks. */
const openings = computed(() =>
  value.value.kind !== 'windowOut'
    ? []
    : shell.value!.openings.flatMap((o) => {
        const fitting = fittings.value.find((f) => f.id === o.value.fittingId)?.value
        return o.ownerId === props.panelId && fitting ? [{ id: o.id, ...o.value, fitting }] : []
      }),
)
/** A double click marks a dig beside an old window. */
function mark(at: Point) {
  const old = value.value.window
  if (value.value.kind === 'windowOut' && old && part.value === 'make') old.marks = [...old.marks, { at, acrossMm: usualMarkMm }]
}
/** Of a door its gaps are drawn instead of its panel. */
const chart = computed(() => (value.value.door && part.value === 'make' ? (props.plan?.result.door ?? null) : null))
/** What the rules say of the metal stands with the metal; what nothing overrules stands everywhere. */
const rows = computed(() => {
  const result = props.plan?.result
  const advice = result?.advice?.rows ?? []
  if (part.value === 'metal') return advice
  const first = protects.value || !result?.patch ? advice : []
  const more = result?.window?.rows ?? result?.door?.rows ?? []
  return [...first, ...(result?.patch?.rows ?? []), ...(result?.holes?.ways ?? []), ...more]
})
/** What was typed a moment ago is read before its field goes. */
async function toPart(which: typeof part.value) {
  await lengthsRead()
  part.value = which
}
/** Of several ways to close holes it is enough that one does. */
const look = computed(() => {
  const holes = props.plan?.result.holes
  return holes ? holes.way === null : rows.value.some((r) => r.state !== 'good')
})
const parts = computed(
  () =>
    [
      'make',
      ...(value.value.spot && ['treat', 'patch', 'plate'].includes(value.value.kind) ? ['metal' as const] : []),
      'place',
    ] as const,
)
</script>

<template>
  <DoorDrawing v-if="chart" :plan="chart" :height-mm="doorHeight" :seal-mm="value.door!.sealMm" />
  <PanelDrawing
    v-else
    :panel="panel"
    :members="members"
    :from="from"
    :lengths="lengths"
    :marks="marks"
    :focus="focus"
    :hide="{ bays: true }"
    :label="t('metal.drawing')"
    @place="mark"
  >
    <template #default="{ view }">
      <template v-if="patch">
        <PatchLayer :view="view" :damage="damage" :patch="patch" />
        <PatchHandles
          v-if="value.patch && value.patch.shape !== 'grown'"
          v-model="value.patch"
          :view="view"
          :damage="damage"
          :patch="patch"
          :facing="facingOf(panel)"
        />
      </template>
      <template v-else>
        <OpeningShape
          v-for="o in openings"
          :key="o.id"
          :view="view"
          :fitting="o.fitting"
          :centre="o.centre"
          :turn-deg="o.turnDeg"
          :name="o.name"
          :state="o.state"
        />
        <path
          v-if="value.shape === 'area'"
          class="place"
          :class="{ pane: value.kind === 'windowOut' }"
          :d="view.path(value.points)"
        />
        <path
          v-else-if="value.points.length > 1 && value.kind !== 'plug'"
          class="run"
          :d="view.path(value.points).slice(0, -1)"
        />
        <circle
          v-for="(m, i) in value.window?.marks ?? []"
          :key="`m${i}`"
          class="mark"
          :class="plan?.result.window?.marks[i]?.fate"
          :cx="view.x(m.at.sMm)"
          :cy="view.y(m.at.tMm)"
          :r="Math.max(4, (m.acrossMm / 2) * view.scale.value)"
        />
        <template v-if="value.shape !== 'area' || value.kind === 'plug'">
          <circle v-for="(p, i) in value.points" :key="i" class="spot" :cx="view.x(p.sMm)" :cy="view.y(p.tMm)" r="6" />
        </template>
      </template>
    </template>
  </PanelDrawing>
  <aside>
    <div v-if="!chart" class="row">
      <ViewSwitch v-model="from" />
    </div>
    <p v-if="plan && !wrong" class="verdict" :class="{ look }" role="status" data-testid="repair-verdict">
      {{ plan.result.verdict }}
    </p>
    <Wrong :text="wrong" />
    <div class="tabs" role="group" :aria-label="t('metal.tab.design')">
      <button v-for="p in parts" :key="p" type="button" :class="{ on: part === p }" :aria-pressed="part === p" @click="toPart(p)">
        {{ t(`metal.part.${p}`) }}
      </button>
    </div>
    <div v-if="part === 'make'" class="form">
      <Choice
        class="wide"
        :model-value="value.kind"
        :label="t('metal.how')"
        :options="kindsOf(value)"
        @update:model-value="setKind"
      />
      <p v-if="protects" class="warn wide">{{ t('metal.protects') }}</p>
      <PatchFields
        v-else-if="(value.kind === 'patch' || value.kind === 'plate') && value.patch"
        v-model="value.patch"
        :plate="value.kind === 'plate'"
        :facing="facingOf(panel)"
      />
      <template v-else-if="value.kind === 'plug' && value.holes">
        <LengthInput v-model="value.holes.diameterMm" :bounds="bounds.HoleRow.diameterMm" :label="t('metal.diameter')" />
        <NumberInput v-model="value.holes.sheetMm" :bounds="bounds.HoleRow.sheetMm" :label="t('figures.sheetMm')" required />
        <Choice
          :model-value="value.holes.way ?? 'first'"
          :label="t('metal.way')"
          :options="[
            { value: 'first', text: t('metal.firstWay') },
            ...enums.HoleWay.map((w) => ({ value: w, text: t(`metal.ways.${w}`) })),
          ]"
          @update:model-value="(w) => (value.holes!.way = w === 'first' ? null : (w as Schemas['HoleWay']))"
        />
        <Choice
          v-model="value.holes.metal"
          :label="t('metal.metal')"
          :options="enums.SheetMetal.map((m) => ({ value: m, text: t(`metal.metals.${m}`) }))"
        />
        <Ticks
          class="wide"
          :of="value.holes"
          :choices="[
            { key: 'bothSides', text: t('figures.bothSides') },
            { key: 'carries', text: t('metal.carriesAgain') },
          ]"
          @tick="(key, on) => (value.holes![key] = on)"
        />
      </template>
      <template v-else-if="value.kind === 'gutter' && value.seam">
        <LengthInput v-model="value.seam.wideMm" :bounds="bounds.SeamRun.wideMm" :label="t('metal.beadWide')" />
        <LengthInput v-model="value.seam.deepMm" :bounds="bounds.SeamRun.deepMm" :label="t('metal.beadDeep')" />
        <NumberInput v-model="value.seam.spotWelds" :bounds="bounds.SeamRun.spotWelds" :label="t('metal.spotWelds')" required />
      </template>
      <WindowFields
        v-else-if="value.kind === 'windowOut' && value.window"
        v-model="value.window"
        :plan="plan?.result.window ?? null"
        :outline="value.points"
        :facing="facingOf(panel)"
      />
      <DoorFields v-else-if="value.kind === 'door' && value.door" v-model="value.door" :plan="plan?.result.door ?? null" />
      <template v-else-if="value.kind === 'trim' && value.trim">
        <Choice
          v-model="value.trim.held"
          :label="t('metal.heldBy')"
          :options="enums.TrimHeld.map((h) => ({ value: h, text: t(`metal.held.${h}`) }))"
        />
        <LengthInput v-model="value.trim.pitchMm" :bounds="bounds.TrimRun.pitchMm" :label="t('metal.pitch')" />
        <LengthInput v-model="value.trim.beddingWideMm" :bounds="bounds.TrimRun.beddingWideMm" :label="t('metal.beddingWide')" />
      </template>
    </div>
    <div v-else-if="part === 'metal' && value.spot" class="form">
      <SpotFields v-model="value.spot" />
    </div>
    <div v-else class="form">
      <TextField v-model="value.name" class="wide" :label="t('metal.name')" :most="80" />
      <PointList
        v-model="value.points"
        class="wide"
        :least="value.shape === 'area' ? 3 : value.shape === 'line' ? 2 : 1"
        :most="value.kind === 'plug' || value.shape !== 'point' ? undefined : 1"
        :add-label="t('metal.addPoint')"
        :facing="facingOf(panel)"
      />
      <LengthInput
        v-if="value.shape === 'point'"
        v-model="value.lengthMm"
        optional
        :bounds="bounds.Repair.lengthMm"
        :label="t('metal.diameter')"
      />
      <LengthInput
        v-if="value.shape === 'line'"
        v-model="value.widthMm"
        optional
        :bounds="bounds.Repair.widthMm"
        :label="t('metal.lineWidth')"
      />
      <TextField v-model="value.notes" class="wide" :label="t('metal.notes')" :most="4000" lines />
    </div>
    <table v-if="patch && part === 'make'" class="figures" data-testid="patch-figures">
      <tbody>
        <tr>
          <td>{{ t('metal.cutOut') }}</td>
          <td class="n">{{ Math.round(patch.holeMm2 / 100) }} cm²</td>
        </tr>
        <tr>
          <td>{{ t('metal.soundLost') }}</td>
          <td class="n">{{ Math.max(0, Math.round((patch.holeMm2 - patch.damageMm2) / 100)) }} cm²</td>
        </tr>
        <tr>
          <td>{{ t('metal.edge') }}</td>
          <td class="n">{{ lengthText(patch.edgeMm, lengths) }}</td>
        </tr>
        <tr v-if="patch.adhesiveMl > 0">
          <td>{{ t('metal.adhesive') }}</td>
          <td class="n">{{ Math.ceil(patch.adhesiveMl) }} ml</td>
        </tr>
        <tr>
          <td>{{ t('metal.mass') }}</td>
          <td class="n">{{ patch.massKg.toFixed(2) }} kg</td>
        </tr>
      </tbody>
    </table>
    <JudgementList :rows="rows" @show="(row) => (marks = row?.where ?? [])" />
    <p v-for="w in plan?.warnings ?? []" :key="w" class="warn">{{ w }}</p>
    <WorkedSteps :title="value.name" :worked="plan" />
  </aside>
</template>

<style scoped>
.place {
  fill: color-mix(in srgb, var(--rust) 40%, transparent);
  stroke: var(--rust);
  stroke-width: 1.5;
}
.run {
  fill: none;
  stroke: var(--rust);
  stroke-width: 4;
}
.place.pane {
  fill: none;
  stroke-width: 2.5;
  stroke-dasharray: 10 5;
}
.mark.cutAway {
  fill: var(--teal);
}
.mark {
  fill: var(--amber);
  stroke: var(--ink);
}
.spot {
  fill: var(--rust);
  stroke: var(--white);
  stroke-width: 1.5;
}
.verdict {
  margin: 0;
  padding: 8px 10px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
  font-weight: 500;
}
.verdict.look {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.form {
  grid-template-columns: 1fr 1fr;
}
</style>
