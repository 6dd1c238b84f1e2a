<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useState } from '@/app/state'

/** The parts of the stage Days. */
type Tab = 'today' | 'plan' | 'list'
defineProps<{ on: Tab }>()
const { t } = useI18n()
const { shell } = useState()
const names: Record<Tab, string> = { today: 'days', plan: 'plan', list: 'day-list' }
</script>

<template>
  <nav class="tabs" :aria-label="t('days.title')">
    <RouterLink
      v-for="(name, tab) in names"
      :key="tab"
      :to="{ name, params: { vehicleId: shell!.vehicle.id } }"
      :class="{ on: on === tab }"
      >{{ t(`days.tab.${tab}`) }}</RouterLink
    >
  </nav>
</template>
