<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import CutSheetFigure from '@/stages/floor/CutSheetFigure.vue'
import Action from '@/ui/Action.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import Ticks from '@/ui/Ticks.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** Pieces of anything that comes in sheets, typed in: foam, furring, shelves; cut with straight cuts. */
const { t } = useI18n()
const typed = reactive({
  pieces: [
    { name: t('figures.foam'), lengthMm: 419, widthMm: 419, count: 14, turnsFree: true },
    { name: t('figures.foam'), lengthMm: 419, widthMm: 240, count: 4, turnsFree: true },
  ] as Schemas['CutPiece'][],
  sheet: { name: t('figures.sheetOfCuts'), lengthMm: 2440, widthMm: 1220, count: null } as Schemas['CutStock'],
  offcut: { name: t('figures.offcut'), lengthMm: 1000, widthMm: 500, count: 0 },
  kerfMm: 3.2,
})
const question = computed(() => ({
  pieces: typed.pieces.map((p) => ({ ...p })),
  // What is there comes first.
  stock: [...(typed.offcut.count > 0 ? [{ ...typed.offcut }] : []), { ...typed.sheet }],
  kerfMm: typed.kerfMm,
  car: null,
}))
const plan = useFigure('board-cuts', () => ({ question: question.value }))
const result = computed(() => plan.answer.value?.result ?? null)
/** The plan numbers pieces and sheets as they were asked; while the next one is awaited, only what is still there is drawn. */
const sheets = computed(() => (result.value?.sheets ?? []).filter((s) => question.value.stock[s.stock]))
const pieces = computed(() => typed.pieces.map((p) => ({ name: p.name })))
const add = () =>
  (typed.pieces = [...typed.pieces, { name: t('figures.pieceOfCuts'), lengthMm: 600, widthMm: 300, count: 1, turnsFree: false }])
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.cuts') }}</h2>
    <div v-for="(p, i) in typed.pieces" :key="i" class="form pieces">
      <TextField v-model="p.name" :label="t('figures.pieceName')" :most="120" />
      <NumberInput v-model="p.count" :bounds="bounds.CutPiece.count" :label="t('figures.howMany')" required />
      <LengthInput v-model="p.lengthMm" :bounds="bounds.CutPiece.lengthMm" :label="t('figures.alongGrain')" />
      <LengthInput v-model="p.widthMm" :bounds="bounds.CutPiece.widthMm" :label="t('figures.acrossGrain')" />
      <Ticks
        class="wide"
        :of="p"
        :choices="[{ key: 'turnsFree', text: t('figures.turnsFree') }]"
        @tick="(_, on) => (p.turnsFree = on)"
      />
    </div>
    <div class="row">
      <Action @click="add">{{ t('figures.addPiece') }}</Action>
      <Action v-if="typed.pieces.length > 1" look="plain" @click="typed.pieces = typed.pieces.slice(0, -1)">{{
        t('figures.dropPiece')
      }}</Action>
    </div>
    <div class="form pieces">
      <LengthInput v-model="typed.sheet.lengthMm" :bounds="bounds.CutStock.lengthMm" :label="t('figures.sheetLong')" />
      <LengthInput v-model="typed.sheet.widthMm" :bounds="bounds.CutStock.widthMm" :label="t('figures.sheetWide')" />
      <LengthInput v-model="typed.kerfMm" :bounds="bounds.CutQuestion.kerfMm" :label="t('cuts.kerf')" />
      <NumberInput
        v-model="typed.offcut.count"
        :bounds="{ ...bounds.CutStock.count, least: 0 }"
        :label="t('figures.offcuts')"
        required
      />
      <template v-if="typed.offcut.count > 0">
        <LengthInput v-model="typed.offcut.lengthMm" :bounds="bounds.CutStock.lengthMm" :label="t('figures.offcutLong')" />
        <LengthInput v-model="typed.offcut.widthMm" :bounds="bounds.CutStock.widthMm" :label="t('figures.offcutWide')" />
      </template>
    </div>
    <Verdict :verdict="result?.verdict" :look="(result?.left.length ?? 0) > 0" :wrong="plan.wrong.value" data-testid="cuts" />
    <template v-if="!plan.wrong.value">
      <CutSheetFigure
        v-for="(s, n) in sheets"
        :key="n"
        :number="n + 1"
        :stock="question.stock[s.stock]!"
        :sheet="s"
        :pieces="pieces"
      />
    </template>
  </div>
  <aside>
    <FigureSteps :title="t('figures.cuts')" :worked="plan.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
.pieces {
  grid-template-columns: repeat(4, 1fr);
}
</style>
