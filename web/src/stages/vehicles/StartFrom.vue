<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import LengthInput from '@/ui/LengthInput.vue'

/** What a new vehicle starts from: a shell like it, a plain box in its size, or nothing. */
export interface Start {
  preset: string | null
  box: { lengthMm: number | null; widthMm: number | null; heightMm: number | null } | null
  material: Schemas['SkinMaterial']
}
const start = defineModel<Start>({ required: true })
const { t } = useI18n()
const presets = ref<Schemas['ShellDesign'][]>([])
onMounted(async () => (presets.value = await got(api.GET('/api/presets')).catch(() => [])))

function choose(event: Event) {
  const key = (event.target as HTMLSelectElement).value
  start.value = {
    ...start.value,
    preset: key === 'box' || key === 'nothing' ? null : key,
    box: key === 'box' ? { lengthMm: null, widthMm: null, heightMm: null } : null,
  }
}
</script>

<template>
  <label class="named wide">
    {{ t('vehicles.startFrom') }}
    <select class="field" :value="start.preset ?? (start.box ? 'box' : 'nothing')" @change="choose">
      <option value="box">{{ t('vehicles.box') }}</option>
      <option v-for="p in presets" :key="p.key" :value="p.key">{{ p.name }}</option>
      <option value="nothing">{{ t('vehicles.nothing') }}</option>
    </select>
  </label>
  <p v-if="start.preset" class="soft wide">
    {{ presets.find((p) => p.key === start.preset)?.description }} {{ t('vehicles.presetMore') }}
  </p>
  <template v-if="start.box">
    <LengthInput v-model="start.box.lengthMm" :label="t('vehicles.boxLength')" />
    <LengthInput v-model="start.box.widthMm" :label="t('vehicles.boxWidth')" />
    <LengthInput v-model="start.box.heightMm" :label="t('vehicles.boxHeight')" />
    <label class="named">
      {{ t('walkaround.material') }}
      <select v-model="start.material" class="field">
        <option v-for="m in enums.SkinMaterial" :key="m" :value="m">
          {{ t(`walkaround.materials.${m}`) }}
        </option>
      </select>
    </label>
  </template>
</template>
