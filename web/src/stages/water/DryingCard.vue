<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { ofVehicle } from '@/api/cache'
import { api, got, type Schemas } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import Wrong from '@/ui/Wrong.vue'
import { panelName } from '@/drawing/facing'

/** How wood dries at each place where the meter was held: the date at which it may be covered, or that it is not drying. */
const { t } = useI18n()
const { shell, lengths } = useState()
const { answer, wrong } = useAnswer(
  () => (shell.value ? ofVehicle(shell.value.vehicle.id, 'drying') : null),
  ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/drying', { params: { path: { vehicleId } }, signal })),
)
const places = computed(() => answer.value ?? [])
function nameOf({ panelId, at }: Schemas['DryingPlace']) {
  const panel = shell.value!.panels.find((p) => p.id === panelId)
  return `${panel ? panelName(panel.value) : ''}, ${lengthText(at.sMm, lengths.value)} / ${lengthText(at.tMm, lengths.value)}`
}
</script>

<template>
  <Wrong :text="wrong" />
  <div v-if="places.length > 0" class="card" data-testid="drying">
    <h2>{{ t('waysOut.drying') }}</h2>
    <div v-for="p in places" :key="nameOf(p)" class="place" :class="p.outlook?.result.state">
      <b>{{ nameOf(p) }}</b>
      <span class="soft">{{ p.moisturePercents.map((percent) => `${percent} %`).join(', ') }}</span>
      <p v-if="p.outlook">{{ p.outlook.result.verdict }}</p>
      <p v-else class="soft">{{ t('waysOut.oneReading') }}</p>
      <p v-if="p.dryAt">{{ t('waysOut.dryOn', { when: new Date(p.dryAt).toLocaleDateString() }) }}</p>
      <WorkedSteps :title="nameOf(p)" :worked="p.outlook" />
    </div>
  </div>
</template>

<style scoped>
.place {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  padding: 6px 10px;
  border-left: 4px solid var(--teal);
}
.place.drying,
.place.tooEarly {
  border-color: var(--amber);
}
.place.waterComesIn {
  border-color: var(--stop);
}
</style>
