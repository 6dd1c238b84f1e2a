<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { api, got, type Member, type Panel, type Schemas, type Vehicle } from '@/api/client'
import { enums } from '@/api/enums'
import { noseMm } from '@/drawing/bodyHints'
import { boxOf } from '@/drawing/geometry'
import ShellPicture from '@/drawing/ShellPicture.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import Tiles from '@/ui/Tiles.vue'

/** What a new vehicle starts from: a drawn shell like it, a plain box in its size, or nothing. */
export interface Start {
  preset: string | null
  box: { lengthMm: number | null; widthMm: number | null; heightMm: number | null } | null
  material: Schemas['SkinMaterial']
}
const start = defineModel<Start>({ required: true })
const kind = defineModel<Vehicle['kind']>('kind', { required: true })
const { t } = useI18n()
const { data: presets } = useQuery({
  queryKey: ['presets'],
  queryFn: ({ signal }) => got(api.GET('/api/presets', { signal })),
})
const sideOf = (design: Schemas['ShellDesign'] | undefined) => {
  const side = design?.panels.find((p) => p.panel.kind === 'left')
  return side && { panel: side.panel as Panel, members: side.members as Member[] }
}
const lengthOf = (design: Schemas['ShellDesign']) => {
  const b = boxOf(sideOf(design)!.panel.outline)
  return b.s2 - b.s1 + noseMm(design.kind)
}
/** All to one scale: that of the longest. */
const acrossMm = computed(() => Math.max(4000, ...(presets.value ?? []).map(lengthOf)) + 160)
const options = computed(() => [
  ...(presets.value ?? []).map((p) => ({ value: p.key, text: p.name })),
  { value: 'box', text: t('vehicles.box') },
  { value: 'nothing', text: t('vehicles.nothing') },
])
const chosen = computed(() => presets.value?.find((p) => p.key === start.value.preset))

function choose(key: string | null) {
  const design = presets.value?.find((p) => p.key === key)
  start.value = {
    ...start.value,
    preset: design?.key ?? null,
    box: key === 'box' ? { lengthMm: null, widthMm: null, heightMm: null } : null,
  }
  if (design) kind.value = design.kind
}
</script>

<template>
  <Tiles
    class="wide shells"
    :label="t('vehicles.startFrom')"
    :options="options"
    :model-value="start.preset ?? (start.box ? 'box' : 'nothing')"
    @update:model-value="choose"
  >
    <template #default="{ value }">
      <ShellPicture
        v-if="value !== 'nothing'"
        :kind="presets?.find((p) => p.key === value)?.kind ?? kind"
        :side="sideOf(presets?.find((p) => p.key === value))"
        :across-mm="acrossMm"
      />
      <span v-else class="none" aria-hidden="true" />
    </template>
  </Tiles>
  <p v-if="chosen" class="soft wide">{{ chosen.description }} {{ t('vehicles.presetMore') }}</p>
  <template v-if="start.box">
    <LengthInput v-model="start.box.lengthMm" :label="t('vehicles.boxLength')" :bounds="bounds.BoxSize.lengthMm" />
    <LengthInput v-model="start.box.widthMm" :label="t('vehicles.boxWidth')" :bounds="bounds.BoxSize.widthMm" />
    <LengthInput v-model="start.box.heightMm" :label="t('vehicles.boxHeight')" :bounds="bounds.BoxSize.heightMm" />
    <Choice
      v-model="start.material"
      :label="t('walkaround.material')"
      :options="enums.SkinMaterial.map((value) => ({ value, text: t(`walkaround.materials.${value}`) }))"
    />
  </template>
</template>

<style scoped>
.shells {
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
}
.none {
  flex: 1;
}
</style>
