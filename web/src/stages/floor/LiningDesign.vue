<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Panel, Point, Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { lengthNumber, lengthText } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import DragHandle from '@/drawing/DragHandle.vue'
import { facingOf, type ViewedFrom } from '@/drawing/facing'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import PointList from '@/stages/walkaround/PointList.vue'
import Choice from '@/ui/Choice.vue'
import JudgementList from '@/ui/JudgementList.vue'
import LengthInput from '@/ui/LengthInput.vue'
import Switch from '@/ui/Switch.vue'
import TextField from '@/ui/TextField.vue'
import Verdict from '@/ui/Verdict.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import LiningLayer from './LiningLayer.vue'
import NewSheetFields from './NewSheetFields.vue'
import PassingThrough from './PassingThrough.vue'
import type { Lining } from './useLinings'

/** Where a lining lies and of what it is, in the drawing of its panel: its corners are dragged, and boards and holes follow. */
const props = defineProps<{ panel: Panel; panelId: string; job: Schemas['WorkedOfLiningJob'] | null; wrong: string }>()
const value = defineModel<Lining>({ required: true })
const { t } = useI18n()
const { shell, lengths } = useState()
const from = ref<ViewedFrom>('inside')
const marks = ref<Schemas['Mark'][]>([])
const part = ref<'sheet' | 'area'>('sheet')
const facing = computed(() => facingOf(props.panel))
const members = computed(() => shell.value!.members.filter((m) => m.ownerId === props.panelId).map((m) => m.value))
const plan = computed(() => props.job?.result.plan ?? null)
const move = (i: number, to: Point) => (value.value.outline = value.value.outline.map((p, j) => (j === i ? to : p)))
const shown = computed(() => [{ id: '', name: value.value.name, outline: value.value.outline, state: value.value.state }])
/** What was typed a moment ago is read before its field goes. */
async function toPart(which: typeof part.value) {
  await lengthsRead()
  part.value = which
}
</script>

<template>
  <PanelDrawing
    :panel="panel"
    :members="members"
    :from="from"
    :lengths="lengths"
    :marks="marks"
    :hide="{ bays: true }"
    :label="t('lining.drawing')"
  >
    <template #default="{ view }">
      <LiningLayer :view="view" :linings="shown" :joints="plan?.joints.map((j) => j.onPanel)" still />
      <PassingThrough :view="view" :panel-id="panelId" />
      <DragHandle
        v-for="(p, i) in value.outline"
        :key="i"
        :view="view"
        :at="p"
        :label="t('lining.corner', { n: i + 1 })"
        @move="(to) => move(i, to)"
      />
    </template>
  </PanelDrawing>
  <aside>
    <div class="row">
      <ViewSwitch v-model="from" />
    </div>
    <Verdict
      :verdict="plan?.verdict"
      :look="plan?.rows.some((r) => r.state !== 'good')"
      :wrong="wrong"
      data-testid="lining-verdict"
    />
    <div class="tabs" role="group" :aria-label="t('lining.tab.design')">
      <button
        v-for="p in ['sheet', 'area'] as const"
        :key="p"
        type="button"
        :class="{ on: part === p }"
        :aria-pressed="part === p"
        @click="toPart(p)"
      >
        {{ t(`lining.part.${p}`) }}
      </button>
    </div>
    <div v-if="part === 'sheet'" class="form">
      <LengthInput v-model="value.gapMm" :bounds="bounds.Lining.gapMm" :label="t('lining.gap')" />
      <LengthInput v-model="value.sheet.thickMm" :bounds="bounds.NewSheet.thickMm" :label="t('lining.thick')" />
      <Switch
        v-model="value.lies"
        class="wide"
        :choices="enums.LiningLies.map((l) => ({ key: l, text: t(`lining.liesAs.${l}`) }))"
        :label="t('lining.lies')"
      />
      <LengthInput v-model="value.undersizeMm" :bounds="bounds.Lining.undersizeMm" :label="t('lining.undersize')" />
      <Choice
        v-model="value.grain"
        :label="t('lining.grain')"
        :options="enums.Grain.map((g) => ({ value: g, text: t(`floor.grains.${g}`) }))"
      />
      <NewSheetFields v-model="value.sheet" />
    </div>
    <div v-else class="form">
      <TextField v-model="value.name" class="wide" :label="t('floor.name')" :most="80" />
      <PointList v-model="value.outline" class="wide" :least="3" :add-label="t('floor.addCorner')" :facing="facing" />
      <TextField v-model="value.notes" class="wide" :label="t('floor.notes')" :most="4000" lines />
    </div>
    <div v-if="plan" class="card" data-testid="lining-holes">
      <h2>{{ t('lining.holes') }}</h2>
      <p v-if="plan.holes.length === 0" class="soft">{{ t('lining.noHoles') }}</p>
      <ol>
        <li v-for="(h, i) in plan.holes" :key="i">
          <b>{{ h.opening }}</b>
          {{
            t('lining.holeSize', {
              wide: lengthNumber(h.final.sMaxMm - h.final.sMinMm, lengths),
              high: lengthText(h.final.tMaxMm - h.final.tMinMm, lengths),
              depth: lengthText(h.depthMm, lengths),
            })
          }}
        </li>
      </ol>
    </div>
    <JudgementList :rows="plan?.rows ?? []" @show="(row) => (marks = row?.where ?? [])" />
    <WorkedSteps :title="value.name" :worked="job" />
  </aside>
</template>

<style scoped>
.form {
  grid-template-columns: 1fr 1fr;
}
ol {
  margin: 0;
  padding-left: 22px;
}
</style>
