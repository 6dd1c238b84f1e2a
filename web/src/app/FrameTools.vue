<script setup lang="ts">
// What works on every screen: a step back or forward, and the unit of lengths.
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch } from '@/api/client'
import { enums } from '@/api/enums'
import { useState } from './state'

const { t } = useI18n()
const { shell, lengths, ownLengths, change, undo, redo } = useState()

async function setUnits(units: 'mm' | 'inch') {
  const vehicle = shell.value?.vehicle
  if (!vehicle) {
    ownLengths.value = { ...ownLengths.value, units }
    return
  }
  await change(() =>
    got(
      api.PUT('/api/vehicles/{id}', {
        params: { path: { id: vehicle.id }, header: ifMatch(vehicle.version) },
        body: { ...vehicle.value, units },
      }),
    ),
  )
}
</script>

<template>
  <div class="tools">
    <button class="tool" type="button" :disabled="!shell" @click="undo">{{ t('app.undo') }}</button>
    <button class="tool" type="button" :disabled="!shell" @click="redo">{{ t('app.redo') }}</button>
    <div class="units" role="group" :aria-label="t('app.units')">
      <button
        v-for="unit in enums.UnitSystem"
        :key="unit"
        class="tool"
        type="button"
        :aria-pressed="lengths.units === unit"
        @click="setUnits(unit)"
      >
        {{ t(`app.${unit}`) }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  justify-content: flex-end;
  align-items: center;
  gap: 4px;
  padding: 0 16px;
  background: var(--night);
}
.tool {
  min-height: 36px;
  padding: 4px 12px;
  border: 1px solid var(--night-edge);
  border-radius: 4px;
  background: none;
  color: var(--night-ink);
  font: 500 14px 'Source Sans 3';
  cursor: pointer;
}
.tool:disabled {
  opacity: 0.45;
}
.tool:hover {
  background: var(--night-hover);
}
.tool[aria-pressed='true'] {
  background: var(--night-ink);
  color: var(--night);
}
.units {
  display: flex;
  margin-left: 10px;
}
.units .tool:first-child {
  border-radius: 4px 0 0 4px;
}
.units .tool:last-child {
  border-radius: 0 4px 4px 0;
  border-left: 0;
}
@media (max-width: 560px) {
  .tools {
    justify-content: space-between;
    padding: 8px 14px;
    border-radius: 4px;
  }
  .tool {
    min-height: 44px;
  }
}
</style>
