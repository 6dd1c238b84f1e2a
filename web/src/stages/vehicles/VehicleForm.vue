<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Vehicle } from '@/api/client'
import { enums } from '@/api/enums'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import { isTrailer } from '@/stages/load/trailer'
import PapersFields from '@/stages/load/PapersFields.vue'
import SchoolFields from './SchoolFields.vue'

/** What is known of a vehicle as a whole; all but the name may stay as it is. */
const vehicle = defineModel<Vehicle>({ required: true })
const { t } = useI18n()
const zones = ['Etc/UTC', ...Intl.supportedValuesOf('timeZone')]
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
  <label class="named wide">{{ t('app.name') }}<input v-model="vehicle.name" class="field" maxlength="80" /></label>
  <label class="named">
    {{ t('app.kind') }}
    <select v-model="vehicle.kind" class="field">
      <option v-for="kind in enums.VehicleKind" :key="kind" :value="kind">
        {{ t(`vehicles.kinds.${kind}`) }}
      </option>
    </select>
  </label>
  <NumberInput :model-value="vehicle.year" :label="t('vehicles.year')" @update:model-value="(n) => (vehicle.year = n)" />
  <LengthInput v-model="vehicle.markerOffsetMm" :label="t('vehicles.marker')" />
  <details class="wide">
    <summary>{{ t('vehicles.schools') }}</summary>
    <div class="form inner">
      <SchoolFields v-model="vehicle.schools" />
    </div>
  </details>
  <details class="wide">
    <summary>{{ t('vehicles.more') }}</summary>
    <div class="form inner">
      <label class="named wide">
        {{ t('vehicles.timeZone') }}
        <select v-model="vehicle.timeZone" class="field">
          <option v-for="zone in zones" :key="zone" :value="zone">{{ zone }}</option>
        </select>
      </label>
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
        @update:model-value="(n) => setAttitude('pitchDeg', n)"
      />
      <NumberInput
        :model-value="vehicle.attitude?.rollDeg ?? null"
        :label="t('vehicles.roll')"
        @update:model-value="(n) => setAttitude('rollDeg', n)"
      />
      <PapersFields v-model="vehicle.masses" :trailer="isTrailer(vehicle.kind)" />
    </div>
  </details>
  <label class="named wide">{{ t('app.notes') }}<textarea v-model="vehicle.notes" class="field" maxlength="4000" /></label>
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
