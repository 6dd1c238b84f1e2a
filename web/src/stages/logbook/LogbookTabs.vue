<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useState } from '@/app/state'

/** The parts of the stage Logbook. */
type Tab = 'due' | 'log' | 'built'
defineProps<{ on: Tab }>()
const { t } = useI18n()
const { shell } = useState()
const names: Record<Tab, string> = { due: 'logbook', log: 'log', built: 'as-built' }
</script>

<template>
  <nav class="tabs" :aria-label="t('logbook.title')">
    <RouterLink
      v-for="(name, tab) in names"
      :key="tab"
      :to="{ name, params: { vehicleId: shell!.vehicle.id } }"
      :class="{ on: on === tab }"
      >{{ t(`logbook.tab.${tab}`) }}</RouterLink
    >
  </nav>
</template>
