<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useState } from '@/app/state'

/** The parts of the stage Floor. */
type Tab = 'survey' | 'linings' | 'cuts' | 'deck'
defineProps<{ on: Tab }>()
const { t } = useI18n()
const { shell } = useState()
const names: Record<Tab, string> = { survey: 'floor', linings: 'linings', cuts: 'board-cuts', deck: 'floor' }
const to = (tab: Tab) => ({
  name: names[tab],
  params: { vehicleId: shell.value!.vehicle.id, ...(names[tab] === 'floor' ? { tab } : {}) },
})
</script>

<template>
  <nav class="tabs" :aria-label="t('floor.title')">
    <RouterLink v-for="(_, tab) in names" :key="tab" :to="to(tab)" :class="{ on: on === tab }">{{
      t(`floor.tab.${tab}`)
    }}</RouterLink>
  </nav>
</template>
