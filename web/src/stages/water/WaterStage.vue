<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { useState } from '@/app/state'
import Leaks from './Leaks.vue'
import StandingWater from './StandingWater.vue'
import WaysOut from './WaysOut.vue'

/** The stage once its vehicle is there: where water gets in, where it stands, how it gets out. */
const { t } = useI18n()
const route = useRoute()
const { shell } = useState()
const tab = computed(() => (route.params.tab as string) || 'leaks')
</script>

<template>
  <div v-if="!shell" class="empty">{{ t('app.loading') }}</div>
  <StandingWater v-else-if="tab === 'standing'" :key="'s' + shell.vehicle.id" />
  <WaysOut v-else-if="tab === 'out'" :key="'o' + shell.vehicle.id" />
  <Leaks v-else :key="'l' + shell.vehicle.id" />
</template>
