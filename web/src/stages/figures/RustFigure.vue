<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { api, got } from '@/api/client'
import { enums } from '@/api/enums'
import { useState } from '@/app/state'
import Choice from '@/ui/Choice.vue'
import JudgementList from '@/ui/JudgementList.vue'
import LengthInput from '@/ui/LengthInput.vue'
import MaterialTable from '@/ui/MaterialTable.vue'
import NumberInput from '@/ui/NumberInput.vue'
import StepList from '@/ui/StepList.vue'
import Ticks from '@/ui/Ticks.vue'
import FigureAnswer from './FigureAnswer.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure, type FigureInput } from './useFigure'

/** A rusty place: what was found, what that leads to by which rule, and how it is done. */
type Work = FigureInput<'rust-treatment'>['work']
const { t } = useI18n()
const { lengths } = useState()
const spot = reactive<Work['spot']>({
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
const plan = useFigure('rust-treatment', () => ({ work: { spot, ...place, limits }, lengths: lengths.value }))
const advice = computed(() => plan.answer.value?.result.advice)
const procedure = computed(() => plan.answer.value?.result.procedure)
const fields = useQuery({
  queryKey: ['reference-fields'],
  queryFn: () => got(api.GET('/api/calculators/reference-fields')),
})
const flags = ['flakes', 'carries', 'structure', 'bothSides', 'pocket'] as const
const nearby = computed(
  () => Object.fromEntries(enums.Nearby.map((n) => [n, spot.near.includes(n)])) as Record<(typeof enums.Nearby)[number], boolean>,
)
function setNear(what: (typeof enums.Nearby)[number], on: boolean) {
  spot.near = on ? [...spot.near, what] : spot.near.filter((n) => n !== what)
}
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('figures.rustMore') }}</p>
    <div class="form">
      <Choice
        v-model="spot.grade"
        class="wide"
        :label="t('figures.grade')"
        :options="enums.RustGrade.map((g) => ({ value: g, text: t(`figures.grades.${g}`) }))"
      />
      <div class="wide">
        <b id="how-much">{{ t('figures.howMuch') }}</b>
        <div class="fields" role="group" aria-labelledby="how-much">
          <button
            v-for="f in fields.data.value ?? []"
            :key="f.percent"
            type="button"
            :aria-pressed="spot.areaPercent === f.percent"
            @click="spot.areaPercent = f.percent"
          >
            <svg viewBox="0 0 1 1" aria-hidden="true">
              <circle v-for="(s, i) in f.spots" :key="i" :cx="s.x" :cy="1 - s.y" :r="s.radius" />
            </svg>
            {{ f.percent }} %
          </button>
        </div>
      </div>
      <NumberInput v-model="spot.areaPercent" :bounds="bounds.RustSpot.areaPercent" :label="t('figures.share')" required />
      <NumberInput v-model="spot.sheetMm" :bounds="bounds.RustSpot.sheetMm" :label="t('figures.sheetMm')" required />
      <NumberInput v-model="spot.leftMm" :bounds="bounds.RustSpot.leftMm" :label="t('figures.leftMm')" />
      <LengthInput v-model="spot.holeMm" :bounds="bounds.RustSpot.holeMm" :label="t('figures.holeMm')" />
      <LengthInput v-model="place.lengthMm" :bounds="bounds.RustWork.lengthMm" :label="t('figures.rustLength')" />
      <LengthInput v-model="place.widthMm" :bounds="bounds.RustWork.widthMm" :label="t('figures.rustWidth')" />
      <Ticks
        class="wide"
        :of="spot"
        :choices="flags.map((f) => ({ key: f, text: t(`figures.${f}`) }))"
        @tick="(f, on) => (spot[f] = on)"
      />
      <h3 class="wide">{{ t('figures.near') }}</h3>
      <Ticks
        class="wide"
        :of="nearby"
        :choices="enums.Nearby.map((n) => ({ key: n, text: t(`figures.nearby.${n}`) }))"
        @tick="setNear"
      />
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
    <FigureAnswer
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
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(84px, 1fr));
  gap: 8px;
  margin-top: 6px;
}
.fields button {
  padding: 4px;
  border: 2px solid var(--line);
  border-radius: 4px;
  background: var(--white);
  color: var(--ink);
  font: 500 13.5px Barlow;
  cursor: pointer;
}
.fields button[aria-pressed='true'] {
  border-color: var(--rust);
}
.fields svg {
  display: block;
  width: 100%;
  background: var(--metal-1);
}
.fields circle {
  fill: var(--rust);
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
