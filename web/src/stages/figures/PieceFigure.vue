<script setup lang="ts">
import { reactive, computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import JudgementList from '@/ui/JudgementList.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import TapedDrawing from './TapedDrawing.vue'
import { useFigure } from './useFigure'

/** An awkward board from a base line, tapes, rises and notches. */
const { t } = useI18n()
const { lengths } = useState()
const board = reactive<Schemas['TapedBoard']>({
  baseMm: 1200,
  corners: [
    { by: 'offset', firstMm: 1200, secondMm: 600, riseMm: 0 },
    { by: 'twoTapes', firstMm: 590, secondMm: 1330, riseMm: 0 },
  ],
  lastRiseMm: 0,
  notches: [],
  scribeMm: 5,
})
const piece = useFigure('board-outline', () => ({ board: JSON.parse(JSON.stringify(board)), lengths: lengths.value }))
const shape = computed(() => piece.answer.value?.result ?? null)
const addCorner = () =>
  (board.corners = [
    ...board.corners.slice(0, -1),
    { by: 'offset', firstMm: board.baseMm / 2, secondMm: 700, riseMm: 0 },
    board.corners.at(-1)!,
  ])
const addNotch = () => (board.notches = [...board.notches, { edge: 0, fromMm: 100, toMm: 160, depthMm: 40 }])
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.piece') }}</h2>
    <p class="soft">{{ t('figures.pieceMore') }}</p>
    <TapedDrawing v-if="shape && !piece.wrong.value" :shape="shape" />
    <Verdict :verdict="shape?.verdict" :look="(shape?.rows.length ?? 0) > 0" :wrong="piece.wrong.value" data-testid="piece" />
    <div class="form">
      <LengthInput v-model="board.baseMm" :bounds="bounds.TapedBoard.baseMm" :label="t('figures.baseLine')" />
      <LengthInput v-model="board.scribeMm" :bounds="bounds.TapedBoard.scribeMm" :label="t('figures.scribe')" />
    </div>
    <div v-for="(c, i) in board.corners" :key="`c${i}`" class="form corner">
      <Choice
        v-model="c.by"
        :label="t('figures.tapedBy', { n: i + 1 })"
        :options="enums.TapedBy.map((b) => ({ value: b, text: t(`figures.tapedBys.${b}`) }))"
      />
      <LengthInput v-model="c.firstMm" :bounds="bounds.TapedCorner.firstMm" :label="t(`figures.tapeFirst.${c.by}`)" />
      <LengthInput v-model="c.secondMm" :bounds="bounds.TapedCorner.secondMm" :label="t(`figures.tapeSecond.${c.by}`)" />
      <LengthInput v-model="c.riseMm" :bounds="bounds.TapedCorner.riseMm" :label="t('figures.edgeRise')" />
    </div>
    <div class="form corner">
      <LengthInput v-model="board.lastRiseMm" :bounds="bounds.TapedBoard.lastRiseMm" :label="t('figures.lastRise')" />
    </div>
    <div v-for="(n, i) in board.notches" :key="`n${i}`" class="form corner">
      <NumberInput v-model="n.edge" :bounds="bounds.TapedNotch.edge" :label="t('figures.notchEdge', { n: i + 1 })" required />
      <LengthInput v-model="n.fromMm" :bounds="bounds.TapedNotch.fromMm" :label="t('figures.notchFrom')" />
      <LengthInput v-model="n.toMm" :bounds="bounds.TapedNotch.toMm" :label="t('figures.notchTo')" />
      <LengthInput v-model="n.depthMm" :bounds="bounds.TapedNotch.depthMm" :label="t('figures.notchDeep')" />
    </div>
    <div class="row">
      <Action @click="addCorner">{{ t('figures.addCorner') }}</Action>
      <Action v-if="board.corners.length > 1" look="plain" @click="board.corners = board.corners.slice(0, -1)">{{
        t('figures.dropCorner')
      }}</Action>
      <Action @click="addNotch">{{ t('figures.addNotch') }}</Action>
      <Action v-if="board.notches.length > 0" look="plain" @click="board.notches = board.notches.slice(0, -1)">{{
        t('figures.dropNotch')
      }}</Action>
    </div>
    <table v-if="shape" class="figures" data-testid="piece-checks">
      <tbody>
        <tr v-for="(mm, i) in shape.checkMm" :key="i">
          <td>{{ t('figures.diagonal', { n: i + 1 }) }}</td>
          <td class="n">{{ lengthText(mm, lengths) }}</td>
        </tr>
      </tbody>
    </table>
    <JudgementList :rows="shape?.rows ?? []" />
  </div>
  <aside>
    <FigureSteps :title="t('figures.piece')" :worked="piece.answer.value" />
  </aside>
</template>

<style scoped>
.form,
.figures {
  max-width: 620px;
}
.corner {
  grid-template-columns: repeat(4, 1fr);
}
</style>
