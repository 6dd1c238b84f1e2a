<script setup lang="ts">
import { reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import FromForecast from '@/ui/FromForecast.vue'
import JudgementList from '@/ui/JudgementList.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** Whether it may be painted now, in a range of temperatures that the coats allow. */
const emit = defineEmits<{ air: [airC: number] }>()
const props = defineProps<{ airC: number; leastC: number; mostC: number }>()
const { t } = useI18n()
const air = reactive({ relativePercent: 60, steelC: null as number | null, dryHours: null as number | null, touchDryHours: 2 })
const now = useFigure('paint-now', () => ({ now: { ...props, ...air } }))
/** By the forecast: the air of this hour, and until when it stays dry. */
function take(present: Schemas['PresentAir']) {
  emit('air', present.air.airC)
  air.relativePercent = present.air.relativePercent
  air.dryHours = present.dryHours
}
</script>

<template>
  <h2>{{ t('figures.paintNow') }}</h2>
  <FromForecast @take="take" />
  <div class="form">
    <NumberInput
      v-model="air.relativePercent"
      :bounds="bounds.PaintWeather.relativePercent"
      :label="t('figures.humidity')"
      meter="humidityPercent"
      required
    />
    <NumberInput v-model="air.steelC" :bounds="bounds.PaintWeather.steelC" :label="t('figures.steelC')" />
    <NumberInput v-model="air.dryHours" :bounds="bounds.PaintWeather.dryHours" :label="t('figures.rainIn')" />
    <NumberInput
      v-model="air.touchDryHours"
      :bounds="bounds.PaintWeather.touchDryHours"
      :label="t('figures.touchDry')"
      required
    />
  </div>
  <Verdict
    :verdict="now.answer.value?.result.verdict"
    :look="now.answer.value !== null && now.answer.value.result.state !== 'good'"
    :wrong="now.wrong.value"
    data-testid="paint-now"
  />
  <JudgementList v-if="now.answer.value" :rows="now.answer.value.result.rows" />
  <FigureSteps :title="t('figures.paintNow')" :worked="now.answer.value" />
</template>

<style scoped>
.form {
  grid-template-columns: 1fr 1fr;
}
</style>
