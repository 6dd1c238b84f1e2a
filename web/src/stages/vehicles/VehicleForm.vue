<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Vehicle } from '@/api/client'
import { enums } from '@/api/enums'
import { isTrailer } from '@/stages/load/trailer'
import PapersFields from '@/stages/load/PapersFields.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Switch from '@/ui/Switch.vue'
import TextField from '@/ui/TextField.vue'
import SchoolFields from './SchoolFields.vue'

/** What is known of a vehicle as a whole: its name and how it is measured first; all else may come later. */
const vehicle = defineModel<Vehicle>({ required: true })
defineProps<{
  /** Whether what it starts from says what kind it is. */
  hasKind?: boolean
}>()
const { t } = useI18n()
const zones = ['Etc/UTC', ...Intl.supportedValuesOf('timeZone')].map((value) => ({ value, text: value }))
const kinds = enums.VehicleKind.map((value) => ({ value, text: t(`vehicles.kinds.${value}`) }))
const finest = computed({
  get: () => String(vehicle.value.inchDenominator ?? 16) as '16' | '32',
  set: (n) => (vehicle.value.inchDenominator = Number(n)),
})
/** A place needs both figures; without one of them none is kept. */
function setPlace(key: 'latitudeDeg' | 'longitudeDeg', value: number | null) {
  const other = key === 'latitudeDeg' ? 'longitudeDeg' : 'latitudeDeg'
  vehicle.value.place =
    value === null
      ? null
      : ({ [key]: value, [other]: vehicle.value.place?.[other] ?? 0 } as unknown as NonNullable<Vehicle['place']>)
}
const setAttitude = (key: 'pitchDeg' | 'rollDeg', value: number | null) =>
  (vehicle.value.attitude = {
    pitchDeg: vehicle.value.attitude?.pitchDeg ?? 0,
    rollDeg: vehicle.value.attitude?.rollDeg ?? 0,
    [key]: value ?? 0,
  })
</script>

<template>
  <TextField v-model="vehicle.name" class="wide" :label="t('app.name')" :most="80" />
  <Choice v-if="!hasKind" v-model="vehicle.kind" :label="t('app.kind')" :options="kinds" />
  <div class="named">
    <span>{{ t('vehicles.units') }}</span>
    <div class="row">
      <Switch
        v-model="vehicle.units"
        :label="t('vehicles.units')"
        :choices="(['mm', 'inch'] as const).map((key) => ({ key, text: t(`app.${key}`) }))"
      />
      <Switch
        v-if="vehicle.units === 'inch'"
        v-model="finest"
        :label="t('vehicles.inchDenominator')"
        :choices="(['16', '32'] as const).map((key) => ({ key, text: `1/${key}` }))"
      />
    </div>
  </div>
  <details class="wide">
    <summary>{{ t('vehicles.more') }}</summary>
    <div class="form inner">
      <NumberInput
        :model-value="vehicle.year"
        :label="t('vehicles.year')"
        :bounds="bounds.Vehicle.year"
        @update:model-value="(n) => (vehicle.year = n)"
      />
      <LengthInput v-model="vehicle.markerOffsetMm" :label="t('vehicles.marker')" :bounds="bounds.Vehicle.markerOffsetMm" />
      <Choice v-model="vehicle.timeZone" class="wide" :label="t('vehicles.timeZone')" :options="zones" />
      <NumberInput
        :model-value="vehicle.place?.latitudeDeg ?? null"
        :label="t('vehicles.latitude')"
        @update:model-value="(n) => setPlace('latitudeDeg', n)"
      />
      <NumberInput
        :model-value="vehicle.place?.longitudeDeg ?? null"
        :label="t('vehicles.longitude')"
        @update:model-value="(n) => setPlace('longitudeDeg', n)"
      />
      <NumberInput
        :model-value="vehicle.attitude?.pitchDeg ?? null"
        :label="t('vehicles.pitch')"
        :bounds="bounds.Attitude.pitchDeg"
        @update:model-value="(n) => setAttitude('pitchDeg', n)"
      />
      <NumberInput
        :model-value="vehicle.attitude?.rollDeg ?? null"
        :label="t('vehicles.roll')"
        :bounds="bounds.Attitude.rollDeg"
        @update:model-value="(n) => setAttitude('rollDeg', n)"
      />
      <PapersFields v-model="vehicle.masses" :trailer="isTrailer(vehicle.kind)" />
      <TextField v-model="vehicle.notes" class="wide" :label="t('app.notes')" :most="4000" lines />
    </div>
  </details>
  <details class="wide">
    <summary>{{ t('vehicles.schools') }}</summary>
    <div class="form inner">
      <SchoolFields v-model="vehicle.schools" />
    </div>
  </details>
</template>

<style scoped>
summary {
  padding: 8px 0;
  color: var(--teal);
  font-weight: 500;
  cursor: pointer;
}
.inner {
  grid-column: 1 / -1;
}
</style>
