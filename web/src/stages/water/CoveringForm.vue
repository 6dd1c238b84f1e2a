<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import LengthInput from '@/ui/LengthInput.vue'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import TextField from '@/ui/TextField.vue'
import Choice from '@/ui/Choice.vue'
import type { usePanelRecord } from '@/app/usePanelRecord'

/** Something put on a panel or into it. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Schemas['Covering']>> }>()
const { t } = useI18n()
const { edited, isTyped, wrong, save, remove } = props.record
const kinds = enums.CoveringKind
const edges = ['sMinMm', 'sMaxMm', 'tMinMm', 'tMaxMm'] as const
async function keep() {
  const e = edited.value!
  if (e.value.name.trim() === '') e.value.name = t(`waysOut.kinds.${e.value.kind}`)
  await save()
}
</script>

<template>
  <RecordDialogue
    v-model="edited"
    :is-typed="isTyped"
    :title="edited?.row?.value.name ?? t('waysOut.addCovering')"
    :wrong="wrong"
    @save="keep"
    @remove="remove"
  >
    <template #default="{ value }">
      <Choice
        v-model="value.kind"
        :label="t('app.kind')"
        :options="kinds.map((k) => ({ value: k, text: t(`waysOut.kinds.${k}`) }))"
      />
      <label class="named">
        {{ t('app.name') }}
        <input v-model="value.name" class="field" maxlength="80" :placeholder="t(`waysOut.kinds.${value.kind}`)" />
      </label>
      <LengthInput v-for="edge in edges" :key="edge" v-model="value.area[edge]" :label="t(`waysOut.edges.${edge}`)" />
      <Choice
        v-if="value.kind === 'patch'"
        v-model="value.lap"
        :label="t('waysOut.lap')"
        :options="enums.Lap.map((l) => ({ value: l, text: t(`waysOut.laps.${l}`) }))"
      />
      <Choice
        v-model="value.planned"
        :label="t('findings.state')"
        :options="[
          { value: true, text: t('waysOut.planned') },
          { value: false, text: t('waysOut.done') },
        ]"
      />
      <Checkbox v-model:checked="value.sealedAtBottom" class="wide">{{ t('waysOut.sealedAtBottom') }}</Checkbox>
      <TextField v-model="value.notes" class="wide" :label="t('app.notes')" :most="4000" lines />
    </template>
  </RecordDialogue>
</template>
