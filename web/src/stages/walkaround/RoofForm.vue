<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { api, got, ifMatch, type Panel, type Point, type Schemas, type Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import LengthInput from '@/app/LengthInput.vue'
import { lengthsRead } from '@/app/parseLength'
import { said, useState } from '@/app/state'
import PointList from './PointList.vue'

/** The roof by numbers: a rectangle to begin with, any outline after. */
const props = defineProps<{ row: Stored<Panel> | null }>()
const { t } = useI18n()
const route = useRoute()
const { load } = useState()
const materials = ['mildSteel', 'galvanisedSteel', 'aluminium', 'glassReinforcedPlastic', 'plywoodSkin'] as const
const form = reactive({
  lengthMm: null as number | null,
  widthMm: null as number | null,
  outline: props.row ? copyOf(props.row.value.outline) : ([] as Point[]),
  skinMm: (props.row?.value.skinMm ?? 0.8) as number | null,
  material: (props.row?.value.material ?? 'mildSteel') as Schemas['SkinMaterial'],
  arcRadiusAlongMm: props.row?.value.arcRadiusAlongMm ?? null,
  arcRadiusAcrossMm: props.row?.value.arcRadiusAcrossMm ?? null,
})
const wrong = ref('')

function outline(): Point[] {
  if (props.row) return form.outline
  const half = (form.widthMm ?? 0) / 2
  const length = form.lengthMm ?? 0
  return [
    { sMm: 0, tMm: -half },
    { sMm: length, tMm: -half },
    { sMm: length, tMm: half },
    { sMm: 0, tMm: half },
  ]
}

async function save() {
  if (!(await lengthsRead())) return
  const vehicleId = route.params.vehicleId as string
  const body: Panel = {
    kind: 'roof',
    outline: outline(),
    skinMm: form.skinMm ?? 0,
    material: form.material,
    arcRadiusAlongMm: form.arcRadiusAlongMm,
    arcRadiusAcrossMm: form.arcRadiusAcrossMm,
  }
  try {
    if (props.row) {
      await got(
        api.PUT('/api/vehicles/{vehicleId}/panels/{id}', {
          params: { path: { vehicleId, id: props.row.id }, header: ifMatch(props.row.version) },
          body,
        }),
      )
    } else {
      await got(api.POST('/api/vehicles/{vehicleId}/panels', { params: { path: { vehicleId } }, body }))
    }
    wrong.value = ''
    await load(vehicleId)
  } catch (e) {
    wrong.value = said(e)
  }
}
</script>

<template>
  <form class="card" @submit.prevent="save">
    <div class="form">
      <template v-if="!row">
        <LengthInput v-model="form.lengthMm" :label="t('walkaround.length')" />
        <LengthInput v-model="form.widthMm" :label="t('walkaround.width')" />
      </template>
      <LengthInput v-model="form.skinMm" :label="t('walkaround.skin')" />
      <label class="named">
        {{ t('walkaround.material') }}
        <select v-model="form.material" class="field">
          <option v-for="m in materials" :key="m" :value="m">{{ t(`walkaround.materials.${m}`) }}</option>
        </select>
      </label>
      <LengthInput v-model="form.arcRadiusAcrossMm" :label="t('walkaround.arcAcross')" optional />
      <LengthInput v-model="form.arcRadiusAlongMm" :label="t('walkaround.arcAlong')" optional />
    </div>
    <template v-if="row">
      <h2>{{ t('walkaround.corners') }}</h2>
      <PointList v-model="form.outline" :least="3" :add-label="t('walkaround.addCorner')" />
    </template>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <button class="btn main" type="submit">{{ row ? t('walkaround.saveRoof') : t('walkaround.drawRoof') }}</button>
  </form>
</template>
