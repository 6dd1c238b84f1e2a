<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { useState } from '@/app/state'
import HoleCheck from '@/stages/openings/HoleCheck.vue'

/** The hole check for a frame that is typed in. */
const { t } = useI18n()
const { lengths } = useState()
const frame = reactive<Schemas['Frame']>({
  cutOut: { widthMm: 400, heightMm: 400, cornerRadiusMm: 20 },
  neck: { widthMm: 396, heightMm: 396, cornerRadiusMm: 18 },
  flange: { widthMm: 490, heightMm: 490, cornerRadiusMm: 30 },
  leastLapMm: 25,
})
const readings = ref<Schemas['AsCut'] | null>(null)
</script>

<template>
  <HoleCheck v-model="readings" :frame="frame" :lengths="lengths">
    <template v-for="shape in ['cutOut', 'neck', 'flange'] as const" :key="shape">
      <h2>{{ t(`figures.${shape}`) }}</h2>
      <div class="form three">
        <LengthInput v-model="frame[shape].widthMm" :label="t('fittings.width')" />
        <LengthInput v-model="frame[shape].heightMm" :label="t('fittings.height')" />
        <LengthInput v-model="frame[shape].cornerRadiusMm" :label="t('figures.radius')" />
      </div>
    </template>
    <div class="form three">
      <LengthInput v-model="frame.leastLapMm" :label="t('fittings.leastLap')" />
    </div>
  </HoleCheck>
</template>

<style scoped>
.three {
  grid-template-columns: repeat(3, minmax(120px, 200px));
}
</style>
