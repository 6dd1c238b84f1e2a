<script setup lang="ts">
import { reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import NumberInput from '@/ui/NumberInput.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** How long the nth piece of the same work takes. */
const { t } = useI18n()
const typed = reactive({ firstMinutes: 180, count: 4, rate: 0.85 })
const learnt = useFigure('learning', () => ({ ...typed }))
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('figures.learningMore') }}</p>
    <div class="form">
      <NumberInput
        v-model="typed.firstMinutes"
        :bounds="bounds.LearningInput.firstMinutes"
        :label="t('figures.firstTime')"
        required
      />
      <NumberInput v-model="typed.count" :bounds="bounds.LearningInput.count" :label="t('figures.whichOne')" required />
      <NumberInput v-model="typed.rate" :bounds="bounds.LearningInput.rate" :label="t('figures.eachDoubling')" required />
    </div>
    <Verdict :verdict="learnt.answer.value?.result.verdict" :look="false" :wrong="learnt.wrong.value" data-testid="learning" />
  </div>
  <aside>
    <FigureSteps :title="t('figures.learning')" :worked="learnt.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
</style>
