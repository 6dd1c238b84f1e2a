<script setup lang="ts">
import { reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import NumberInput from '@/ui/NumberInput.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** What the air holds, whether a surface may be coated, and how long a mixed batch can be worked. */
const { t } = useI18n()
const air = reactive({ airC: 23 as number | null, relativePercent: 50 as number | null, surfaceC: null as number | null })
const given = () =>
  air.airC === null || air.relativePercent === null ? null : { airC: air.airC, relativePercent: air.relativePercent }
const held = useFigure('absolute-humidity', given)
const dew = useFigure('dew-point', () => given() && { ...given()!, surfaceC: air.surfaceC })
const pot = reactive({ minutesAt23C: 30 as number | null, airC: 23 as number | null, grams: 100 as number | null })
const life = useFigure('pot-life', () =>
  pot.minutesAt23C === null || pot.airC === null || pot.grams === null
    ? null
    : { minutesAt23C: pot.minutesAt23C, airC: pot.airC, grams: pot.grams },
)
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.air') }}</h2>
    <div class="form">
      <NumberInput v-model="air.airC" :label="t('figures.airC')" meter="temperatureC" />
      <NumberInput v-model="air.relativePercent" :label="t('figures.humidity')" meter="humidityPercent" />
      <NumberInput v-model="air.surfaceC" :label="t('figures.surfaceC')" />
    </div>
    <Verdict
      :verdict="
        held.answer.value && dew.answer.value
          ? t('figures.airIs', {
              grams: held.answer.value.result.gramsPerM3.toFixed(1),
              most: held.answer.value.result.mostGramsPerM3.toFixed(1),
              dew: dew.answer.value.result.dewPointC.toFixed(1),
              verdict: dew.answer.value.result.verdict,
            })
          : undefined
      "
      :look="(dew.answer.value?.result.spareK ?? 0) < 0"
      :wrong="held.wrong.value || dew.wrong.value"
      data-testid="air"
    />
    <h2>{{ t('figures.potLife') }}</h2>
    <div class="form">
      <NumberInput v-model="pot.minutesAt23C" :label="t('figures.minutesAt23C')" />
      <NumberInput v-model="pot.airC" :label="t('figures.airC')" meter="temperatureC" />
      <NumberInput v-model="pot.grams" :label="t('figures.mixed')" />
    </div>
    <Verdict :verdict="life.answer.value?.result.verdict" :wrong="life.wrong.value" data-testid="pot" />
  </div>
  <aside>
    <FigureSteps :title="t('figures.humidityOf')" :worked="held.answer.value" />
    <FigureSteps :title="t('figures.dewPoint')" :worked="dew.answer.value" />
    <FigureSteps :title="t('figures.potLife')" :worked="life.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
h2:not(:first-child) {
  margin-top: 18px;
}
</style>
