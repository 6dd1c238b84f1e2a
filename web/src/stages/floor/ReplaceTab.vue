<script setup lang="ts">
import { watchOnce } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Panel, Point, Schemas, Stored } from '@/api/client'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import DragHandle from '@/drawing/DragHandle.vue'
import { facingOf, sideWord, type ViewedFrom } from '@/drawing/facing'
import { boxOf } from '@/drawing/geometry'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import PointList from '@/stages/walkaround/PointList.vue'
import JudgementList from '@/ui/JudgementList.vue'
import LengthInput from '@/ui/LengthInput.vue'
import TextField from '@/ui/TextField.vue'
import Verdict from '@/ui/Verdict.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import CutLayer from './CutLayer.vue'
import FloorLayer from './FloorLayer.vue'
import NewSheetFields from './NewSheetFields.vue'
import type { Board, Probe, Replacement } from './useFloor'

/** What is cut out and what carries it, in the drawing of its floor: the corners of what is bad are dragged, and the cut follows. */
const props = defineProps<{
  panel: Panel
  panelId: string
  job: Schemas['WorkedOfFloorJob'] | null
  wrong: string
}>()
const value = defineModel<Replacement>({ required: true })
const { t } = useI18n()
const { shell, lengths } = useState()
const from = ref<ViewedFrom>('inside')
const marks = ref<Schemas['Mark'][]>([])
const part = ref<'sheet' | 'area'>('sheet')
const facing = computed(() => facingOf(props.panel))
const on = <T extends { ownerId: string | null }>(rows: readonly T[]) => rows.filter((r) => r.ownerId === props.panelId)
const members = computed(() => on(shell.value!.members).map((m) => m.value))
const probes = computed(() => on(shell.value!.floor.probes) as Stored<Probe>[])
const boards = computed(() => on(shell.value!.floor.boards) as Stored<Board>[])
const plan = computed(() => props.job?.result.plan ?? null)
/** The drawing opens on the cut with room round it, and stays while a corner is dragged. */
const room = 250
const opened = shallowRef<readonly Point[]>(value.value.area)
watchOnce(plan, (first) => (opened.value = first?.cut.flat() ?? opened.value))
const focus = computed(() => {
  const b = boxOf(opened.value)
  return { s1: b.s1 - room, s2: b.s2 + room, t1: b.t1 - room, t2: b.t2 + room }
})
const move = (i: number, to: Schemas['PanelPoint']) => (value.value.area = value.value.area.map((p, j) => (j === i ? to : p)))
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
    :focus="focus"
    :hide="{ bays: true }"
    :label="t('floor.drawing')"
  >
    <template #default="{ view }">
      <CutLayer v-if="plan" :view="view" :area="value.area" :plan="plan" :lengths="lengths" />
      <FloorLayer :view="view" :probes="probes" :boards="boards" :cuts="[]" still />
      <DragHandle
        v-for="(p, i) in value.area"
        :key="i"
        :view="view"
        :at="p"
        :label="t('floor.corner', { n: i + 1 })"
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
      data-testid="floor-verdict"
    />
    <div class="tabs" role="group" :aria-label="t('floor.tab.replace')">
      <button
        v-for="p in ['sheet', 'area'] as const"
        :key="p"
        type="button"
        :class="{ on: part === p }"
        :aria-pressed="part === p"
        @click="toPart(p)"
      >
        {{ t(`floor.part.${p}`) }}
      </button>
    </div>
    <div v-if="part === 'sheet'" class="form">
      <LengthInput v-model="value.marginMm" :bounds="bounds.Replacement.marginMm" :label="t('floor.margin')" />
      <LengthInput v-model="value.sheet.thickMm" :bounds="bounds.NewSheet.thickMm" :label="t('floor.thick')" />
      <NewSheetFields v-model="value.sheet" />
    </div>
    <div v-else class="form">
      <TextField v-model="value.name" class="wide" :label="t('floor.name')" :most="80" />
      <PointList v-model="value.area" class="wide" :least="3" :add-label="t('floor.addCorner')" :facing="facing" />
      <TextField v-model="value.notes" class="wide" :label="t('floor.notes')" :most="4000" lines />
    </div>
    <div v-if="plan" class="card" data-testid="edges">
      <h2>{{ t('floor.edges') }}</h2>
      <ol>
        <li v-for="e in plan.edges" :key="e.side">
          <b>{{ sideWord(facing, e.side) }}</b> {{ [e.tape, e.carried].filter((part) => part).join(', ') }}
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
b::first-letter {
  text-transform: uppercase;
}
b {
  display: inline-block;
}
</style>
