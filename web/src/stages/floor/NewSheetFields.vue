<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'

/** What new boards are cut from: material and size of a whole sheet. */
const sheet = defineModel<Schemas['NewSheet']>({ required: true })
const { t } = useI18n()
</script>

<template>
  <Choice
    v-model="sheet.material"
    class="wide"
    :label="t('floor.sheet')"
    :options="enums.BoardMaterial.map((m) => ({ value: m, text: t(`floor.materials.${m}`) }))"
  />
  <LengthInput v-model="sheet.lengthMm" :bounds="bounds.NewSheet.lengthMm" :label="t('floor.sheetLength')" />
  <LengthInput v-model="sheet.widthMm" :bounds="bounds.NewSheet.widthMm" :label="t('floor.sheetWidth')" />
</template>
