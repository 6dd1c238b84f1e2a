<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import { useState } from '@/app/state'
import type { usePanelRecord } from '@/app/usePanelRecord'
import { facingOf } from '@/drawing/facing'
import PointList from '@/stages/walkaround/PointList.vue'
import TextField from '@/ui/TextField.vue'
import Choice from '@/ui/Choice.vue'
import { conditions, suspectKinds } from './kinds'

/** A suspect as somebody found it: what it is, where, in what state, and since when. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Schemas['Suspect']>> }>()
const { t } = useI18n()
const { shell } = useState()
const { edited, isTyped, wrong, save, remove } = props.record
const facing = computed(() => {
  const panel = shell.value?.panels.find((p) => p.id === edited.value?.panelId)
  return panel ? facingOf(panel.value) : 'up'
})
</script>

<template>
  <RecordDialogue
    v-model="edited"
    :is-typed="isTyped"
    :title="edited?.value.name || t('leaks.addSuspect')"
    :wrong="wrong"
    @save="save"
    @remove="remove"
  >
    <template #default="{ value }">
      <TextField v-model="value.name" class="wide" :label="t('app.name')" :most="80" />
      <Choice
        v-model="value.kind"
        :label="t('app.kind')"
        :options="suspectKinds.map((k) => ({ value: k, text: t(`leaks.kinds.${k}`) }))"
      />
      <Choice
        v-model="value.condition"
        :label="t('leaks.condition')"
        :options="conditions.map((c) => ({ value: c, text: t(`leaks.conditions.${c}`) }))"
      />
      <label class="named">
        {{ t('leaks.since') }}
        <input
          class="field"
          type="date"
          :value="value.sinceAt?.slice(0, 10) ?? ''"
          @change="
            (e) =>
              (value.sinceAt = (e.target as HTMLInputElement).value
                ? `${(e.target as HTMLInputElement).value}T12:00:00.000Z`
                : null)
          "
        />
      </label>
      <PointList
        v-model="value.points"
        class="wide"
        :least="1"
        :add-label="t('walkaround.addPoint')"
        :along="facing === 'rear' || facing === 'front' ? undefined : t('walkaround.fromFront')"
        :facing="facing"
      />
      <TextField v-model="value.notes" class="wide" :label="t('app.notes')" :most="4000" lines />
    </template>
  </RecordDialogue>
</template>
