<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import TextField from '@/ui/TextField.vue'
import type { usePanelRecord } from '@/app/usePanelRecord'

/** A drain of the register. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Schemas['Drain']>> }>()
const { t } = useI18n()
const { edited, isTyped, wrong, save, remove } = props.record
</script>

<template>
  <RecordDialogue
    v-model="edited"
    :is-typed="isTyped"
    :title="edited?.value.name || t('waysOut.addDrain')"
    :wrong="wrong"
    :place="edited?.value.place"
    @update:place="(p) => edited && p && (edited.value.place = p)"
    @save="save"
    @remove="remove"
  >
    <template #default="{ value }">
      <TextField v-model="value.name" :label="t('app.name')" :most="80" />
      <label class="named">
        {{ t('waysOut.lastCleared') }}
        <input
          class="field"
          type="date"
          :value="value.clearedAt?.slice(0, 10) ?? ''"
          @change="
            (e) =>
              (value.clearedAt = (e.target as HTMLInputElement).value
                ? `${(e.target as HTMLInputElement).value}T12:00:00.000Z`
                : null)
          "
        />
      </label>
      <TextField v-model="value.notes" class="wide" :label="t('app.notes')" :most="4000" lines />
    </template>
  </RecordDialogue>
</template>
