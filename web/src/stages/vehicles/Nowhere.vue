<script setup lang="ts">
import { useI18n } from 'vue-i18n'

const { t } = useI18n()
</script>

<template>
  <div class="empty">
    <h2>{{ t('app.nowhere') }}</h2>
    <RouterLink class="btn" :to="{ name: 'vehicles' }">{{ t('app.toVehicles') }}</RouterLink>
  </div>
</template>
