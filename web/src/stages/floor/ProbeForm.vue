<script setup lang="ts">
import { DatePicker } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import type { usePanelRecord } from '@/app/usePanelRecord'
import Choice from '@/ui/Choice.vue'
import NumberInput from '@/ui/NumberInput.vue'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import TextField from '@/ui/TextField.vue'
import type { Probe } from './useFloor'

/** A place where wood was probed, typed or changed. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Probe>> }>()
const { t } = useI18n()
const { edited, isTyped, wrong, save, remove } = props.record
</script>

<template>
  <RecordDialogue
    v-model="edited"
    :is-typed="isTyped"
    :title="t('floor.changeProbe')"
    :wrong="wrong"
    :place="edited?.value.at"
    @update:place="(p) => edited && p && (edited.value.at = p)"
    @save="save"
    @remove="remove"
  >
    <template #default="{ value }">
      <Choice
        v-model="value.of"
        :label="t('floor.of')"
        :options="enums.ProbeOf.map((o) => ({ value: o, text: t(`floor.ofs.${o}`) }))"
      />
      <Choice
        v-model="value.wood"
        :label="t('floor.wood')"
        :options="enums.WoodState.map((w) => ({ value: w, text: t(`floor.woods.${w}`) }))"
      />
      <NumberInput
        v-model="value.moisturePercent"
        :bounds="bounds.Probe.moisturePercent"
        :label="t('floor.moisture')"
        meter="moisturePercent"
      />
      <div class="named">
        <span>{{ t('floor.takenOn') }}</span>
        <DatePicker
          :value="value.takenAt.slice(0, 10)"
          value-format="YYYY-MM-DD"
          :allow-clear="false"
          :aria-label="t('floor.takenOn')"
          @change="(day) => (value.takenAt = `${day}T12:00:00Z`)"
        />
      </div>
      <TextField v-model="value.notes" class="wide" :label="t('floor.notes')" :most="4000" lines />
    </template>
  </RecordDialogue>
</template>
