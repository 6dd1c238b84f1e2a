<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Vehicle } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'

/** Masses and axles, as the papers have them; a trailer has a coupling where a vehicle has a front axle. */
const props = defineProps<{ trailer: boolean }>()
const masses = defineModel<Vehicle['masses']>({ required: true })
const { t } = useI18n()
type Masses = NonNullable<Vehicle['masses']>
const none: Masses = { kerbKg: null, permittedKg: null, frontAxleKg: null, rearAxleKg: null, wheelbaseMm: null }
const shown = computed(() => masses.value ?? none)
const name = (key: keyof Masses) =>
  props.trailer && ['frontAxleKg', 'rearAxleKg', 'wheelbaseMm', 'kerbFrontKg', 'frontAxleAtMm'].includes(key)
    ? t(`load.papers.trailer.${key}`)
    : t(`load.papers.${key}`)
const set = (key: keyof Masses, value: number | null) => (masses.value = { ...shown.value, [key]: value })
</script>

<template>
  <NumberInput
    v-for="key in ['kerbKg', 'kerbFrontKg', 'permittedKg', 'frontAxleKg', 'rearAxleKg'] as const"
    :key="key"
    :model-value="shown[key] ?? null"
    :label="name(key)"
    :bounds="bounds.Masses[key]"
    @update:model-value="(n) => set(key, n)"
  />
  <LengthInput
    v-for="key in ['wheelbaseMm', 'frontAxleAtMm', 'trackMm', 'floorHeightMm', 'kerbHeightMm'] as const"
    :key="key"
    :model-value="shown[key] ?? null"
    :label="name(key)"
    optional
    @update:model-value="(mm) => set(key, mm)"
  />
</template>
