<script setup lang="ts">
// How many things are late that are looked after; nothing where none is.
import { useI18n } from 'vue-i18n'
import { useState } from './state'

defineProps<{ late: number }>()
const { t } = useI18n()
const { shell } = useState()
</script>

<template>
  <RouterLink v-if="late > 0" class="late" :to="{ name: 'logbook', params: { vehicleId: shell!.vehicle.id } }">
    {{ t('logbook.chip', { n: late }) }}
  </RouterLink>
</template>

<style scoped>
.late {
  flex: none;
  padding: 2px 8px;
  border: 1px solid var(--night-open);
  border-radius: 3px;
  color: var(--night-open);
  font: 600 13px 'Source Sans 3';
  text-decoration: none;
}
</style>
