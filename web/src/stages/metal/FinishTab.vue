<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import MayIPaint from '@/stages/figures/MayIPaint.vue'
import MaterialTable from '@/ui/MaterialTable.vue'
import NumberInput from '@/ui/NumberInput.vue'
import StepList from '@/ui/StepList.vue'
import type { RepairPlan } from './useRepairs'

/** From bare metal to wax: what is coated in which order, with how much, and whether the air is right for it now. */
const props = defineProps<{ plan: RepairPlan }>()
const { t } = useI18n()
const airC = ref(18)
const coats = ['rust-convert', 'rust-prime', 'rust-seal', 'rust-colour', 'rust-wax', 'rust-protect']
const steps = computed(() => props.plan.procedure.steps.filter((s) => coats.includes(s.key)))
const used = computed(() => steps.value.flatMap((s) => s.consumables))
/** The narrowest range that the steps allow. */
const range = computed(() => ({
  leastC: Math.max(-20, ...steps.value.map((s) => s.weather.fromC ?? -20)),
  mostC: Math.min(60, ...steps.value.map((s) => s.weather.toC ?? 60)),
}))
</script>

<template>
  <div class="page" tabindex="0">
    <StepList :steps="steps" />
  </div>
  <aside>
    <div class="form">
      <NumberInput v-model="airC" :bounds="bounds.PaintWeather.airC" :label="t('figures.airC')" meter="temperatureC" required />
    </div>
    <MayIPaint :air-c="airC" v-bind="range" @air="(c) => (airC = c)" />
    <h2>{{ t('figures.usedUp') }}</h2>
    <MaterialTable :used="used" />
  </aside>
</template>
