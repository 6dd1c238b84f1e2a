<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Panel, type Schemas, type Stored } from '@/api/client'
import { useDraft } from '@/app/drafts'
import { fileText } from '@/app/fileText'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthNumber, lengthText } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { said, useState } from '@/app/state'
import Switch from '@/ui/Switch.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { boxOf } from '@/drawing/geometry'
import SectionDrawing from './SectionDrawing.vue'

/** The surface of a panel: cut across where the line on the drawing stands, measured sections, and how far drawing and readings differ. */
const props = defineProps<{
  row: Stored<Panel>
  vehicleId: string
  section: Schemas['Section'] | null
  difference: Schemas['WorkedOfSurfaceDifference'] | null
}>()
const station = defineModel<number | null>('station', { required: true })
const { t } = useI18n()
const { lengths, load } = useState()
const wrong = ref('')
const box = computed(() => boxOf(props.row.value.outline))
if (station.value === null)
  station.value = props.row.value.sections?.[0]?.stationMm ?? Math.round((box.value.s1 + box.value.s2) / 2)
watch(station, (s) => {
  if (s !== null) station.value = Math.max(box.value.s1, Math.min(box.value.s2, s))
})
const sections = computed(() => props.row.value.sections ?? [])
const here = computed(() => sections.value.find((s) => s.stationMm === station.value))
const draft = reactive({
  open: false,
  stationMm: 0 as number | null,
  edgeMm: 0 as number | null,
  text: '',
  replaces: null as number | null,
})
useDraft({
  kind: () => `section ${props.row.id}`,
  typed: () => (draft.open ? draft : null),
  what: () => t('app.draft.section'),
  take: (kept) => Object.assign(draft, kept),
})

async function save(change: Partial<Panel>): Promise<boolean> {
  try {
    await got(
      api.PUT('/api/vehicles/{vehicleId}/panels/{id}', {
        params: { path: { vehicleId: props.vehicleId, id: props.row.id }, header: ifMatch(props.row.version) },
        body: { ...props.row.value, ...change },
      }),
    )
    wrong.value = ''
    await load(props.vehicleId)
    return true
  } catch (e) {
    wrong.value = said(e)
    return false
  }
}
function begin(section?: Schemas['SurfaceSection']) {
  wrong.value = ''
  Object.assign(draft, {
    open: true,
    stationMm: section?.stationMm ?? station.value,
    edgeMm: section?.straightEdgeMm ?? 0,
    replaces: section?.stationMm ?? null,
    text:
      section?.readings
        .map((r) => `${lengthNumber(r.tMm, lengths.value)}: ${lengthNumber(r.depthMm, lengths.value)}`)
        .join('\n') ?? '',
  })
}
async function keep() {
  if (!(await lengthsRead()) || draft.stationMm === null) return
  try {
    const read = await got(api.POST('/api/calculators/section-parse', { body: { text: draft.text, lengths: lengths.value } }))
    const section = { stationMm: draft.stationMm, readings: read.result, straightEdgeMm: draft.edgeMm ?? 0 }
    const others = sections.value.filter((s) => s.stationMm !== draft.replaces)
    if (await save({ sections: [...others, section].sort((a, b) => a.stationMm - b.stationMm) })) {
      draft.open = false
      station.value = section.stationMm
    }
  } catch (e) {
    wrong.value = said(e)
  }
}
async function remove() {
  const left = sections.value.filter((s) => s.stationMm !== draft.replaces)
  if (await save({ sections: left.length ? left : null, ...(left.length ? {} : { surface: 'drawn' as const }) }))
    draft.open = false
}
async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  try {
    const body = await fileText(file, 5 * 1024 * 1024)
    const read = await got(
      api.POST('/api/sections/read', {
        body: body as never,
        bodySerializer: (b) => b as unknown as string,
        headers: { 'Content-Type': 'text/csv' },
      }),
    )
    const stations = new Set(read.map((s) => s.stationMm))
    await save({
      sections: [...sections.value.filter((s) => !stations.has(s.stationMm)), ...read].sort((a, b) => a.stationMm - b.stationMm),
    })
  } catch (e) {
    wrong.value = said(e)
  }
}
</script>

<template>
  <div class="card">
    <h2>{{ t('surface.section') }}</h2>
    <LengthInput v-model="station" :label="t('surface.station')" />
    <SectionDrawing
      v-if="section"
      :section="section"
      :readings="here?.readings ?? []"
      :edge-mm="here?.straightEdgeMm ?? 0"
      :lengths="lengths"
    />
    <p class="soft">{{ t('surface.more') }}</p>
  </div>
  <div v-if="difference" class="card" data-testid="difference">
    <h2>{{ t('surface.differs') }}</h2>
    <table class="figures">
      <tbody>
        <tr>
          <td>{{ t('surface.worst') }}</td>
          <td class="n">{{ lengthText(difference.result.worstMm, lengths) }}</td>
        </tr>
        <tr>
          <td>{{ t('surface.rms') }}</td>
          <td class="n">{{ lengthText(difference.result.rmsMm, lengths) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="w in difference.warnings" :key="w" class="wrong">{{ w }}</p>
    <WorkedSteps :title="t('surface.differs')" :worked="difference" />
  </div>
  <div class="card">
    <h2>{{ t('surface.counts') }}</h2>
    <Switch
      :model-value="row.value.surface ?? 'drawn'"
      :choices="[
        { key: 'drawn', text: t('surface.drawn') },
        { key: 'measured', text: t('surface.measured'), disabled: sections.length === 0 },
      ]"
      @update:model-value="(surface) => save({ surface })"
    />
  </div>
  <div class="card">
    <h2>{{ t('surface.sections') }}</h2>
    <p v-if="sections.length === 0" class="soft">{{ t('surface.none') }}</p>
    <table class="figures">
      <tbody>
        <tr v-for="s in sections" :key="s.stationMm">
          <td>
            <button class="btn plain" type="button" @click="station = s.stationMm">{{ lengthText(s.stationMm, lengths) }}</button>
          </td>
          <td class="n soft">{{ t('surface.readings', s.readings.length) }}</td>
          <td class="n">
            <button class="btn plain" type="button" @click="begin(s)">{{ t('app.edit') }}</button>
          </td>
        </tr>
      </tbody>
    </table>
    <form v-if="draft.open" class="card" @submit.prevent="keep">
      <div class="two">
        <LengthInput v-model="draft.stationMm" :label="t('surface.station')" />
        <LengthInput v-model="draft.edgeMm" :label="t('surface.edge')" />
      </div>
      <label class="named">
        {{ t('surface.typed') }}
        <textarea v-model="draft.text" class="field readings" :placeholder="t('surface.typedExample')" />
      </label>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <div class="row">
        <button class="btn main" type="submit">{{ t('surface.keep') }}</button>
        <button class="btn" type="button" @click="draft.open = false">{{ t('app.cancel') }}</button>
        <button v-if="draft.replaces !== null" class="btn plain" type="button" @click="remove">{{ t('app.remove') }}</button>
      </div>
    </form>
    <template v-else>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <div class="row">
        <button class="btn" type="button" @click="begin()">{{ t('surface.add') }}</button>
        <label class="btn">
          {{ t('surface.csv') }}
          <input class="hidden" type="file" accept=".csv,.txt" @change="choose" />
        </label>
      </div>
    </template>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.readings {
  min-height: 120px;
}
</style>
