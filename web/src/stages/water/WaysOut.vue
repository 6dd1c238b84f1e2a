<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import type { Point, Schemas } from '@/api/client'
import { useKeys } from '@/app/keys'
import StateMark from '@/ui/StateMark.vue'
import { useState } from '@/app/state'
import { usePanelRecord } from '@/app/usePanelRecord'
import { panelName, type ViewedFrom } from '@/drawing/facing'
import { drawingKey } from '@/drawing/keys'
import UnfoldedShell from '@/drawing/UnfoldedShell.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import WaterLayer from '@/drawing/WaterLayer.vue'
import CoveringForm from './CoveringForm.vue'
import DrainForm from './DrainForm.vue'
import DryingCard from './DryingCard.vue'
import SealCard from './SealCard.vue'
import WaterTabs from './WaterTabs.vue'

/** How the water gets out again: what keeps it in, the register of drains, how wood dries, how door seals close. */
const { t } = useI18n()
const router = useRouter()
const { shell, fittings, lengths } = useState()
const from = ref<ViewedFrom>('outside')
const drawing = ref<InstanceType<typeof UnfoldedShell> | null>(null)
const shown = ref<number | null>(null)
const picking = ref(false)
const layers = { members: true, findings: false, openings: false, zones: false, bays: false }
const drain = usePanelRecord<Schemas['Drain']>('drains')
const covering = usePanelRecord<Schemas['Covering']>('coverings')
const nameOf = (panelId: string) => {
  const panel = shell.value!.panels.find((p) => p.id === panelId)
  return panel ? panelName(panel.value) : ''
}
const day = (at: string | null | undefined) => (at ? new Date(at).toLocaleDateString() : t('waysOut.unknown'))

function addDrain(panelId: string, place: Point) {
  picking.value = false
  drain.begin(panelId, { name: t('waysOut.drainName', shell.value!.drains.length + 1), place, clearedAt: null, notes: '' })
}
function addCovering() {
  const side = shell.value!.panels.find((p) => p.value.kind === 'left') ?? shell.value!.panels[0]!
  covering.begin(side.id, {
    name: '',
    kind: 'insulation',
    area: { sMinMm: 1000, sMaxMm: 2000, tMinMm: 100, tMaxMm: 800 },
    sealedAtBottom: false,
    lap: 'unknown',
    planned: true,
    notes: '',
  })
}
async function cleared(row: Schemas['StoredOfDrain']) {
  drain.begin(row.ownerId!, { ...row.value, clearedAt: new Date().toISOString() }, row as never)
  await drain.save()
}
useKeys((event) => drawingKey(event, from, drawing.value))
</script>

<template>
  <div class="screen">
    <header>
      <WaterTabs />
      <div class="sp" />
      <ViewSwitch v-model="from" />
      <button class="btn" type="button" @click="addCovering">{{ t('waysOut.addCovering') }}</button>
      <button class="btn main" type="button" :aria-pressed="picking" @click="picking = !picking">
        {{ t(picking ? 'waysOut.pick' : 'waysOut.addDrain') }}
      </button>
    </header>
    <UnfoldedShell
      ref="drawing"
      :shell="shell!"
      :fittings="fittings"
      :from="from"
      :lengths="lengths"
      :layers="layers"
      :numbers="{}"
      :shown="null"
      :picking="picking"
      @panel="(panelId) => router.push({ name: 'panel', params: { vehicleId: shell!.vehicle.id, panelId, tab: 'members' } })"
      @place="addDrain"
    >
      <template #default="{ at }">
        <WaterLayer :shell="shell!" :at="at" :shown="shown" />
      </template>
    </UnfoldedShell>
    <aside>
      <div class="card" data-testid="ways-out">
        <h2>{{ t('waysOut.title') }}</h2>
        <p v-if="shell!.waysOut.length === 0" class="soft">{{ t('waysOut.nothing') }}</p>
        <div v-for="(w, n) in shell!.waysOut" :key="n" class="rule" @mouseenter="shown = n" @mouseleave="shown = null">
          <StateMark :state="w.row.state" />
          <div>
            <b>{{ w.row.title }}</b> <span class="soft">{{ nameOf(w.panelId) }}</span>
            <p>{{ w.row.why }}</p>
            <p class="remedy">{{ w.row.remedy }}</p>
          </div>
        </div>
      </div>
      <div class="card">
        <h2>{{ t('waysOut.drains') }}</h2>
        <p v-if="shell!.drains.length === 0" class="soft">{{ t('waysOut.noDrain') }}</p>
        <table class="figures" data-testid="drains">
          <tbody>
            <tr v-for="d in shell!.drains" :key="d.id">
              <td>
                <button class="btn plain name" type="button" @click="drain.begin(d.ownerId!, d.value, d as never)">
                  {{ d.value.name }}
                </button>
                <div class="soft">{{ t('waysOut.clearedAt', { when: day(d.value.clearedAt) }) }}</div>
              </td>
              <td class="n">
                <button class="btn" type="button" @click="cleared(d)">{{ t('waysOut.cleared') }}</button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="shell!.coverings.length > 0" class="card">
        <h2>{{ t('waysOut.coverings') }}</h2>
        <div v-for="c in shell!.coverings" :key="c.id">
          <button class="btn plain name" type="button" @click="covering.begin(c.ownerId!, c.value, c as never)">
            {{ c.value.name }}
          </button>
          <span class="soft"> {{ nameOf(c.ownerId!) }}, {{ t(c.value.planned ? 'waysOut.planned' : 'waysOut.done') }} </span>
        </div>
      </div>
      <DryingCard />
      <SealCard />
    </aside>
    <DrainForm :record="drain" />
    <CoveringForm :record="covering" />
  </div>
</template>

<style scoped>
.rule {
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 8px;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
  font-size: 13.5px;
}
.rule b {
  font-size: 14.5px;
}
.remedy {
  font-weight: 500;
}
.name {
  padding: 2px 0;
  min-height: 28px;
}
</style>
