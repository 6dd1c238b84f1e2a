<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useState } from '@/app/state'
import Water from './Water.vue'

/** The stage once its vehicle is there. */
const { t } = useI18n()
const { shell } = useState()
</script>

<template>
  <div v-if="!shell" class="empty">{{ t('app.loading') }}</div>
  <Water v-else :key="shell.vehicle.id" />
</template>
