<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Checkbox, message } from 'ant-design-vue'
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Fitting, type Opening, type Panel, type Schemas, type Stored } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthsRead } from '@/app/parseLength'
import { said, useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { facingOf, panelName, type ViewedFrom } from '@/drawing/facing'
import OpeningShape from '@/drawing/OpeningShape.vue'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import { zoneBox } from '@/drawing/zones'
import { useBays } from '@/stages/walkaround/useBays'
import Choice from '@/ui/Choice.vue'
import { placeText } from './placeText'

/** Several openings of one panel placed at once: which, for what, and where they go. */
const { t } = useI18n()
const { shell, fittings, lengths, change } = useState()
const from = ref<ViewedFrom>('outside')
const panels = computed(() =>
  ((shell.value?.panels ?? []) as Stored<Panel>[]).filter(
    (p) => shell.value!.openings.filter((o) => o.ownerId === p.id && o.value.state === 'planned').length > 1,
  ),
)
const panelId = ref('')
watch(panels, (now) => now.some((p) => p.id === panelId.value) || (panelId.value = now[0]?.id ?? ''), { immediate: true })
const panel = computed(() => panels.value.find((p) => p.id === panelId.value))
const all = computed(() => (shell.value?.openings ?? []).filter((o) => o.ownerId === panelId.value) as Stored<Opening>[])
const members = computed(() => (shell.value?.members ?? []).filter((m) => m.ownerId === panelId.value).map((m) => m.value))
const fittingOf = (o: Stored<Opening>): Fitting => fittings.value.find((f) => f.id === o.value.fittingId)!.value
const bays = useBays(
  () => panel.value?.value,
  () => members.value,
)
const wishes = reactive<Record<string, { on: boolean; zone: string }>>({})
const spacing = ref<number | null>(30)
const zones = computed(() => {
  const facing = panel.value && facingOf(panel.value.value)
  return (shell.value?.zones ?? []).filter((z) => facing && zoneBox(z.value, facing)).map((z) => z.value)
})
watch(
  all,
  (now) => {
    for (const o of now) {
      if (wishes[o.id]) continue
      const facing = facingOf(panel.value!.value)
      const at = o.value.centre
      const over = zones.value.find((z) => {
        const b = zoneBox(z, facing)!
        return b.s1 <= at.sMm && at.sMm <= b.s2 && b.t1 <= at.tMm && at.tMm <= b.t2
      })
      wishes[o.id] = { on: o.value.state === 'planned', zone: over?.name ?? '' }
    }
  },
  { immediate: true },
)
const taken = computed(() => all.value.filter((o) => wishes[o.id]?.on))
const answer = shallowRef<Schemas['WorkedOfTogetherPlan'] | null>(null)
const asked = shallowRef<Stored<Opening>[]>([])
const wrong = ref('')
const running = shallowRef<AbortController | null>(null)
const plan = computed(() => answer.value?.result)
watch([panelId, () => JSON.stringify(wishes), spacing], () => (answer.value = null))

async function find() {
  if (!panel.value || !(await lengthsRead())) return
  running.value = new AbortController()
  wrong.value = ''
  asked.value = taken.value
  try {
    answer.value = await got(
      api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/openings/together', {
        params: { path: { vehicleId: shell.value!.vehicle.id, panelId: panelId.value } },
        signal: running.value.signal,
        body: {
          openings: taken.value.map((o) => ({ id: o.id, zone: wishes[o.id]!.zone || null })),
          spacingMm: spacing.value,
        },
      }),
    )
  } catch (e) {
    if (!running.value?.signal.aborted) wrong.value = said(e)
  } finally {
    running.value = null
  }
}
async function move() {
  const moves = asked.value.map((o, i) => ({ id: o.id, version: o.version, centre: plan.value!.places[i]!.centre }))
  const path = { vehicleId: shell.value!.vehicle.id, panelId: panelId.value }
  const done = await change(() =>
    got(api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/openings/move', { params: { path }, body: { moves } })),
  )
  if (done) void message.success(t('together.moved'))
}
const shown = computed(() =>
  all.value.map((o) => {
    const i = asked.value.findIndex((a) => a.id === o.id)
    const place = i >= 0 ? plan.value?.places[i] : undefined
    return { o, centre: place?.centre ?? o.value.centre, place }
  }),
)
const n = (x: number) => Math.round(x * 10) / 10
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="!panel" class="empty">
    <h2>{{ t('together.title') }}</h2>
    <p>{{ t('together.fewer') }}</p>
    <RouterLink class="btn" :to="{ name: 'openings', params: { vehicleId: shell.vehicle.id } }">{{
      t('openings.title')
    }}</RouterLink>
  </div>
  <div v-else class="screen">
    <header>
      <RouterLink class="btn plain" :to="{ name: 'openings', params: { vehicleId: shell.vehicle.id } }"
        >← {{ t('openings.title') }}</RouterLink
      >
      <h1>{{ t('together.title') }}</h1>
      <div class="sp" />
      <Choice
        v-if="panels.length > 1"
        v-model="panelId"
        class="panel"
        hide-label
        :label="t('openings.onPanel')"
        :options="panels.map((p) => ({ value: p.id, text: panelName(p.value) }))"
      />
      <ViewSwitch v-model="from" />
    </header>
    <PanelDrawing
      :key="panelId"
      :panel="panel.value"
      :members="members"
      :zones="zones"
      :bays="bays?.result"
      :from="from"
      :lengths="lengths"
    >
      <template #default="{ view }">
        <OpeningShape
          v-for="s in shown"
          :key="s.o.id"
          :view="view"
          :fitting="fittingOf(s.o)"
          :centre="s.centre"
          :turn-deg="s.o.value.turnDeg"
          :name="s.o.value.name"
          :state="s.o.value.state"
        />
      </template>
    </PanelDrawing>
    <aside>
      <p class="soft">{{ t('together.more') }}</p>
      <div v-for="s in shown" :key="s.o.id" class="opening">
        <Checkbox v-if="wishes[s.o.id]" v-model:checked="wishes[s.o.id]!.on" :disabled="s.o.value.state !== 'planned'">{{
          s.o.value.name
        }}</Checkbox>
        <Choice
          v-if="wishes[s.o.id]?.on"
          v-model="wishes[s.o.id]!.zone"
          :label="t('together.wish')"
          :options="[{ value: '', text: t('openings.wish.centreLine') }, ...zones.map((z) => ({ value: z.name, text: z.name }))]"
        />
        <p v-if="s.place" class="place" data-testid="joint-place">
          <b>{{ s.place.bay ? t('openings.bay', { label: s.place.bay }) : t('openings.acrossRib') }}</b>
          {{ placeText(panel.value, s.place.centre, lengths) }}: {{ s.place.reason }}
          <span v-if="s.place.cost - s.place.alone >= 1" class="soft">{{ t('together.alone', { n: n(s.place.alone) }) }}</span>
        </p>
      </div>
      <LengthInput v-model="spacing" :label="t('together.spacing')" />
      <div class="row">
        <button
          v-if="!running"
          class="btn"
          :class="{ main: !plan?.places.length }"
          type="button"
          :disabled="taken.length < 2"
          @click="find"
        >
          {{ t('together.find') }}
        </button>
        <template v-else>
          <span role="status">{{ t('together.finding') }}</span>
          <button class="btn" type="button" @click="running.abort()">{{ t('together.cancel') }}</button>
        </template>
        <button v-if="plan && plan.places.length > 0" class="btn main" type="button" @click="move">
          {{ t('together.move') }}
        </button>
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <div v-if="plan" class="verdict" :class="{ stop: plan.conflict }" role="status" data-testid="joint">
        <template v-if="plan.conflict">
          <b>{{ t('together.none') }}.</b> {{ plan.conflict.because }}
        </template>
        <template v-else>{{ t(plan.provenOptimal ? 'together.proven' : 'together.unproven') }}</template>
      </div>
      <WorkedSteps :title="t('together.title')" :worked="answer" />
    </aside>
  </div>
</template>

<style scoped>
.panel {
  width: auto;
}
.opening {
  display: flex;
  flex-direction: column;
  gap: 5px;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--rule);
}
.place {
  padding: 6px 10px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
}
.verdict {
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
}
.verdict.stop {
  border-color: var(--stop);
  background: var(--stop-soft);
}
</style>
