<script setup lang="ts">
import { reactive, ref, watch, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, got, ifMatch, type Panel, type Point, type Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import { lengthsRead } from '@/app/parseLength'
import { saidBeside, useState } from '@/app/state'
import { facingOf, panelName } from '@/drawing/facing'
import ArcByChord from './ArcByChord.vue'
import DrawingImport from './DrawingImport.vue'
import Choice from '@/ui/Choice.vue'
import PointList from './PointList.vue'

/** A panel by numbers: outline, skins, curvature, taper. Its corners can be dragged on the drawing beside it as well. */
const props = defineProps<{ row: Stored<Panel>; vehicleId: string }>()
const outline = defineModel<Point[]>('outline', { required: true })
const { t } = useI18n()
const router = useRouter()
const { load } = useState()
const materials = enums.SkinMaterial
const form = reactive(copyOf(props.row.value) as Panel)
const wrong = ref('')
/** The row that the form was begun from. */
const begun = ref(props.row) as Ref<Stored<Panel>>
useDraft({
  kind: () => `panel ${props.row.id}`,
  typed: () => ({ ...form, outline: outline.value }),
  saved: () => ({ ...(begun.value.value as Panel), outline: begun.value.value.outline }),
  what: () => `${t('app.draft.panel')} ${panelName(form)}`,
  take: (draft) => {
    Object.assign(form, draft)
    outline.value = draft.outline
  },
})
// What is typed stays: only what still reads as it was begun follows the row.
watch(
  () => props.row.version,
  () => {
    const before = begun.value.value
    const now = copyOf(props.row.value) as Panel
    for (const field of Object.keys(now) as (keyof Panel)[]) {
      if (JSON.stringify(form[field]) === JSON.stringify(before[field])) Object.assign(form, { [field]: now[field] })
    }
    if (JSON.stringify(outline.value) === JSON.stringify(before.outline)) outline.value = now.outline
    begun.value = props.row
  },
)

async function run(call: () => Promise<unknown>, after?: () => unknown) {
  try {
    await call()
    wrong.value = ''
    begun.value = { ...begun.value, value: copyOf({ ...form, outline: outline.value }) }
    await load(props.vehicleId)
    after?.()
  } catch (e) {
    wrong.value = saidBeside(e)
  }
}
const params = () => ({ path: { vehicleId: props.vehicleId, id: props.row.id }, header: ifMatch(begun.value.version) })
async function save() {
  if (!(await lengthsRead())) return
  const body: Panel = { ...form, name: form.name?.trim() ? form.name : null, outline: outline.value }
  await run(() => got(api.PUT('/api/vehicles/{vehicleId}/panels/{id}', { params: params(), body })))
}
const remove = () =>
  run(
    () => got(api.DELETE('/api/vehicles/{vehicleId}/panels/{id}', { params: params() })),
    () => void router.push({ name: 'walkaround', params: { vehicleId: props.vehicleId } }),
  )
</script>

<template>
  <form class="card" @submit.prevent="save">
    <div class="form">
      <LengthInput v-model="form.skinMm" :label="t('walkaround.skin')" />
      <Choice
        v-model="form.material"
        :label="t('walkaround.material')"
        :options="materials.map((m) => ({ value: m, text: t(`walkaround.materials.${m}`) }))"
      />
      <LengthInput
        :model-value="form.skinGapMm ?? null"
        :label="t('walkaround.skinGap')"
        optional
        @update:model-value="(mm) => (form.skinGapMm = mm)"
      />
      <NumberInput
        :model-value="form.taperDeg ?? 0"
        :label="t('walkaround.taper')"
        @update:model-value="(deg) => (form.taperDeg = deg ?? 0)"
      />
      <ArcByChord
        :model-value="form.arcRadiusAcrossMm ?? null"
        :label="t('walkaround.arcAcross')"
        @update:model-value="(mm) => (form.arcRadiusAcrossMm = mm)"
      />
      <ArcByChord
        :model-value="form.arcRadiusAlongMm ?? null"
        :label="t('walkaround.arcAlong')"
        @update:model-value="(mm) => (form.arcRadiusAlongMm = mm)"
      />
      <Choice
        v-if="['slidingDoor', 'step', 'other'].includes(form.kind)"
        :model-value="facingOf(form)"
        :label="t('walkaround.faces')"
        :options="enums.Facing.map((f) => ({ value: f, text: t(`walkaround.facing.${f}`) }))"
        @update:model-value="(faces) => (form.faces = faces)"
      />
      <label class="named">
        {{ t('walkaround.panelName') }}
        <input
          class="field"
          maxlength="80"
          :value="form.name ?? ''"
          :placeholder="t(`panels.kinds.${form.kind}`)"
          @input="form.name = ($event.target as HTMLInputElement).value"
        />
      </label>
    </div>
    <h2>{{ t('walkaround.corners') }}</h2>
    <p class="soft">{{ t('walkaround.cornersMore') }}</p>
    <PointList v-model="outline" :least="3" :add-label="t('walkaround.addCorner')" :facing="facingOf(form)" />
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div class="row">
      <button class="btn main" type="submit">{{ t('walkaround.savePanel') }}</button>
      <button class="btn plain" type="button" @click="remove">{{ t('walkaround.removePanel') }}</button>
    </div>
  </form>
  <DrawingImport :row="row" :vehicle-id="vehicleId" />
</template>
