<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useState } from '@/app/state'
import { useUpkeep } from './useUpkeep'

/** What is late of what is looked after; nothing where nothing is. */
const { t } = useI18n()
const { shell } = useState()
const { lines } = useUpkeep()
const late = computed(() => (lines.answer.value ?? []).filter((l) => l.state === 'overdue').map((l) => l.what))
</script>

<template>
  <RouterLink v-if="late.length > 0" class="late" :to="{ name: 'logbook', params: { vehicleId: shell!.vehicle.id } }">
    <b>{{ t('logbook.late', late.length) }}</b>
    <span>{{ late.join(', ') }}</span>
  </RouterLink>
</template>

<style scoped>
.late {
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 8px 12px;
  border-left: 4px solid var(--rust);
  background: var(--amber-soft);
  color: var(--ink);
  font-size: 13.5px;
  text-decoration: none;
}
</style>
