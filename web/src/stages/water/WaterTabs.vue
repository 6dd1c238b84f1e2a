<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'

/** The three questions of the stage. */
const { t } = useI18n()
const route = useRoute()
</script>

<template>
  <h1 class="of-stage">{{ t('stages.water') }}</h1>
  <nav class="tabs" :aria-label="t('stages.water')">
    <RouterLink
      v-for="tab in ['leaks', 'standing', 'out'] as const"
      :key="tab"
      :to="{ name: 'water', params: { vehicleId: route.params.vehicleId, tab } }"
      :class="{ on: (route.params.tab || 'leaks') === tab }"
    >
      {{ t(`water.tabs.${tab}`) }}
    </RouterLink>
  </nav>
</template>
