<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Vehicle } from '@/api/client'

/** In what the vehicle is measured: asked before any length is typed. */
const vehicle = defineModel<Vehicle>({ required: true })
const { t } = useI18n()
</script>

<template>
  <label class="named">
    {{ t('vehicles.units') }}
    <select v-model="vehicle.units" class="field">
      <option value="mm">{{ t('app.mm') }}</option>
      <option value="inch">{{ t('app.inch') }}</option>
    </select>
  </label>
  <label class="named">
    {{ t('vehicles.inchDenominator') }}
    <select v-model.number="vehicle.inchDenominator" class="field">
      <option :value="16">1/16</option>
      <option :value="32">1/32</option>
    </select>
  </label>
</template>
