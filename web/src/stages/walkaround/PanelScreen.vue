<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { api, got, ifMatch, type Member, type Panel, type Point, type Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { useKeys } from '@/app/keys'
import { lengthNumber } from '@/app/length'
import Switch from '@/ui/Switch.vue'
import { useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import DragHandle from '@/drawing/DragHandle.vue'
import FindingMark from '@/drawing/FindingMark.vue'
import OpeningShape from '@/drawing/OpeningShape.vue'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import { panelName, type ViewedFrom } from '@/drawing/facing'
import { drawingKey } from '@/drawing/keys'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import FindingEditor from './FindingEditor.vue'
import FindingHandles from './FindingHandles.vue'
import FindingList from './FindingList.vue'
import MemberList from './MemberList.vue'
import PanelForm from './PanelForm.vue'
import ReliefImage from './ReliefImage.vue'
import SurfaceTab from './SurfaceTab.vue'
import { useBays } from './useBays'
import { useFindings } from './useFindings'
import { useSurface } from './useSurface'

/** One panel: its drawing, and beside it its members, its shape, its surface and what was found on it. */
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell, fittings, lengths, change } = useState()
const from = ref<ViewedFrom>('outside')
const drawing = ref<InstanceType<typeof PanelDrawing> | null>(null)
const editMember = ref<number | null>(null)
const station = ref<number | null>(null)
const shown = ref<string | null>(null)
const work = reactive(useFindings())
const tabs = ['members', 'shape', 'surface', 'findings'] as const
type Tab = (typeof tabs)[number]

const panel = computed(() => shell.value?.panels.find((p) => p.id === route.params.panelId) as Stored<Panel> | undefined)
const tab = computed({
  get: () => route.params.tab as Tab,
  set: (to) => void router.replace({ params: { ...route.params, tab: to } }),
})
const members = computed(() => (shell.value?.members.filter((m) => m.ownerId === panel.value?.id) ?? []) as Stored<Member>[])
const memberValues = computed(() => members.value.map((m) => m.value))
const findings = computed(() => shell.value?.findings.filter((f) => f.ownerId === panel.value?.id) ?? [])
const openings = computed(() => shell.value?.openings.filter((o) => o.ownerId === panel.value?.id) ?? [])
const fittingOf = (id: string) => fittings.value.find((f) => f.id === id)?.value
const bays = useBays(
  () => panel.value?.value,
  () => memberValues.value,
)
const { relief, section, difference } = useSurface(
  () => panel.value?.value,
  () => memberValues.value,
  () => (tab.value === 'surface' ? station.value : null),
  () => tab.value === 'surface',
)
const outline = ref<Point[]>([])
watch(panel, (p) => p && (outline.value = copyOf(p.value.outline)), { immediate: true })
const drawn = computed(() => (tab.value === 'shape' ? { ...panel.value!.value, outline: outline.value } : panel.value!.value))

function openMember(index: number) {
  tab.value = 'members'
  editMember.value = index
}
async function moveMember(index: number, ds: number, dt: number) {
  const row = members.value[index]
  if (!row || (ds === 0 && dt === 0)) return
  const points = row.value.footprint.points.map((p) => ({ sMm: p.sMm + ds, tMm: p.tMm + dt }))
  await change(() =>
    got(
      api.PUT('/api/vehicles/{vehicleId}/members/{id}', {
        params: { path: { vehicleId: shell.value!.vehicle.id, id: row.id }, header: ifMatch(row.version) },
        body: { ...row.value, footprint: { ...row.value.footprint, points } },
      }),
    ),
  )
}
const moveCorner = (i: number, to: Point) => (outline.value = outline.value.map((p, k) => (k === i ? to : p)))
const toOpening = (openingId: string) =>
  router.push({ name: 'opening', params: { vehicleId: shell.value!.vehicle.id, openingId, tab: 'place' } })

useKeys((event) => {
  if (event.key !== 'f' || !panel.value) return drawingKey(event, from, drawing.value)
  work.begin(panel.value.id)
  return true
})
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="!panel" class="empty">
    <h2>{{ t('walkaround.panelGone') }}</h2>
    <RouterLink class="btn" :to="{ name: 'walkaround', params: { vehicleId: shell.vehicle.id } }">{{
      t('stages.walkaround')
    }}</RouterLink>
  </div>
  <div v-else class="screen">
    <header>
      <RouterLink class="btn plain" :to="{ name: 'walkaround', params: { vehicleId: shell.vehicle.id } }"
        >‹ {{ t('stages.walkaround') }}</RouterLink
      >
      <h1>{{ panelName(panel.value) }}</h1>
      <Switch v-model="tab" tabs :choices="tabs.map((key) => ({ key, text: t(`walkaround.panelTab.${key}`) }))" />
      <div class="sp" />
      <ViewSwitch v-model="from" />
    </header>
    <PanelDrawing
      ref="drawing"
      :panel="drawn"
      :members="memberValues"
      :zones="shell.zones.map((z) => z.value)"
      :bays="bays?.result"
      :from="from"
      :lengths="lengths"
      :hide="{ zones: tab !== 'members', bays: tab !== 'members' }"
      :movable="tab === 'members'"
      :label="panelName(panel.value)"
      :picking="work.edited?.id === null"
      @member="openMember"
      @moved="moveMember"
      @place="(at) => (tab === 'findings' || work.edited) && work.place(panel!.id, at)"
    >
      <template #default="{ view }">
        <ReliefImage v-if="tab === 'surface' && relief" :relief="relief" :panel="panel.value" :view="view" />
        <template v-for="o in openings" :key="o.id">
          <OpeningShape
            v-if="fittingOf(o.value.fittingId)"
            :view="view"
            :fitting="fittingOf(o.value.fittingId)!"
            :centre="o.value.centre"
            :turn-deg="o.value.turnDeg"
            :name="o.value.name"
            :state="o.value.state"
            link
            @open="toOpening(o.id)"
          />
        </template>
        <FindingMark
          v-for="f in tab === 'surface' || tab === 'shape' ? [] : findings.filter((one) => one.id !== work.edited?.id)"
          :key="f.id"
          :finding="f.value"
          :at="(p) => ({ x: view.x(p.sMm), y: view.y(p.tMm) })"
          :number="work.numbers[f.id]"
          :shown="shown === f.id"
          @open="work.open(f.id)"
        />
        <FindingHandles
          v-if="work.edited?.panelId === panel.id"
          v-model="work.edited.value"
          :at="(p) => ({ x: view.x(p.sMm), y: view.y(p.tMm) })"
          :back="(px, py) => view.toPanel(px, py)"
        />
        <template v-if="tab === 'shape'">
          <DragHandle
            v-for="(p, i) in outline"
            :key="i"
            :view="view"
            :at="p"
            :label="t('walkaround.corner', { n: i + 1 })"
            @move="(to) => moveCorner(i, to)"
          />
        </template>
        <DragHandle
          v-if="tab === 'surface' && station !== null"
          :view="view"
          :at="{ sMm: station, tMm: 0 }"
          :label="t('surface.station')"
          line
          @move="(to) => (station = to.sMm)"
        />
      </template>
    </PanelDrawing>
    <aside v-if="work.edited">
      <FindingEditor :key="work.edited.id ?? ''" :work="work" />
    </aside>
    <aside v-else>
      <template v-if="tab === 'members'">
        <MemberList v-model:edit="editMember" :panel="panel" :members="members" />
        <div class="card">
          <h2>{{ t('walkaround.bays') }}</h2>
          <table class="figures">
            <tbody>
              <tr v-for="bay in bays?.result ?? []" :key="bay.label">
                <td>
                  <b>{{ bay.label }}</b>
                </td>
                <td class="n">{{ lengthNumber(bay.clearWidthMm, lengths) }} x {{ lengthNumber(bay.clearHeightMm, lengths) }}</td>
                <td class="n soft">{{ bay.areaM2.toFixed(2) }} m²</td>
              </tr>
            </tbody>
          </table>
          <WorkedSteps :title="t('walkaround.bays')" :worked="bays" />
        </div>
      </template>
      <PanelForm v-else-if="tab === 'shape'" v-model:outline="outline" :row="panel" :vehicle-id="shell.vehicle.id" />
      <SurfaceTab
        v-else-if="tab === 'surface'"
        v-model:station="station"
        :row="panel"
        :section="section"
        :difference="difference"
        :vehicle-id="shell.vehicle.id"
      />
      <template v-else>
        <p class="soft">{{ t('findings.clickToAdd') }}</p>
        <button class="btn main" type="button" @click="work.begin(panel.id)">{{ t('findings.add') }}</button>
        <FindingList
          :shell="shell"
          :numbers="work.numbers"
          :panel-id="panel.id"
          @open="work.open"
          @hover="(id) => (shown = id)"
        />
      </template>
    </aside>
  </div>
</template>
