<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { api, got, type Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import Choice from '@/ui/Choice.vue'
import JudgementList from '@/ui/JudgementList.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Ticks from '@/ui/Ticks.vue'
import Verdict from '@/ui/Verdict.vue'
import FromForecast from '@/ui/FromForecast.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** How much coating boards or an old roof take, and whether they may be coated now. */
const { t } = useI18n()
const { lengths } = useState()
const kind = ref<Schemas['WoodCoatKind']>('marineVarnish')
const typical = useAnswer(
  () => ['wood-coats'] as const,
  (_, signal) => got(api.GET('/api/calculators/wood-coats', { signal })),
)
/** As it usually is, until the figures of a sheet are typed over it. */
const coat = ref<Schemas['WoodCoat'] | null>(null)
watch(
  [typical.answer, kind],
  ([all, of]) => (coat.value = all?.find((c) => c.kind === of) ? { ...all.find((c) => c.kind === of)! } : null),
  { immediate: true },
)
const typed = reactive({
  areaM2: 2,
  edgesMm: 6000,
  thickMm: 18,
  seamsMm: 0,
  airC: 15,
  moisturePercent: null as number | null,
  leaksFound: false,
})
const isRoof = computed(() => kind.value === 'roofSilicone')
const plan = useFigure('coating', () =>
  coat.value ? { coating: { coat: { ...coat.value }, ...typed }, lengths: lengths.value } : null,
)
const result = computed(() => plan.answer.value?.result ?? null)
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.coating') }}</h2>
    <FromForecast @take="(present) => (typed.airC = present.air.airC)" />
    <div class="form">
      <Choice
        v-model="kind"
        class="wide"
        :label="t('figures.coatOf')"
        :options="enums.WoodCoatKind.map((k) => ({ value: k, text: t(`figures.coatKinds.${k}`) }))"
      />
      <NumberInput v-model="typed.areaM2" :bounds="bounds.CoatingQuestion.areaM2" :label="t('figures.faces')" required />
      <NumberInput
        v-model="typed.airC"
        :bounds="bounds.CoatingQuestion.airC"
        :label="t('figures.airOnly')"
        meter="temperatureC"
        required
      />
      <template v-if="isRoof">
        <LengthInput v-model="typed.seamsMm" :bounds="bounds.CoatingQuestion.seamsMm" :label="t('figures.seamsLong')" />
        <Ticks
          :of="typed"
          :choices="[{ key: 'leaksFound', text: t('figures.leaksFound') }]"
          @tick="(_, on) => (typed.leaksFound = on)"
        />
      </template>
      <template v-else>
        <LengthInput v-model="typed.edgesMm" :bounds="bounds.CoatingQuestion.edgesMm" :label="t('figures.edgesLong')" />
        <LengthInput v-model="typed.thickMm" :bounds="bounds.CoatingQuestion.thickMm" :label="t('figures.boardThick')" />
        <NumberInput
          v-model="typed.moisturePercent"
          :bounds="bounds.CoatingQuestion.moisturePercent"
          :label="t('figures.woodMoisture')"
          meter="moisturePercent"
        />
      </template>
      <template v-if="coat">
        <NumberInput v-model="coat.coats" :bounds="bounds.WoodCoat.coats" :label="t('figures.coats')" required />
        <NumberInput
          v-model="coat.firstM2PerLitre"
          :bounds="bounds.WoodCoat.firstM2PerLitre"
          :label="t('figures.coatFirst')"
          required
        />
        <NumberInput v-model="coat.m2PerLitre" :bounds="bounds.WoodCoat.m2PerLitre" :label="t('figures.coatThen')" required />
      </template>
    </div>
    <Verdict
      :verdict="result?.verdict"
      :look="result?.rows.some((r) => r.state !== 'good')"
      :wrong="plan.wrong.value"
      data-testid="coating"
    />
    <ol v-if="result">
      <li v-for="o in result.order" :key="o">{{ o }}</li>
    </ol>
    <JudgementList :rows="result?.rows ?? []" />
  </div>
  <aside>
    <FigureSteps :title="t('figures.coating')" :worked="plan.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
</style>
