<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Popconfirm } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useState } from '@/app/state'
import type { ViewedFrom } from '@/drawing/facing'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import AsCutTab from './AsCutTab.vue'
import BondTab from './BondTab.vue'
import ClampTab from './ClampTab.vue'
import MarkOutTab from './MarkOutTab.vue'
import OpeningSettings from './OpeningSettings.vue'
import PlaceTab from './PlaceTab.vue'
import SeatTab from './SeatTab.vue'
import StepsTab from './StepsTab.vue'
import { useOpening } from './useOpening'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell } = useState()
const work = useOpening()
type Tab = 'place' | 'mark-out' | 'as-cut' | 'seat' | 'clamp' | 'bond' | 'steps'
const tab = computed(() => route.params.tab as Tab)
/** What is clamped has no bond, and the other way round; what is screwed has neither. */
const tabs = computed<Tab[]>(() => [
  'place',
  'mark-out',
  'as-cut',
  'seat',
  ...(work.fitting?.clamp ? ['clamp' as const] : []),
  ...(work.fitting?.bonded ? ['bond' as const] : []),
  'steps',
])
const from = ref<ViewedFrom>('outside')
const settings = ref(route.query.settings === '1')

async function remove() {
  const vehicleId = shell.value!.vehicle.id
  if (await work.remove()) await router.push({ name: 'openings', params: { vehicleId } })
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="!work.row || !work.panel || !work.fitting" class="empty">
    <h2>{{ t('openings.gone') }}</h2>
    <RouterLink class="btn" :to="{ name: 'openings', params: { vehicleId: shell.vehicle.id } }">{{
      t('openings.title')
    }}</RouterLink>
  </div>
  <div v-else class="screen">
    <header>
      <h1>{{ work.row.value.name }}</h1>
      <nav class="tabs" :aria-label="work.row.value.name">
        <RouterLink v-for="which in tabs" :key="which" :to="{ params: { tab: which } }" :class="{ on: tab === which }">
          {{ t(`openings.tab.${which}`) }}
        </RouterLink>
      </nav>
      <div class="sp" />
      <ViewSwitch v-if="tab === 'place' || tab === 'mark-out'" v-model="from" />
      <button class="btn plain" type="button" @click="settings = true">{{ t('openings.settings') }}</button>
      <Popconfirm
        :title="t('openings.removeSure', { name: work.row.value.name })"
        :ok-text="t('app.remove')"
        :cancel-text="t('app.cancel')"
        @confirm="remove"
      >
        <button class="btn plain" type="button">{{ t('app.remove') }}</button>
      </Popconfirm>
    </header>
    <PlaceTab v-if="tab === 'place'" v-model:from="from" :work="work" />
    <MarkOutTab v-else-if="tab === 'mark-out'" :work="work" :from="from" />
    <SeatTab v-else-if="tab === 'seat'" :work="work" />
    <ClampTab v-else-if="tab === 'clamp' && work.fitting.clamp" :work="work" />
    <BondTab v-else-if="tab === 'bond' && work.fitting.bonded" :work="work" />
    <StepsTab v-else-if="tab === 'steps'" :work="work" />
    <AsCutTab v-else :work="work" />
    <OpeningSettings v-model="settings" :work="work" />
  </div>
</template>
