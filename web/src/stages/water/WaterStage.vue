<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useState } from '@/app/state'
import Leaks from './Leaks.vue'
import StandingWater from './StandingWater.vue'
import WaysOut from './WaysOut.vue'

/** The stage once its vehicle is there: where water gets in, where it stands, how it gets out. */
const route = useRoute()
const { shell } = useState()
const tab = computed(() => (route.params.tab as string) || 'leaks')
</script>

<template>
  <Waiting v-if="!shell" />
  <StandingWater v-else-if="tab === 'standing'" :key="'s' + shell.vehicle.id" />
  <WaysOut v-else-if="tab === 'out'" :key="'o' + shell.vehicle.id" />
  <Leaks v-else :key="'l' + shell.vehicle.id" />
</template>
