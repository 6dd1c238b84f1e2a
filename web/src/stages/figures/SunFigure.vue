<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import { clockText } from '@/app/moment'
import { useState } from '@/app/state'
import Choice from '@/ui/Choice.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** How long it is light at a place, and how warm a roof gets there at noon. */
const { t } = useI18n()
const { shell } = useState()
const vehicle = shell.value?.vehicle.value
const where = reactive({
  latitudeDeg: vehicle?.place?.latitudeDeg ?? 50,
  longitudeDeg: vehicle?.place?.longitudeDeg ?? 0,
  date: new Date().toISOString().slice(0, 10),
})
const roof = reactive({
  airC: 20,
  cloudPercent: 20,
  windMs: 2,
  shade: 'dark' as (typeof enums.SkinShade)[number],
})
const light = useFigure('daylight', () => ({
  place: { latitudeDeg: where.latitudeDeg, longitudeDeg: where.longitudeDeg },
  date: where.date,
  timeZone: vehicle?.timeZone ?? 'Etc/UTC',
}))
const sun = computed(() => light.answer.value?.result ?? null)
const skin = useFigure('sol-air', () => (sun.value ? { roof: { ...roof, sunDeg: sun.value.noonDeg } } : null))
const times = computed(() =>
  (['dawnAt', 'riseAt', 'noonAt', 'setAt', 'duskAt'] as const).map((key) => ({ key, at: sun.value?.[key] ?? null })),
)
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.daylight') }}</h2>
    <div class="form">
      <NumberInput v-model="where.latitudeDeg" :bounds="bounds.Place.latitudeDeg" :label="t('simulated.latitude')" required />
      <NumberInput v-model="where.longitudeDeg" :bounds="bounds.Place.longitudeDeg" :label="t('simulated.longitude')" required />
      <label class="named">
        {{ t('figures.dayOf') }}
        <input v-model="where.date" class="field" type="date" required />
      </label>
    </div>
    <Verdict :verdict="sun?.verdict" :look="sun !== null && sun.setAt === null" :wrong="light.wrong.value" />
    <table v-if="sun" class="figures narrow" data-testid="daylight">
      <tbody>
        <tr v-for="x in times" :key="x.key">
          <td>{{ t(`figures.sunTimes.${x.key}`) }}</td>
          <td class="n">{{ x.at ? clockText(x.at) : '–' }}</td>
        </tr>
      </tbody>
    </table>
    <h2>{{ t('figures.roofInSun') }}</h2>
    <div class="form">
      <NumberInput
        v-model="roof.airC"
        :bounds="bounds.RoofInSun.airC"
        :label="t('figures.airOnly')"
        meter="temperatureC"
        required
      />
      <NumberInput v-model="roof.cloudPercent" :bounds="bounds.RoofInSun.cloudPercent" :label="t('figures.cloud')" required />
      <NumberInput v-model="roof.windMs" :bounds="bounds.RoofInSun.windMs" :label="t('days.get.wind')" required />
      <Choice
        v-model="roof.shade"
        :label="t('figures.shade')"
        :options="enums.SkinShade.map((s) => ({ value: s, text: t(`figures.shades.${s}`) }))"
      />
    </div>
    <Verdict
      :verdict="skin.answer.value?.result.verdict"
      :look="skin.answer.value?.result.isTooHot === true"
      :wrong="skin.wrong.value"
      data-testid="roof-in-sun"
    />
  </div>
  <aside>
    <FigureSteps :title="t('figures.daylight')" :worked="light.answer.value" />
    <FigureSteps :title="t('figures.roofInSun')" :worked="skin.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
</style>
