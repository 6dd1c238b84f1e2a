<script setup lang="ts">
import { ConfigProvider } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, got, ifMatch } from '@/api/client'
import { enums } from '@/api/enums'
import { useDrafts, type Draft } from './drafts'
import KeySheet from './KeySheet.vue'
import { useKeys } from './keys'
import { askToDrop } from './leaving'
import { meterIntoFocus } from './meter'
import { useEventListener } from '@vueuse/core'
import { stages } from './stages'
import { useState } from './state'
import { theme } from './theme'
import { useStrip } from './useStrip'
import { useForecastAir } from '@/stages/sealing/useAir'
import WeatherBand from '@/drawing/WeatherBand.vue'

const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell, trouble, load, lengths, ownLengths, change, undo, redo } = useState()
const keySheet = ref(false)

const vehicleId = computed(() => (route.params.vehicleId as string | undefined) ?? shell.value?.vehicle.id)
watch(
  () => route.params.vehicleId as string | undefined,
  (id) => id && id !== shell.value?.vehicle.id && load(id),
  { immediate: true },
)

// Where the row of stages scrolls, the one that is shown is in sight.
watch(
  () => route.name,
  () => document.querySelector('.rung.on')?.scrollIntoView({ block: 'nearest', inline: 'center' }),
  { flush: 'post' },
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

async function setUnits(units: 'mm' | 'inch') {
  const vehicle = shell.value?.vehicle
  if (!vehicle) {
    ownLengths.value = { ...ownLengths.value, units }
    return
  }
  await change(() =>
    got(
      api.PUT('/api/vehicles/{id}', {
        params: { path: { id: vehicle.id }, header: ifMatch(vehicle.version) },
        body: { ...vehicle.value, units },
      }),
    ),
  )
}

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
        <div class="tools">
          <button class="tool" type="button" :disabled="!shell" @click="undo">{{ t('app.undo') }}</button>
          <button class="tool" type="button" :disabled="!shell" @click="redo">{{ t('app.redo') }}</button>
          <div class="units" role="group" :aria-label="t('app.units')">
            <button
              v-for="unit in enums.UnitSystem"
              :key="unit"
              class="tool"
              type="button"
              :aria-pressed="lengths.units === unit"
              @click="setUnits(unit)"
            >
              {{ t(`app.${unit}`) }}
            </button>
          </div>
        </div>
        <div v-if="shell && badge" class="state" role="status">
          <b>
            <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
              <template v-if="badge.kind !== 'open'">
                <rect x="2" y="2" width="12" height="12" fill="none" stroke="var(--night-good)" stroke-width="2" />
                <path d="M4 8l3 3 5-6" fill="none" stroke="var(--night-good)" stroke-width="2" />
              </template>
              <path v-else d="M2 14V2h12v12M2 14l4-3M14 14l-4-3" fill="none" stroke="var(--night-open)" stroke-width="2" />
            </svg>
            {{ badge.title }}
          </b>
          <span :title="badge.more">{{ badge.more }}</span>
        </div>
      </header>
      <nav class="ladder" :aria-label="t('stages.ladder')">
        <template v-if="vehicleId">
          <RouterLink
            v-for="stage in stages"
            :key="stage.name"
            class="rung"
            :to="{ name: stage.name, params: { vehicleId } }"
            :class="{ on: stage.screens.some((screen) => screen.name === route.name) }"
          >
            <span>{{ t(`stages.${stage.name}`) }}</span>
            <i v-if="shell && stage.waiting?.(shell)">{{ stage.waiting(shell) }}</i>
          </RouterLink>
        </template>
        <div class="beside">
          <RouterLink :to="{ name: 'figures' }" :class="{ on: route.name === 'figures' }">
            {{ t('stages.figures') }} <span class="key">K</span>
          </RouterLink>
          <RouterLink :to="{ name: 'fittings' }" :class="{ on: route.name === 'fittings' }">{{
            t('stages.fittings')
          }}</RouterLink>
          <RouterLink :to="{ name: 'vehicles' }" :class="{ on: route.name === 'vehicles' }">{{
            t('stages.vehicles')
          }}</RouterLink>
          <button type="button" @click="keySheet = true"><span class="key">?</span> {{ t('app.allKeys') }}</button>
        </div>
      </nav>
      <main id="main" tabindex="-1">
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
  display: flex;
  justify-content: flex-end;
  align-items: center;
  gap: 4px;
  padding: 0 16px;
}
.tool {
  min-height: 36px;
  padding: 4px 12px;
  border: 1px solid var(--night-edge);
  border-radius: 4px;
  background: none;
  color: var(--night-ink);
  font: 500 14px Barlow;
  cursor: pointer;
}
.tool:disabled {
  opacity: 0.45;
}
.tool:hover {
  background: var(--night-hover);
}
.tool[aria-pressed='true'] {
  background: var(--night-ink);
  color: var(--night);
}
.units {
  display: flex;
  margin-left: 10px;
}
.units .tool:first-child {
  border-radius: 4px 0 0 4px;
}
.units .tool:last-child {
  border-radius: 0 4px 4px 0;
  border-left: 0;
}
.state {
  width: 236px;
  padding: 12px 16px;
  border-left: 1px solid var(--night-rule);
}
.state b {
  display: flex;
  gap: 8px;
  align-items: center;
  font: 600 15px/1.2 Barlow;
}
.state span {
  display: block;
  margin-top: 4px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--metal-2);
  font-size: 13px;
  line-height: 1.25;
}
.ladder {
  position: relative;
  display: flex;
  flex-direction: column;
  padding-top: 14px;
  border-right: 1px solid var(--line);
  background: var(--ladder);
  overflow: auto;
}
.rung {
  position: relative;
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 44px;
  padding: 0 14px 0 46px;
  color: var(--label);
  font: 500 15px Barlow;
  text-decoration: none;
}
.rung::before {
  content: '';
  position: absolute;
  left: 20px;
  width: 16px;
  height: 2px;
  background: var(--edge-strong);
}
.rung::after {
  content: '';
  position: absolute;
  left: 27px;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--metal-3);
}
.rung.on {
  background: var(--paper);
  color: var(--ink);
  font-weight: 600;
  box-shadow: inset 4px 0 0 var(--rust);
}
.rung.on::before {
  background: var(--rust);
  height: 4px;
}
.rung i {
  font: 600 12.5px Barlow;
  color: var(--soft);
}
.beside {
  display: flex;
  flex-direction: column;
  margin-top: auto;
  padding-bottom: 8px;
}
.beside a,
.beside button {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 36px;
  padding: 6px 14px 6px 46px;
  border: 0;
  background: none;
  color: var(--label);
  font: 500 14px Barlow;
  text-decoration: none;
  text-align: left;
  cursor: pointer;
}
.beside a.on {
  background: var(--paper);
  font-weight: 600;
  box-shadow: inset 4px 0 0 var(--rust);
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
  .ladder {
    flex-direction: row;
    flex-wrap: wrap;
    padding: 0;
  }
  .rung,
  .beside a,
  .beside button {
    gap: 6px;
    min-height: 44px;
    padding: 0 14px;
  }
  .rung::before,
  .rung::after {
    display: none;
  }
  .beside {
    flex-direction: row;
    flex-wrap: wrap;
    margin: 0;
    padding: 0;
  }
}
/* On a phone one row of stages that scrolls; the weather by the hour is on the screen of the days, its badge stays. */
@media (max-width: 560px) {
  .weather {
    display: none;
  }
  .vehicle {
    padding: 8px 16px;
  }
  .ladder,
  .beside {
    flex-wrap: nowrap;
  }
  .ladder {
    overflow-x: auto;
  }
  .rung,
  .beside a,
  .beside button {
    flex: none;
  }
}
</style>
