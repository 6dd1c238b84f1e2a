<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Checkbox, message } from 'ant-design-vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, defineAsyncComponent, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { useKeys } from '@/app/keys'
import { sendable } from '@/app/photo'
import Switch from '@/ui/Switch.vue'
import { useState } from '@/app/state'
import type { ViewedFrom } from '@/drawing/facing'
import { middleOf } from '@/drawing/geometry'
import { drawingKey } from '@/drawing/keys'
import RepairLayer from '@/drawing/RepairLayer.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import WaterLayer from '@/drawing/WaterLayer.vue'
import FindingHandles from './FindingHandles.vue'
import NextJobs from './NextJobs.vue'
import UnfoldedShell from '@/drawing/UnfoldedShell.vue'
import { useRepairs } from '@/stages/metal/useRepairs'
import { useFindings } from './useFindings'

// What holds forms comes when it is opened: the first screen is the drawing and what comes next.
const AddPanel = defineAsyncComponent(() => import('./AddPanel.vue'))
const FindingEditor = defineAsyncComponent(() => import('./FindingEditor.vue'))
const LayerSheet = defineAsyncComponent(() => import('./LayerSheet.vue'))
const FindingList = defineAsyncComponent(() => import('./FindingList.vue'))
const ZoneList = defineAsyncComponent(() => import('./ZoneList.vue'))

/** The shell unfolded: what is where, what waits, and what comes next. */
const { t } = useI18n()
const router = useRouter()
const { shell, fittings, lengths } = useState()
const from = ref<ViewedFrom>('outside')
const tabs = ['overview', 'findings', 'inside', 'panels'] as const
const route = useRoute()
const tab = ref<(typeof tabs)[number]>('overview')
watch(
  () => route.query.tab,
  (asked) => {
    if (tabs.some((one) => one === asked)) tab.value = asked as (typeof tabs)[number]
  },
  { immediate: true },
)
const layerNames = ['findings', 'repairs', 'openings', 'members', 'bays', 'zones', 'water'] as const
const layers = ref({ members: true, findings: true, openings: true, zones: false, bays: false, water: false, repairs: true })
/** On a phone the layers are chosen from a sheet. */
const choosing = ref(false)
const drawing = ref<InstanceType<typeof UnfoldedShell> | null>(null)
const shown = ref<string | null>(null)
const work = reactive(useFindings())
const { repairs } = useRepairs()

/** On a phone the camera comes first: what it took goes with the finding that is begun. */
const phone = useMediaQuery('(max-width: 560px)')
async function withPhoto(event: Event) {
  const input = event.target as HTMLInputElement
  const photo = input.files?.[0] && (await sendable(input.files[0]))
  input.value = ''
  if (!photo) void message.error(t('findings.photoTooLarge', { name: t('findings.photo') }))
  work.begin(undefined, undefined, photo ? [photo] : [])
}

const vehicleId = computed(() => shell.value!.vehicle.id)
const toPanel = (panelId: string) =>
  router.push({ name: 'panel', params: { vehicleId: vehicleId.value, panelId, tab: 'members' } })
function toOpening(openingId: string) {
  const state = shell.value!.openings.find((o) => o.id === openingId)?.value.state
  void router.push({
    name: 'opening',
    params: { vehicleId: vehicleId.value, openingId, tab: state === 'planned' ? 'place' : 'as-cut' },
  })
}
const toRepair = (at: string) => router.push({ name: 'metal', params: { vehicleId: vehicleId.value }, query: { at } })
const toReplacement = (replacementId: string) =>
  router.push({ name: 'replacement', params: { vehicleId: vehicleId.value, replacementId, tab: 'replace' } })
const toLining = (liningId: string) =>
  router.push({ name: 'lining', params: { vehicleId: vehicleId.value, liningId, tab: 'design' } })
