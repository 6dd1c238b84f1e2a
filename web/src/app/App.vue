<script setup lang="ts">
import { ConfigProvider } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useDrafts, type Draft } from './drafts'
import FrameTools from './FrameTools.vue'
import LateChip from './LateChip.vue'
import KeySheet from './KeySheet.vue'
import { useKeys } from './keys'
import { askToDrop } from './leaving'
import NewerDialogue from './NewerDialogue.vue'
import { meterIntoFocus } from './meter'
import { useEventListener, useMediaQuery } from '@vueuse/core'
import PhoneBar from './PhoneBar.vue'
import StageLadder from './StageLadder.vue'
import StateBadge from './StateBadge.vue'
import { useState } from './state'
import { theme } from './theme'
import { useStrip } from './useStrip'
import { useForecastAir } from '@/stages/sealing/useAir'
import QueueNote from '@/stages/bench/QueueNote.vue'
import WeatherBand from '@/drawing/WeatherBand.vue'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell, trouble, load, undo, redo } = useState()
const keySheet = ref(false)
const phone = useMediaQuery('(max-width: 560px)')

const vehicleId = computed(() => (route.params.vehicleId as string | undefined) ?? shell.value?.vehicle.id)
watch(
  () => route.params.vehicleId as string | undefined,
  (id) => id && id !== shell.value?.vehicle.id && load(id),
  { immediate: true },
)

const { left, takeUp, drop } = useDrafts()
const when = (at: string) =>
  new Date(at).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
async function goOn(draft: Draft & { key: string }) {
  await router.push(draft.path)
  takeUp(draft.key)
}
const isOpen = computed(() => shell.value?.vehicle.id === route.params.vehicleId)
/** The weather, and how the shell stands in it. */
const { strip } = useStrip()
useForecastAir()
const badge = computed(() => strip.value?.badge)

// The one key that works while typing: it brings a reading into the field.
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.key === 'F2' && meterIntoFocus()) event.preventDefault()
})
useKeys((event) => {
  const z = event.key.toLowerCase() === 'z' && (event.ctrlKey || event.metaKey)
  if (z) void (event.shiftKey ? redo() : undo())
  else if (event.key === '?') keySheet.value = true
  else if (event.key === 'Escape' && keySheet.value) keySheet.value = false
  else if (event.key.toLowerCase() === 'k' && !event.ctrlKey && !event.metaKey) void router.push({ name: 'figures' })
  else return false
  return true
})
</script>

<template>
  <ConfigProvider :theme="theme">
    <div class="app">
      <a class="skip" href="#main">{{ t('app.skip') }}</a>
      <PhoneBar v-if="phone">
        <template #badge>
          <StateBadge v-if="shell && badge" :badge="badge" />
          <LateChip v-if="shell && strip" :late="strip.overdue" />
        </template>
        <StageLadder :vehicle-id="vehicleId" @keys="keySheet = true" />
        <FrameTools />
      </PhoneBar>
      <template v-else>
        <header class="strip">
          <div class="vehicle">
            <b>{{ shell?.vehicle.value.name ?? t('app.product') }}</b>
            <span>{{ shell ? t(`vehicles.kinds.${shell.vehicle.value.kind}`) : t('app.noVehicle') }}</span>
          </div>
          <RouterLink
            v-if="shell && strip"
            class="weather"
            :to="{ name: 'days', params: { vehicleId: shell.vehicle.id } }"
            :aria-label="strip.hours.length > 0 ? t('strip.label') : undefined"
          >
            <WeatherBand
              v-if="strip.hours.length > 0"
              compact
              :hours="strip.hours"
              :windows="strip.windows"
              :open="strip.plannedOpen"
              :now="strip.now"
              :label="t('strip.label')"
            />
            <span v-else>{{ t('strip.add') }}</span>
          </RouterLink>
          <FrameTools class="tools" />
          <div v-if="shell && badge" class="state">
            <StateBadge :badge="badge" />
            <LateChip v-if="strip" :late="strip.overdue" />
          </div>
        </header>
        <StageLadder :vehicle-id="vehicleId" @keys="keySheet = true" />
      </template>
      <main id="main" tabindex="-1">
        <QueueNote />
        <div v-for="d in left" :key="d.key" class="typed" role="status">
          <span>{{ t('app.typed', { what: d.what, at: when(d.at) }) }}</span>
          <button class="btn" type="button" @click="goOn(d)">{{ t('app.goOn') }}</button>
          <button class="btn plain" type="button" @click="askToDrop(t('app.dropTyped'), () => drop(d.key))">
            {{ t('app.drop') }}
          </button>
        </div>
        <div v-if="trouble && route.params.vehicleId" class="empty" :class="{ above: isOpen }" role="alert">
          <h2>{{ trouble.status === 404 ? t('app.gone') : trouble.status === 0 ? t('app.offline') : trouble.message }}</h2>
          <div class="row">
            <button v-if="trouble.status !== 404" class="btn main" type="button" @click="load(route.params.vehicleId as string)">
              {{ t('app.tryAgain') }}
            </button>
            <RouterLink class="btn" :to="{ name: 'vehicles' }">{{ t('app.toVehicles') }}</RouterLink>
          </div>
        </div>
        <!-- What is being typed stays, whatever the server says. -->
        <RouterView
          v-if="!trouble || !route.params.vehicleId || isOpen"
          :key="String(route.params.vehicleId ?? '') + String(route.params.openingId ?? '')"
        />
      </main>
      <KeySheet v-model="keySheet" />
      <NewerDialogue />
    </div>
  </ConfigProvider>
</template>

<style scoped>
.app {
  display: grid;
  grid-template: 72px minmax(0, 1fr) / 176px minmax(0, 1fr);
  height: 100%;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 10;
  padding: 8px;
  background: var(--white);
}
.strip {
  grid-column: 1 / 3;
  display: grid;
  grid-template-columns: 176px minmax(0, 1fr) auto auto;
  background: var(--night);
  color: var(--night-ink);
}
.vehicle {
  padding: 12px 16px;
  border-right: 1px solid var(--night-rule);
  overflow: hidden;
}
.vehicle b {
  font: 600 19px/1.1 'Barlow Semi Condensed';
}
.vehicle span {
  display: block;
  margin-top: 3px;
  color: var(--night-soft);
  font-size: 12.5px;
}
.weather {
  display: flex;
  flex-direction: column;
  justify-content: center;
  min-width: 0;
  padding: 0 12px;
  color: var(--night-ink);
}
.tools {
  grid-column: 3;
}
.state {
  display: flex;
  align-items: center;
  gap: 8px;
  width: 268px;
  padding: 8px 16px;
  border-left: 1px solid var(--night-rule);
}
.typed {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
  background: var(--amber-soft);
}
.above {
  margin: 8px auto;
  padding: 12px 24px;
}
main {
  min-width: 0;
  min-height: 0;
  overflow: auto;
  outline: none;
}
@media (max-width: 1000px) {
  .app {
    display: flex;
    flex-direction: column;
    height: auto;
    min-height: 100%;
  }
  .strip {
    grid-template-columns: 1fr auto;
  }
  .tools {
    grid-column: auto;
  }
  .weather {
    grid-column: 1 / -1;
    order: 1;
    padding: 4px 12px;
    border-top: 1px solid var(--night-rule);
  }
  .vehicle {
    border-right: 0;
  }
  .state {
    grid-column: 1 / -1;
    width: auto;
    border-left: 0;
    border-top: 1px solid var(--night-rule);
  }
}
</style>
