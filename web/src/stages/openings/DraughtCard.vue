<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { ofVehicle } from '@/api/cache'
import { api, got, type Panel, type Stored } from '@/api/client'
import NumberInput from '@/ui/NumberInput.vue'
import StateMark from '@/ui/StateMark.vue'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { boxOf } from '@/drawing/geometry'

/** The air of the vehicle: what draws, what lets in, how often it is changed, and whether enough cannot be shut. */
const { t } = useI18n()
const { shell } = useState()
const sideOf = (kind: Panel['kind']) => (shell.value!.panels as Stored<Panel>[]).find((p) => p.value.kind === kind)?.value
const size = (panel: Panel | undefined) => {
  if (!panel) return null
  const b = boxOf(panel.outline)
  return { along: b.s2 - b.s1, across: b.t2 - b.t1 }
}
// To begin with, the vehicle as drawn: floor by its edges, height of the left side. Both can be typed over.
const floor = size(sideOf('floor') ?? sideOf('roof'))
const height = size(sideOf('left'))?.across ?? null
const floorM2 = ref<number | null>(floor && Math.round((floor.along * floor.across) / 1e5) / 10)
const volumeM3 = ref<number | null>(floor && height && Math.round((floor.along * floor.across * height) / 1e8) / 10)
const plan = useAnswer(
  () =>
    floorM2.value === null || volumeM3.value === null
      ? null
      : ofVehicle(shell.value!.vehicle.id, 'air', { volumeM3: volumeM3.value, floorAreaM2: floorM2.value }),
  ([, vehicleId, , query], signal) =>
    got(
      api.GET('/api/vehicles/{vehicleId}/air', {
        params: { path: { vehicleId }, query },
        signal,
      }),
    ),
)
const p = computed(() => plan.answer.value?.result)
</script>

<template>
  <section class="card draught" data-testid="draught">
    <h2>{{ t('together.air') }}</h2>
    <p class="soft">{{ t('together.airMore') }}</p>
    <div class="form">
      <NumberInput v-model="volumeM3" :label="t('together.volume')" />
      <NumberInput v-model="floorM2" :label="t('together.floor')" />
    </div>
    <p v-if="plan.wrong.value" class="wrong" role="alert">{{ plan.wrong.value }}</p>
    <template v-if="p">
      <div class="verdict" :class="p.state"><StateMark :state="p.state" /> {{ p.verdict }}</div>
      <table class="figures">
        <tbody>
          <tr>
            <td>{{ t('together.high') }}</td>
            <td class="n">{{ t('together.of', { have: Math.round(p.highMm2), need: Math.round(p.highNeededMm2) }) }}</td>
          </tr>
          <tr>
            <td>{{ t('together.low') }}</td>
            <td class="n">{{ t('together.of', { have: Math.round(p.lowMm2), need: Math.round(p.lowNeededMm2) }) }}</td>
          </tr>
        </tbody>
      </table>
      <ul class="cautions soft">
        <li v-for="c in p.cautions" :key="c">{{ c }}</li>
      </ul>
      <WorkedSteps :title="t('together.air')" :worked="plan.answer.value" />
    </template>
  </section>
</template>

<style scoped>
.draught {
  max-width: 860px;
  margin-top: 24px;
}
.form {
  max-width: 420px;
  grid-template-columns: 1fr 1fr;
}
.verdict {
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 8px;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
}
.verdict.needsWork {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.cautions {
  margin: 0;
  padding-left: 18px;
}
</style>
