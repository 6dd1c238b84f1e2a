<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import NumberInput from '@/ui/NumberInput.vue'
import Switch from '@/ui/Switch.vue'
import { air } from './useAir'

/** What air it cures in. */
defineProps<{ dayOnly?: boolean }>()
const { t } = useI18n()
const set = (key: 'dayC' | 'dayPercent' | 'nightC' | 'nightPercent', n: number | null) => n !== null && (air.value[key] = n)
</script>

<template>
  <div class="air">
    <Switch
      v-if="!dayOnly"
      :model-value="air.steady ? 'steady' : 'dayNight'"
      :choices="[
        { key: 'dayNight', text: t('sealing.dayNight') },
        { key: 'steady', text: t('sealing.steady') },
      ]"
      :label="t('bond.air')"
      @update:model-value="(which) => (air.steady = which === 'steady')"
    />
    <div class="form">
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
      <template v-if="!dayOnly && !air.steady">
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
