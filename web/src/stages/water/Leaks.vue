<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { StorageSerializers, useStorage } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import type { Point, Schemas, Stored } from '@/api/client'
import { useKeys } from '@/app/keys'
import { useState } from '@/app/state'
import { usePanelRecord } from '@/app/usePanelRecord'
import { whoHere } from '@/app/person'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import type { ViewedFrom } from '@/drawing/facing'
import { drawingKey } from '@/drawing/keys'
import UnfoldedShell from '@/drawing/UnfoldedShell.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import FindingEditor from '@/stages/walkaround/FindingEditor.vue'
import FindingHandles from '@/stages/walkaround/FindingHandles.vue'
import { useFindings } from '@/stages/walkaround/useFindings'
import CondensationCard from './CondensationCard.vue'
import LeakMarks from './LeakMarks.vue'
import ObservationForm from './ObservationForm.vue'
import ObservationList from './ObservationList.vue'
import PriorsTable from './PriorsTable.vue'
import SuspectForm from './SuspectForm.vue'
import SuspectList from './SuspectList.vue'
import TestCard from './TestCard.vue'
import TestRun from './TestRun.vue'
import { useLeaks } from './useLeaks'
import Choice from '@/ui/Choice.vue'
import WaterTabs from './WaterTabs.vue'

/** Where the water gets in: what is suspected and why, the next water test, and what to do where rain is near. */
const { t } = useI18n()
const router = useRouter()
const { shell, fittings, lengths } = useState()
const from = ref<ViewedFrom>('outside')
const drawing = ref<InstanceType<typeof UnfoldedShell> | null>(null)
const { answer, hunt, next, marks, mark, trouble } = useLeaks()
const chosen = ref<number | null>(null)
const test = ref<Schemas['PlannedTest'] | null>(null)
/** The test that is being made on a vehicle; it outlives a reload. */
const remembered = useStorage<{ vehicleId: string; test: Schemas['PlannedTest']; startedAt: number | null } | null>(
  'abri.waterTest',
  null,
  undefined,
  {
    serializer: StorageSerializers.object,
  },
)
const own = computed(() => (remembered.value?.vehicleId === shell.value?.vehicle.id ? remembered.value : null))
const running = computed({
  get: () => own.value?.test ?? null,
  set: (test) => (remembered.value = test && { vehicleId: shell.value!.vehicle.id, test, startedAt: null }),
})
const startedAt = computed({
  get: () => own.value?.startedAt ?? null,
  set: (at) => own.value && (remembered.value = { ...own.value, startedAt: at }),
})
const rainIsNear = ref(false)
const priors = ref(false)
const condensation = ref(false)
const picking = ref(false)
const layers = { members: true, findings: false, openings: false, zones: false, bays: false }
const observation = usePanelRecord<Schemas['Observation']>('observations')
const suspect = usePanelRecord<Schemas['Suspect']>('suspects')
const work = reactive(useFindings())
watch(hunt, (now, before) => {
  const leader = (h: typeof now) => h?.ranking.suspects.find((s) => s.causes > 0)?.number ?? null
  const was = chosen.value === null ? undefined : before?.suspects[chosen.value]
  const isSame = (s: Schemas['HuntedSuspect']) =>
    s.panelId === was?.panelId && s.key === was.key && (s.key !== null || s.suspect.name === was.suspect.name)
  // Who looks at another than the first goes on looking at it; the first may have changed.
  const kept = chosen.value === leader(before) ? -1 : (now?.suspects.findIndex(isSame) ?? -1)
  chosen.value = kept >= 0 ? kept : leader(now)
  test.value = next.value
})
const state = computed(() => hunt.value?.ranking.state ?? 'nothingWet')

function lookAt(panelId: string, at: Point) {
  picking.value = false
  observation.begin(panelId, {
    kind: 'rain',
    place: at,
    seenAt: new Date().toISOString(),
    wet: true,
    moisturePercent: null,
    wind: null,
    attitude: null,
    spray: null,
    afterMinutes: null,
    seenBy: whoHere.value,
    notes: '',
  })
}
function addSuspect() {
  const roof = shell.value!.panels[0]!
  suspect.begin(roof.id, {
    name: '',
    kind: 'screw',
    points: [{ sMm: 0, tMm: 0 }],
    condition: 'unknown',
    sinceAt: null,
    notes: '',
  })
}
/** A suspect that is offered is written down once somebody has looked at it; one that was written down is changed. */
function look(number: number) {
  const hunted = hunt.value!.suspects[number]!
  const row = shell.value!.suspects.find((r) => r.id === hunted.key)
  suspect.begin(
    hunted.panelId,
    hunted.suspect,
    hunted.origin === 'written' ? ((row as Stored<Schemas['Suspect']>) ?? null) : null,
  )
}
function writeDown(number: number) {
  const { panelId, suspect: s, asFinding } = hunt.value!.suspects[number]!
  work.begin(panelId)
  if (work.edited?.id !== null) return
  Object.assign(work.edited.value, {
    name: s.name,
    kind: asFinding!,
    shape: s.points.length > 1 ? 'line' : 'point',
    points: s.points.map((p) => ({ sMm: Math.round(p.sMm), tMm: Math.round(p.tMm) })),
    severity: 'severe',
    state: 'planned',
    notes: hunt.value!.ranking.verdict,
  })
}
useKeys((event) => {
  if (event.key !== 'w') return drawingKey(event, from, drawing.value)
  picking.value = !picking.value
  return true
})
</script>

