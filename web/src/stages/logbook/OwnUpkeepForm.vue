<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Stored } from '@/api/client'
import { useDraft } from '@/app/drafts'
import Action from '@/ui/Action.vue'
import Dialogue from '@/ui/Dialogue.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import type { OwnUpkeep, useUpkeep } from './useUpkeep'

/** Something to look after that no rule knows of. */
const props = defineProps<{ upkeep: ReturnType<typeof useUpkeep> }>()
const edited = defineModel<{ row: Stored<OwnUpkeep> | null; value: OwnUpkeep } | null>({ required: true })
const { t } = useI18n()
const isTyped = useDraft({
  kind: () => 'own-upkeep',
  typed: () => edited.value,
  what: () => `${t('app.draft.ownUpkeep')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
async function keep() {
  const { row, value } = edited.value!
  if (await props.upkeep.saveOwn(row, value)) edited.value = null
}
</script>

<template>
  <Dialogue v-if="edited" :title="t('logbook.own')" :is-typed="isTyped" @save="keep" @close="edited = null">
    <TextField v-model="edited.value.name" class="wide" :label="t('logbook.what')" :most="80" />
    <TextField v-model="edited.value.how" class="wide" :label="t('logbook.how')" :most="4000" />
    <label class="named">
      <span>{{ t('logbook.first') }}</span>
      <input v-model="edited.value.first" class="field" type="date" required />
    </label>
    <NumberInput v-model="edited.value.months" :label="t('logbook.months')" :bounds="bounds.OwnUpkeep.months" />
    <Action v-if="edited.row" look="plain" @click="upkeep.removeOwn(edited.row).then(() => (edited = null))">
      {{ t('app.remove') }}
    </Action>
  </Dialogue>
</template>
