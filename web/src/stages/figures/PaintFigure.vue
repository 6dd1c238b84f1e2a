<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import MayIPaint from './MayIPaint.vue'
import { useFigure, type FigureInput } from './useFigure'

/** How much paint an area takes, when the next coat goes on, and whether it may be painted now. */
type Coat = FigureInput<'paint'>['coats'][number]
const { t } = useI18n()
const primer: Coat = {
  name: 'Primer',
  dryMicrometres: 60,
  solidsPercent: 60,
  by: 'brush',
  canMl: 500,
  recoatFromHours: 12,
  recoatToHours: 72,
  leastC: 10,
  mostC: 35,
}
const job = reactive({
  coats: [primer, { ...primer, name: 'Top coat', dryMicrometres: 40, solidsPercent: 45, recoatFromHours: 16, mostC: 30 }],
  areaM2: 1,
  airC: 18,
})
const paint = useFigure('paint', () => ({ ...job }))
const plan = computed(() => paint.answer.value?.result)
const add = () => job.coats.push({ ...job.coats.at(-1)!, name: `${t('figures.coat')} ${job.coats.length + 1}` })
const hours = (h: number) => `${Math.round(h * 10) / 10} h`
</script>

<template>
  <div class="page">
    <div class="form">
      <NumberInput v-model="job.areaM2" :bounds="bounds.PaintInput.areaM2" :label="t('figures.paintedArea')" required />
      <NumberInput v-model="job.airC" :bounds="bounds.PaintInput.airC" :label="t('figures.airC')" meter="temperatureC" required />
    </div>
    <div v-for="(c, i) in job.coats" :key="i" class="form coat">
      <TextField v-model="c.name" class="wide" :label="`${t('figures.coat')} ${i + 1}`" :most="80" />
      <NumberInput v-model="c.dryMicrometres" :bounds="bounds.Coat.dryMicrometres" :label="t('figures.film')" required />
      <NumberInput v-model="c.solidsPercent" :bounds="bounds.Coat.solidsPercent" :label="t('figures.solids')" required />
      <Choice
        v-model="c.by"
        :label="t('figures.by')"
        :options="enums.PaintBy.map((b) => ({ value: b, text: t(`figures.bys.${b}`) }))"
      />
      <NumberInput v-model="c.canMl" :bounds="bounds.Coat.canMl" :label="t('figures.can')" required />
      <NumberInput v-model="c.recoatFromHours" :bounds="bounds.Coat.recoatFromHours" :label="t('figures.recoatFrom')" required />
      <NumberInput v-model="c.recoatToHours" :bounds="bounds.Coat.recoatToHours" :label="t('figures.recoatTo')" />
      <NumberInput v-model="c.leastC" :bounds="bounds.Coat.leastC" :label="t('figures.leastC')" required />
      <NumberInput v-model="c.mostC" :bounds="bounds.Coat.mostC" :label="t('figures.mostC')" required />
      <Action v-if="job.coats.length > 1" look="plain" @click="job.coats.splice(i, 1)">{{ t('app.remove') }}</Action>
    </div>
    <Action class="add" @click="add">{{ t('figures.addCoat') }}</Action>
    <Verdict :verdict="plan?.verdict" :look="plan?.leastHours === null" :wrong="paint.wrong.value" data-testid="paint" />
    <table v-if="plan" class="figures">
      <thead>
        <tr>
          <th>{{ t('figures.coat') }}</th>
          <th class="n">{{ t('figures.litres') }}</th>
          <th class="n">{{ t('figures.cans') }}</th>
          <th class="n">{{ t('figures.nextCoat') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(c, i) in plan.coats" :key="i">
          <td>{{ c.name }}</td>
          <td class="n">{{ c.litres.toFixed(2) }}</td>
          <td class="n">{{ c.cans }}</td>
          <td class="n">{{ c.recoatFromHours === null ? '' : hours(c.recoatFromHours) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
  <aside>
    <MayIPaint
      :air-c="job.airC"
      :least-c="Math.max(...job.coats.map((c) => c.leastC))"
      :most-c="Math.min(...job.coats.map((c) => c.mostC))"
      @air="(c) => (job.airC = c)"
    />
    <FigureSteps :title="t('figures.paint')" :worked="paint.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
.coat {
  margin-top: 12px;
  padding: 10px 0 12px;
  border-top: 1px solid var(--rule);
}
.add {
  margin: 4px 0;
}
table {
  max-width: 620px;
}
</style>
