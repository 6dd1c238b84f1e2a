<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import NumberInput from '@/ui/NumberInput.vue'
import { said } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'

/** Readings of a wood-moisture meter over days: when it will be dry enough, or that it is not drying. */
const { t } = useI18n()
const readings = reactive([
  { days: 0 as number | null, moisturePercent: null as number | null },
  { days: null as number | null, moisturePercent: null as number | null },
])
const air = reactive({ restingPercent: 12 as number | null, limitPercent: 16 as number | null })
const found = ref<Schemas['WorkedOfDryingOutlook'] | null>(null)
const wrong = ref('')
let asked = 0
watch([readings, air], async () => {
  const own = ++asked
  wrong.value = ''
  const typed = readings.filter((r) => r.days !== null && r.moisturePercent !== null)
  if (typed.length < 2 || air.restingPercent === null || air.limitPercent === null) {
    found.value = null
    return
  }
  try {
    const body = {
      readings: typed.map((r) => ({ hours: r.days! * 24, moisturePercent: r.moisturePercent! })),
      restingPercent: air.restingPercent,
      limitPercent: air.limitPercent,
    }
    const answer = await got(api.POST('/api/calculators/drying', { body }))
    if (own === asked) found.value = answer
  } catch (e) {
    if (own !== asked) return
    found.value = null
    wrong.value = said(e)
  }
})
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('figures.dryingMore') }}</p>
    <div v-for="(r, i) in readings" :key="i" class="form reading">
      <NumberInput v-model="r.days" :label="t('figures.afterDays')" />
      <NumberInput v-model="r.moisturePercent" :label="t('findings.figure.moisture')" meter="moisturePercent" />
    </div>
    <button class="btn" type="button" @click="readings.push({ days: null, moisturePercent: null })">
      {{ t('figures.addReading') }}
    </button>
    <div class="form reading">
      <NumberInput v-model="air.restingPercent" :label="t('figures.resting')" />
      <NumberInput v-model="air.limitPercent" :label="t('figures.limit')" />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <p v-if="found" class="verdict" :class="found.result.state" data-testid="drying">{{ found.result.verdict }}</p>
  </div>
  <aside>
    <WorkedSteps :title="t('figures.drying')" :worked="found" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 480px;
}
.reading {
  grid-template-columns: 1fr 1fr;
  margin-bottom: 10px;
}
.verdict {
  max-width: 480px;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
  font-weight: 500;
}
.verdict.drying,
.verdict.tooEarly {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.verdict.waterComesIn {
  border-color: var(--stop);
  background: var(--stop-soft);
}
</style>
