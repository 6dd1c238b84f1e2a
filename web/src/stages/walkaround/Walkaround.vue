<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { lengthNumber } from '@/app/length'
import { useState } from '@/app/state'
import WorkedSteps from '@/app/WorkedSteps.vue'
import OpeningShape from '@/drawing/OpeningShape.vue'
import RoofDrawing from '@/drawing/RoofDrawing.vue'
import type { ViewedFrom } from '@/drawing/viewport'
import { useKeys } from '@/app/keys'
import MemberList from './MemberList.vue'
import RoofForm from './RoofForm.vue'
import ZoneList from './ZoneList.vue'
import { useBays } from './useBays'

const { t } = useI18n()
const router = useRouter()
const { shell, fittings, lengths } = useState()
const from = ref<ViewedFrom>('outside')
const tab = ref<'overview' | 'roof' | 'members' | 'inside'>('overview')
const layers = reactive({ bays: true, swages: true, openings: true, zones: true })
const drawing = ref<InstanceType<typeof RoofDrawing> | null>(null)
const editMember = ref<number | null>(null)

const panel = computed(() => shell.value?.panels.find((p) => p.value.kind === 'roof'))
const members = computed(() => shell.value?.members.filter((m) => m.ownerId === panel.value?.id) ?? [])
const memberValues = computed(() => members.value.map((m) => m.value))
const zones = computed(() => shell.value?.zones.map((z) => z.value) ?? [])
const openings = computed(() => shell.value?.openings ?? [])
const bays = useBays(
  () => panel.value?.value,
  () => memberValues.value,
)
const fittingOf = (id: string) => fittings.value.find((f) => f.id === id)?.value

/** What to do next, and why: close what is open first, then tape, then plan. */
const next = computed(() => {
  const cut = openings.value.find((o) => o.value.state === 'cut')
  if (cut)
    return {
      what: t('walkaround.nextCut', { name: cut.value.name }),
      why: t('walkaround.nextCutWhy'),
      to: toOpening(cut.id, 'as-cut'),
    }
  if (members.value.length === 0) return { what: t('walkaround.nextMembers'), why: t('walkaround.nextMembersWhy'), to: null }
  const planned = openings.value.find((o) => o.value.state === 'planned')
  if (planned)
    return {
      what: t('walkaround.nextPlace', { name: planned.value.name }),
      why: t('walkaround.nextPlaceWhy'),
      to: toOpening(planned.id, 'place'),
    }
  return {
    what: t('walkaround.nextNone'),
    why: t('walkaround.nextNoneWhy'),
    to: { name: 'openings', params: { vehicleId: shell.value!.vehicle.id } },
  }
})
function toOpening(openingId: string, where: string) {
  return { name: 'opening', params: { vehicleId: shell.value!.vehicle.id, openingId, tab: where } }
}
function goNext() {
  if (next.value.to) void router.push(next.value.to)
  else tab.value = 'members'
}
function openMember(index: number) {
  tab.value = 'members'
  editMember.value = index
}
useKeys((event) => {
  if (event.key === 'i') from.value = from.value === 'outside' ? 'inside' : 'outside'
  else if (event.key === '+') drawing.value?.zoomBy(1.4)
  else if (event.key === '-') drawing.value?.zoomBy(1 / 1.4)
  else if (event.key === '0') drawing.value?.fit()
  else return false
  return true
})
</script>

<template>
  <div v-if="!shell" class="empty">{{ t('app.loading') }}</div>
  <div v-else-if="!panel" class="empty wide-form">
    <h2>{{ t('walkaround.noRoof') }}</h2>
    <p>{{ t('walkaround.noRoofMore') }}</p>
    <RoofForm :row="null" />
  </div>
  <div v-else class="screen">
    <header>
      <h1>{{ t('walkaround.title') }}</h1>
      <div class="tabs" role="group" :aria-label="t('walkaround.layers')">
        <Checkbox v-for="layer in ['bays', 'swages', 'zones', 'openings'] as const" :key="layer" v-model:checked="layers[layer]">
          {{ t(`walkaround.layer.${layer}`) }}
        </Checkbox>
      </div>
      <div class="sp" />
      <div class="tabs" role="group">
        <button
          v-for="side in ['outside', 'inside'] as const"
          :key="side"
          type="button"
          :class="{ on: from === side }"
          :aria-pressed="from === side"
          @click="from = side"
        >
          {{ t(`app.${side}`) }}
        </button>
      </div>
    </header>
    <RoofDrawing
      ref="drawing"
      :panel="panel.value"
      :members="memberValues"
      :zones="zones"
      :bays="bays?.result"
      :from="from"
      :lengths="lengths"
      :hide="{ swages: !layers.swages, zones: !layers.zones, bays: !layers.bays }"
      :label="t('walkaround.title')"
      @member="openMember"
    >
      <template #default="{ view }">
        <template v-if="layers.openings">
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
              @open="router.push(toOpening(o.id, o.value.state === 'planned' ? 'place' : 'as-cut'))"
            />
          </template>
        </template>
      </template>
    </RoofDrawing>
    <aside>
      <div class="tabs" role="tablist">
        <button
          v-for="which in ['overview', 'members', 'roof', 'inside'] as const"
          :key="which"
          type="button"
          role="tab"
          :class="{ on: tab === which }"
          :aria-selected="tab === which"
          @click="tab = which"
        >
          {{ t(`walkaround.${which}`) }}
        </button>
      </div>
      <template v-if="tab === 'overview'">
        <button class="next" type="button" @click="goNext">
          <b>{{ t('walkaround.next', { what: next.what }) }}</b>
          <span class="soft">{{ next.why }}</span>
        </button>
        <div class="card">
          <h2>{{ t('walkaround.openings') }}</h2>
          <p v-if="openings.length === 0" class="soft">{{ t('app.none') }}</p>
          <table v-else class="figures">
            <tbody>
              <tr v-for="o in openings" :key="o.id">
                <td>
                  <RouterLink :to="toOpening(o.id, 'place')">{{ o.value.name }}</RouterLink>
                  <div class="soft">{{ fittingOf(o.value.fittingId)?.name }}</div>
                </td>
                <td class="n">{{ t(`openings.state.${o.value.state}`) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
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
          <WorkedSteps v-if="bays" :title="t('walkaround.bays')" :steps="bays.steps" :sources="bays.sources" />
        </div>
      </template>
      <MemberList v-else-if="tab === 'members'" v-model:edit="editMember" :panel="panel" :members="members" />
      <RoofForm v-else-if="tab === 'roof'" :key="panel.version" :row="panel" />
      <ZoneList v-else :zones="shell.zones" :vehicle-id="shell.vehicle.id" />
    </aside>
  </div>
</template>

<style scoped>
.next {
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 10px 12px;
  border: 0;
  border-left: 4px solid var(--rust);
  background: var(--rust-soft);
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.next b {
  font: 600 16px Barlow;
}
.next .soft {
  color: #4d5258;
}
</style>
