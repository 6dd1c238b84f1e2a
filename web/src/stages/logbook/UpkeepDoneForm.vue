<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useDraft } from '@/app/drafts'
import { rememberPerson } from '@/app/person'
import Dialogue from '@/ui/Dialogue.vue'
import TextField from '@/ui/TextField.vue'
import type { UpkeepDone, useUpkeep } from './useUpkeep'

/** That something was looked after: when, by whom, and what was seen. */
const props = defineProps<{ upkeep: ReturnType<typeof useUpkeep> }>()
const doing = defineModel<UpkeepDone | null>({ required: true })
const { t } = useI18n()
const isTyped = useDraft({
  kind: () => 'upkeep-done',
  typed: () => doing.value,
  what: () => `${t('app.draft.upkeepDone')} ${doing.value!.what}`,
  take: (draft) => (doing.value = draft),
})
async function keep() {
  rememberPerson(doing.value!.by)
  if (await props.upkeep.done(doing.value!)) doing.value = null
}
</script>

<template>
  <Dialogue v-if="doing" :title="doing.what" :is-typed="isTyped" @save="keep" @close="doing = null">
    <label class="named">
      <span>{{ t('logbook.on') }}</span>
      <input v-model="doing.on" class="field" type="date" required />
    </label>
    <TextField v-model="doing.by" :label="t('bench.who')" :most="80" />
    <TextField v-model="doing.notes" class="wide" :label="t('logbook.seen')" :most="4000" />
  </Dialogue>
</template>
