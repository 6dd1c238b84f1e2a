<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import NumberInput from '@/ui/NumberInput.vue'
import Switch from '@/ui/Switch.vue'
import { air, airBy, forecastAir } from './useAir'

/** What air it cures in: that of the forecast where there is one, else as it is typed. */
const { t } = useI18n()
const set = (key: 'dayC' | 'dayPercent' | 'nightC' | 'nightPercent', n: number | null) => n !== null && (air.value[key] = n)
const choices = computed(() => [
  ...(forecastAir.value ? [{ key: 'forecast' as const, text: t('sealing.byForecast') }] : []),
  { key: 'dayNight' as const, text: t('sealing.dayNight') },
  { key: 'steady' as const, text: t('sealing.steady') },
])
</script>

<template>
  <div class="air">
    <Switch v-model="airBy" :choices="choices" :label="t('bond.air')" />
    <p v-if="airBy === 'forecast'" class="soft">
      {{ t('sealing.byForecastMore', { c: forecastAir![0]!.airC, p: forecastAir![0]!.relativePercent, n: forecastAir!.length }) }}
    </p>
    <div v-else class="form">
      <NumberInput
        :model-value="air.dayC"
        :bounds="bounds.AirHour.airC"
        :label="t('bond.temperature')"
        required
        meter="temperatureC"
        @update:model-value="(n) => set('dayC', n)"
      />
      <NumberInput
        :model-value="air.dayPercent"
        :bounds="bounds.AirHour.relativePercent"
        :label="t('bond.humidity')"
        required
        meter="humidityPercent"
        @update:model-value="(n) => set('dayPercent', n)"
      />
      <template v-if="airBy === 'dayNight'">
        <NumberInput
          :model-value="air.nightC"
          :bounds="bounds.AirHour.airC"
          :label="`${t('sealing.night')}, C`"
          required
          @update:model-value="(n) => set('nightC', n)"
        />
        <NumberInput
          :model-value="air.nightPercent"
          :bounds="bounds.AirHour.relativePercent"
          :label="`${t('sealing.night')}, %`"
          required
          @update:model-value="(n) => set('nightPercent', n)"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.air {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.form {
  grid-template-columns: 1fr 1fr;
}
</style>