function go(id: string) {
  if (shell.value!.findings.some((f) => f.id === id)) work.open(id)
  else if (shell.value!.repairs.some((r) => r.id === id)) void toRepair(id)
  else if (shell.value!.floor.replacements.some((r) => r.id === id)) void toReplacement(id)
  else if (shell.value!.floor.linings.some((l) => l.id === id)) void toLining(id)
  else toOpening(id)
}
useKeys((event) => {
  if (event.key !== 'f') return drawingKey(event, from, drawing.value)
  work.begin()
  return true
})
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="shell.panels.length === 0" class="empty wide-form">
    <h2>{{ t('walkaround.noPanels') }}</h2>
    <p>{{ t('walkaround.noPanelsMore') }}</p>
    <AddPanel />
  </div>
  <div v-else class="screen" :class="{ noting: work.edited }">
    <header>
      <h1 class="of-stage">{{ t('walkaround.title') }}</h1>
      <button v-if="phone" class="btn" type="button" @click="choosing = true">{{ t('walkaround.layers') }}</button>
      <LayerSheet v-if="phone" v-model="layers" v-model:open="choosing" :names="layerNames" />
      <div v-else class="tabs" role="group" :aria-label="t('walkaround.layers')">
        <Checkbox v-for="layer in layerNames" :key="layer" v-model:checked="layers[layer]">
          {{ t(`walkaround.layer.${layer}`) }}
        </Checkbox>
      </div>
      <div class="sp" />
      <ViewSwitch v-model="from" />
      <button class="btn main editing" type="button" @click="work.begin()">{{ t('findings.add') }}</button>
    </header>
    <div v-if="phone && !work.edited" class="act">
      <label class="btn main camera">
        {{ t('findings.add') }}
        <input type="file" accept="image/*" capture="environment" @change="withPhoto" @cancel="work.begin()" />
      </label>
    </div>
    <UnfoldedShell
      ref="drawing"
      :shell="shell"
      :fittings="fittings"
      :from="from"
      :lengths="lengths"
      :layers="layers"
      :numbers="work.numbers"
      :shown="shown"
      :hidden="work.edited?.id"
      :marks="layers.repairs ? repairs.map((r) => ({ panelId: r.row.ownerId!, at: middleOf(r.outline) })) : []"
      :picking="work.edited?.id === null"
      @panel="toPanel"
      @place="work.place"
      @finding="work.open"
      @opening="toOpening"
      @hover="(id) => (shown = id)"
    >
      <template #default="{ at, back }">
        <WaterLayer v-if="layers.water" :shell="shell" :at="at" />
        <RepairLayer v-if="layers.repairs" :repairs="repairs" :at="at" @choose="toRepair" />
        <FindingHandles
          v-if="work.edited"
          v-model="work.edited.value"
          :at="(p) => at(work.edited!.panelId, p) ?? { x: 0, y: 0 }"
          :back="(x, y) => back(work.edited!.panelId, x, y)"
        />
      </template>
    </UnfoldedShell>
    <aside v-if="work.edited">
      <FindingEditor :key="work.edited.id ?? ''" :work="work" />
    </aside>
    <aside v-else>
      <Switch v-model="tab" tabs :choices="tabs.map((key) => ({ key, text: t(`walkaround.${key}`) }))" />
      <NextJobs
        v-if="tab === 'overview'"
        :shell="shell"
        :numbers="work.numbers"
        @go="go"
        @hover="(id) => (shown = id)"
        @all="tab = 'findings'"
      />
      <FindingList
        v-else-if="tab === 'findings'"
        :shell="shell"
        :numbers="work.numbers"
        @open="work.open"
        @hover="(id) => (shown = id)"
      />
      <ZoneList v-else-if="tab === 'inside'" :zones="shell.zones" :vehicle-id="shell.vehicle.id" />
      <AddPanel v-else list />
      <div class="soft keys">
        <span class="key">F</span> {{ t('walkaround.keyFinding') }} <span class="key">I</span> {{ t('walkaround.keySide') }}
        <span class="key">?</span> {{ t('app.allKeys') }}
      </div>
    </aside>
  </div>
</template>

<style scoped>
.keys {
  margin-top: auto;
}
@media (max-width: 560px) {
  /* On a phone the shell is looked at; it is surveyed on something one can prop up. */
  .editing {
    display: none;
  }
}
/* At hand under the thumb, over what scrolls. */
.act {
  position: fixed;
  bottom: 0;
  left: 0;
  right: 0;
  z-index: 2;
  padding: 8px 12px;
  background: var(--primer);
}
.act ~ aside {
  padding-bottom: 84px;
}
.camera {
  display: flex;
  justify-content: center;
  align-items: center;
  min-height: 52px;
  font-size: 18px;
}
.camera input {
  position: absolute;
  clip-path: inset(50%);
}
</style>
