<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** What a mass does to both axles, by where it stands; and what sheets against drumming weigh. */
const { t } = useI18n()
const typed = reactive({ wheelbaseMm: 3500, behindMm: 2100, kg: 100 })
const axles = useFigure('axle-loads', () => ({
  gear: { frontAtMm: 0, wheelbaseMm: typed.wheelbaseMm, isTrailer: false },
  masses: [{ name: 'mass', kg: typed.kg, at: { xMm: typed.behindMm, yMm: 0, zMm: 0 } }],
}))
const sheet = reactive({ areaM2: 10, kgM2: 2, coveredPercent: 100 })
const deadening = useFigure('deadening', () => ({ question: { ...sheet } }))
const one = (kg: number) => String(Math.round(kg * 10) / 10).replace('-', '−')
const verdict = computed(() => {
  const on = axles.answer.value?.result
  return on && t('figures.onAxles', { front: one(on.frontKg), rear: one(on.rearKg) })
})
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('figures.axlesMore') }}</p>
    <div class="form">
      <LengthInput v-model="typed.wheelbaseMm" :label="t('load.papers.wheelbaseMm')" />
      <LengthInput v-model="typed.behindMm" :label="t('figures.behindFront')" />
      <NumberInput v-model="typed.kg" :bounds="bounds.PlacedMass.kg" :label="t('load.kg')" required />
    </div>
    <Verdict :verdict="verdict ?? undefined" :wrong="axles.wrong.value" data-testid="axles" />
    <h2>{{ t('figures.deadening') }}</h2>
    <div class="form">
      <NumberInput v-model="sheet.areaM2" :bounds="bounds.DeadeningQuestion.areaM2" :label="t('figures.paintedArea')" required />
      <NumberInput v-model="sheet.kgM2" :bounds="bounds.DeadeningQuestion.kgM2" :label="t('figures.sheetKg')" required />
      <NumberInput
        v-model="sheet.coveredPercent"
        :bounds="bounds.DeadeningQuestion.coveredPercent"
        :label="t('figures.covered')"
        required
      />
    </div>
    <Verdict :verdict="deadening.answer.value?.result.verdict" :wrong="deadening.wrong.value" data-testid="deadening" />
  </div>
  <aside>
    <FigureSteps :title="t('figures.axles')" :worked="axles.answer.value" />
    <FigureSteps :title="t('figures.deadening')" :worked="deadening.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
</style>
