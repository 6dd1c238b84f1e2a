<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'

/** Width, height and corner radius of a part of a fitting. */
const shape = defineModel<Schemas['RoundedRectangle']>({ required: true })
const { t } = useI18n()
const fields = [
  ['widthMm', 'width'],
  ['heightMm', 'height'],
  ['cornerRadiusMm', 'radius'],
] as const
</script>

<template>
  <div class="form">
    <LengthInput v-for="[key, name] in fields" :key="key" v-model="shape[key]" :label="t(`fittings.${name}`)" />
  </div>
</template>
