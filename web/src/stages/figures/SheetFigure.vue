<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import BendDrawing from './BendDrawing.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import RivetDrawing from './RivetDrawing.vue'
import { useFigure, type FigureInput } from './useFigure'

/** How much sheet a bend takes, and which rivets hold a patch, where. */
const { t } = useI18n()
const { lengths } = useState()
const L = (mm: number) => lengthText(mm, lengths.value)
const bend = reactive<Omit<FigureInput<'bend'>, 'lengths'>>({ metal: 'mildSteel', thickMm: 1, radiusMm: 1, degrees: 90 })
const bent = useFigure('bend', () => ({ ...bend, lengths: lengths.value }))
const row = reactive({
  widthMm: 240,
  heightMm: 170,
  cornerRadiusMm: 10,
  patchMm: 1,
  skinMm: 0.8,
  sealantMm: 1,
  edgeMm: 12 as number | null,
  duty: 'seal' as FigureInput<'fasteners'>['row']['duty'],
})
const patch = computed(() => ({ widthMm: row.widthMm, heightMm: row.heightMm, cornerRadiusMm: row.cornerRadiusMm }))
const riveted = useFigure('fasteners', () => ({
  row: {
    patchMm: patch.value,
    edgeMm: row.edgeMm,
    sheetsMm: [row.patchMm, row.skinMm],
    sealantMm: row.sealantMm,
    duty: row.duty,
  },
  lengths: lengths.value,
}))
const plan = computed(() => bent.answer.value?.result)
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.bend') }}</h2>
    <div class="form">
      <Choice
        v-model="bend.metal"
        :label="t('figures.metal')"
        :options="enums.BendMetal.map((m) => ({ value: m, text: t(`figures.metals.${m}`) }))"
      />
      <NumberInput v-model="bend.thickMm" :bounds="bounds.BendInput.thickMm" :label="t('figures.thick')" required />
      <LengthInput v-model="bend.radiusMm" :bounds="bounds.BendInput.radiusMm" :label="t('figures.inside')" />
      <NumberInput v-model="bend.degrees" :bounds="bounds.BendInput.degrees" :label="t('figures.outOfFlat')" required />
    </div>
    <Verdict
      :verdict="plan?.verdict"
      :look="(bent.answer.value?.warnings.length ?? 0) > 0"
      :wrong="bent.wrong.value"
      data-testid="bend"
    />
    <p v-for="w in bent.answer.value?.warnings ?? []" :key="w" class="warn">{{ w }}</p>
    <div v-if="plan" class="drawn">
      <BendDrawing :thick-mm="bend.thickMm" :radius-mm="bend.radiusMm" :degrees="bend.degrees" :flange-mm="plan.leastFlangeMm" />
      <table class="figures">
        <tbody>
          <tr v-for="f in ['allowance', 'setback', 'deduction'] as const" :key="f">
            <td>{{ t(`figures.${f}`) }}</td>
            <td class="n">{{ L(plan[`${f}Mm`]) }}</td>
          </tr>
          <tr>
            <td>{{ t('figures.kFactor') }}</td>
            <td class="n">{{ plan.kFactor.toFixed(2) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <h2>{{ t('figures.rivets') }}</h2>
    <div class="form">
      <LengthInput v-model="row.widthMm" :bounds="bounds.RoundedRectangle.widthMm" :label="t('figures.patchAlong')" />
      <LengthInput v-model="row.heightMm" :bounds="bounds.RoundedRectangle.heightMm" :label="t('figures.patchAcross')" />
      <LengthInput v-model="row.cornerRadiusMm" :bounds="bounds.RoundedRectangle.cornerRadiusMm" :label="t('figures.corner')" />
      <NumberInput v-model="row.patchMm" :bounds="bounds.RustSpot.sheetMm" :label="t('figures.sheetOne')" required />
      <NumberInput v-model="row.skinMm" :bounds="bounds.RustSpot.sheetMm" :label="t('figures.sheetTwo')" required />
      <LengthInput v-model="row.sealantMm" :bounds="bounds.RivetRow.sealantMm" :label="t('figures.sealantMm')" />
      <LengthInput v-model="row.edgeMm" :bounds="bounds.RivetRow.edgeMm" :label="t('figures.edgeMm')" optional />
      <Choice
        v-model="row.duty"
        :label="t('figures.duty')"
        :options="enums.RivetDuty.map((d) => ({ value: d, text: t(`figures.duties.${d}`) }))"
      />
    </div>
    <Verdict
      :verdict="riveted.answer.value?.result.verdict"
      :look="(riveted.answer.value?.warnings.length ?? 0) > 0"
      :wrong="riveted.wrong.value"
      data-testid="rivets"
    />
    <p v-for="w in riveted.answer.value?.warnings ?? []" :key="w" class="warn">{{ w }}</p>
    <RivetDrawing v-if="riveted.answer.value" :patch="patch" :plan="riveted.answer.value.result" />
  </div>
  <aside>
    <FigureSteps :title="t('figures.bend')" :worked="bent.answer.value" />
    <FigureSteps :title="t('figures.rivets')" :worked="riveted.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
h2:not(:first-child) {
  margin-top: 18px;
}
.drawn {
  display: grid;
  grid-template-columns: 300px 240px;
  gap: 24px;
  align-items: center;
  max-width: 620px;
}
@media (max-width: 700px) {
  .drawn {
    grid-template-columns: 1fr;
  }
}
</style>