<template>
  <div v-if="!hunt" class="empty">
    <WaterTabs />
    <Waiting :wrong="trouble" />
  </div>
  <div v-else class="screen">
    <header>
      <WaterTabs />
      <div class="sp" />
      <ViewSwitch v-model="from" />
      <button class="btn" type="button" :aria-pressed="rainIsNear" @click="rainIsNear = !rainIsNear">
        {{ t('leaks.rainIsNear') }}
      </button>
      <button class="btn main" type="button" :aria-pressed="picking" @click="picking = !picking">{{ t('leaks.looked') }}</button>
    </header>
    <div class="map">
      <p v-if="picking" class="hint" role="status">{{ t('leaks.pick') }}</p>
      <UnfoldedShell
        ref="drawing"
        :shell="shell!"
        :fittings="fittings"
        :from="from"
        :lengths="lengths"
        :layers="layers"
        :numbers="{}"
        :shown="null"
        :picking="picking || work.edited?.id === null"
        @panel="(panelId) => router.push({ name: 'panel', params: { vehicleId: shell!.vehicle.id, panelId, tab: 'members' } })"
        @place="(panelId, at) => (picking ? lookAt(panelId, at) : work.place(panelId, at))"
      >
        <template #default="{ at, back }">
          <LeakMarks :hunt="hunt" :at="at" :chosen="chosen" :test="test" @choose="(n) => (chosen = n)" />
          <FindingHandles
            v-if="work.edited"
            v-model="work.edited.value"
            :at="(p) => at(work.edited!.panelId, p) ?? { x: 0, y: 0 }"
            :back="(x, y) => back(work.edited!.panelId, x, y)"
          />
        </template>
      </UnfoldedShell>
    </div>
    <aside v-if="work.edited">
      <FindingEditor :key="work.edited.id ?? ''" :work="work" />
    </aside>
    <aside v-else>
      <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      <Choice
        v-model="mark"
        :label="t('leaks.which')"
        :options="[{ value: '', text: t('leaks.all') }, ...marks.map((name) => ({ value: name, text: name }))]"
      />
      <div class="verdict" :class="state" role="status" data-testid="leak-verdict">
        <b>{{ t(`leaks.states.${state}`) }}</b>
        <span>{{ hunt.ranking.verdict }}</span>
        <ul v-if="hunt.ranking.misfits.length > 0">
          <li v-for="m in hunt.ranking.misfits" :key="m">{{ m }}</li>
        </ul>
      </div>
      <div v-if="rainIsNear" class="card covers" data-testid="covers">
        <h2>{{ t('leaks.atOnce') }}</h2>
        <p v-if="hunt.covers.length === 0" class="soft">{{ t('leaks.noCover') }}</p>
        <div v-for="c in hunt.covers" :key="c.number">
          <b>{{ hunt.suspects[c.number]!.suspect.name }}</b>
          <p>{{ c.what }}</p>
          <p class="soft">{{ t('leaks.needs', { needs: c.needs.join(', '), n: Math.round(c.minutes) }) }}</p>
          <p v-if="c.caution" class="wrong">{{ c.caution }}</p>
        </div>
      </div>
      <TestCard v-if="test" :test="test" :hunt="hunt" @run="running = test" />
      <button class="btn" type="button" :aria-expanded="condensation" @click="condensation = !condensation">
        {{ t('condensation.open') }}
      </button>
      <CondensationCard
        v-if="condensation"
        :key="shell!.vehicle.id"
        :vehicle-id="shell!.vehicle.id"
        :tests="hunt.otherTests ?? []"
      />
      <SuspectList
        :hunt="hunt"
        :chosen="chosen"
        @choose="(n) => (chosen = n)"
        @look="look"
        @write-down="writeDown"
        @test="(planned) => (test = planned)"
      />
      <ObservationList :record="observation" />
      <div class="row">
        <button class="btn" type="button" @click="addSuspect">{{ t('leaks.addSuspect') }}</button>
        <button class="btn plain" type="button" @click="priors = true">{{ t('leaks.priors') }}</button>
        <WorkedSteps :title="t('leaks.title')" :worked="answer" />
      </div>
      <p v-for="w in answer?.warnings ?? []" :key="w" class="soft">{{ w }}</p>
      <p class="soft">{{ t('leaks.model') }}</p>
    </aside>
    <ObservationForm :record="observation" />
    <SuspectForm :record="suspect" />
    <PriorsTable v-model="priors" />
    <TestRun v-model="running" v-model:started-at="startedAt" :record="observation" />
  </div>
</template>

<style scoped>
.map {
  position: relative;
  min-width: 0;
  min-height: 0;
}
.hint {
  position: absolute;
  z-index: 2;
  top: 34px;
  left: 96px;
  padding: 6px 12px;
  background: var(--night);
  color: var(--white);
  border-radius: 4px;
}
.verdict {
  display: flex;
  flex-direction: column;
  gap: 3px;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
}
.verdict b {
  font: 600 16px 'Source Sans 3';
}
.verdict.searching {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.verdict.contradiction,
.verdict.twoCauses {
  border-color: var(--stop);
  background: var(--stop-soft);
}
.verdict ul {
  margin: 0;
  padding-left: 18px;
}
.covers {
  padding: 10px 12px;
  border-left: 4px solid var(--rust);
  background: var(--rust-soft);
}
@media (max-width: 1000px) {
  /* With wet hands one wants the next test before the map. */
  .screen {
    grid-template-rows: auto auto auto;
  }
  .screen > aside {
    order: 1;
  }
  .map {
    order: 2;
  }
}
</style>
