<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import type { usePanelRecord } from '@/app/usePanelRecord'
import PointList from '@/stages/walkaround/PointList.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import TextField from '@/ui/TextField.vue'
import type { Board } from './useFloor'

/** A board as it lies. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Board>> }>()
const { t } = useI18n()
const { edited, isTyped, wrong, save, remove } = props.record
</script>

<template>
  <RecordDialogue
    v-model="edited"
    :is-typed="isTyped"
    :title="t(edited?.row ? 'floor.changeBoard' : 'floor.addBoard')"
    :wrong="wrong"
    @save="save"
    @remove="remove"
  >
    <template #default="{ value }">
      <TextField v-model="value.name" class="wide" :label="t('floor.name')" :most="80" />
      <Choice
        v-model="value.material"
        :label="t('floor.material')"
        :options="enums.BoardMaterial.map((m) => ({ value: m, text: t(`floor.materials.${m}`) }))"
      />
      <LengthInput v-model="value.thickMm" :bounds="bounds.Board.thickMm" :label="t('floor.thick')" />
      <Choice
        v-model="value.grain"
        :label="t('floor.grain')"
        :options="enums.Grain.map((g) => ({ value: g, text: t(`floor.grains.${g}`) }))"
      />
      <PointList v-model="value.outline" class="wide" :least="3" :add-label="t('floor.addCorner')" facing="down" />
      <TextField v-model="value.notes" class="wide" :label="t('floor.notes')" :most="4000" lines />
    </template>
  </RecordDialogue>
</template>
