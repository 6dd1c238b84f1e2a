<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { useState } from '@/app/state'
import JudgementList from '@/ui/JudgementList.vue'
import LengthInput from '@/ui/LengthInput.vue'
import MaterialTable from '@/ui/MaterialTable.vue'
import NumberInput from '@/ui/NumberInput.vue'
import SpotFields from '@/stages/metal/SpotFields.vue'
import StepList from '@/ui/StepList.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure, type FigureInput } from './useFigure'

/** A rusty place: what was found, what that leads to by which rule, and how it is done. */
type Work = FigureInput<'rust-treatment'>['work']
const { t } = useI18n()
const { lengths } = useState()
const spot = ref<Work['spot']>({
  grade: 'begun',
  flakes: false,
  sheetMm: 0.8,
  leftMm: null,
  areaPercent: 0.5,
  holeMm: 0,
  carries: false,
  structure: false,
  bothSides: true,
  pocket: false,
  near: [],
})
const place = reactive({ lengthMm: 150, widthMm: 80, airC: 18, relativePercent: 60 })
const limits = reactive({ treatBelowPercent: 10, cutAbovePercent: 30, puttyMostMm: 10 })
const editsLimits = ref(false)
const plan = useFigure('rust-treatment', () => ({ work: { spot: spot.value, ...place, limits }, lengths: lengths.value }))
const advice = computed(() => plan.answer.value?.result.advice)
const procedure = computed(() => plan.answer.value?.result.procedure)
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('figures.rustMore') }}</p>
    <div class="form">
      <SpotFields v-model="spot">
        <LengthInput v-model="place.lengthMm" :bounds="bounds.RustWork.lengthMm" :label="t('figures.rustLength')" />
        <LengthInput v-model="place.widthMm" :bounds="bounds.RustWork.widthMm" :label="t('figures.rustWidth')" />
      </SpotFields>
      <NumberInput v-model="place.airC" :bounds="bounds.RustWork.airC" :label="t('figures.airC')" meter="temperatureC" required />
      <NumberInput
        v-model="place.relativePercent"
        :bounds="bounds.RustWork.relativePercent"
        :label="t('figures.humidity')"
        meter="humidityPercent"
        required
      />
      <button class="btn plain wide limits" type="button" :aria-expanded="editsLimits" @click="editsLimits = !editsLimits">
        {{ t('figures.limits') }}
      </button>
      <template v-if="editsLimits">
        <NumberInput
          v-model="limits.treatBelowPercent"
          :bounds="bounds.RustLimits.treatBelowPercent"
          :label="t('figures.treatBelow')"
          required
        />
        <NumberInput
          v-model="limits.cutAbovePercent"
          :bounds="bounds.RustLimits.cutAbovePercent"
          :label="t('figures.cutAbove')"
          required
        />
        <LengthInput v-model="limits.puttyMostMm" :bounds="bounds.RustLimits.puttyMostMm" :label="t('figures.puttyMost')" />
      </template>
    </div>
    <template v-if="procedure">
      <h2>{{ t('figures.how') }}</h2>
      <StepList :steps="procedure.steps" />
    </template>
  </div>
  <aside>
    <Verdict
      :verdict="advice?.summary"
      :look="advice !== undefined && advice.method !== 'treat'"
      :wrong="plan.wrong.value"
      data-testid="rust"
    />
    <template v-if="advice">
      <p class="soft">
        {{
          t('figures.degree', {
            ri: advice.degree.ri,
            loss: advice.lossPercent === null ? '' : t('figures.lossIs', { n: Math.round(advice.lossPercent) }),
            months:
              advice.lookAgainMonths === null ? t('figures.notNeeded') : t('figures.inMonths', { n: advice.lookAgainMonths }),
          })
        }}
      </p>
      <h2>{{ t('figures.rules') }}</h2>
      <JudgementList :rows="advice.rows" />
      <p v-for="w in plan.answer.value!.warnings" :key="w" class="warn">{{ w }}</p>
      <ul class="cautions">
        <li v-for="c in advice.cautions" :key="c.id">{{ c.text }}</li>
      </ul>
      <h2>{{ t('figures.usedUp') }}</h2>
      <MaterialTable :used="procedure!.consumables" />
    </template>
    <FigureSteps :title="t('figures.rust')" :worked="plan.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
h2 {
  margin-top: 18px;
}
aside h2 {
  margin-top: 0;
}
.limits {
  justify-self: start;
}
.cautions {
  margin: 0;
  padding-left: 18px;
  font-size: 13.5px;
}
</style>
