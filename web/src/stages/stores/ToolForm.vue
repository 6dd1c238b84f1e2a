<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { useDraft } from '@/app/drafts'
import Action from '@/ui/Action.vue'
import Dialogue from '@/ui/Dialogue.vue'
import TextField from '@/ui/TextField.vue'
import type { EditedTool, useStores } from './useStores'

/** A tool that somebody lent, and when it goes back. */
const props = defineProps<{ stores: ReturnType<typeof useStores> }>()
const edited = defineModel<EditedTool | null>({ required: true })
const { t } = useI18n()
const isTyped = useDraft({
  kind: () => 'tool',
  typed: () => edited.value,
  what: () => `${t('stores.toolDraft')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
async function keep() {
  if (await props.stores.saveTool(edited.value!.row, edited.value!.value)) edited.value = null
}
</script>

<template>
  <Dialogue v-if="edited" :title="t('stores.tool')" :is-typed="isTyped" @save="keep" @close="edited = null">
    <p class="wide soft">{{ t('stores.toolMore') }}</p>
    <TextField v-model="edited.value.name" class="wide" :label="t('stores.toolName')" :most="80" />
    <TextField v-model="edited.value.lender" :label="t('stores.lender')" :most="80" />
    <label class="named">
      <span>{{ t('stores.backOn') }}</span>
      <input v-model="edited.value.until" class="field" type="date" required />
    </label>
    <TextField v-model="edited.value.notes" class="wide" :label="t('app.notes')" :most="4000" />
    <Action v-if="edited.row" look="plain" @click="stores.removeTool(edited.row).then(() => (edited = null))">
      {{ t('app.remove') }}
    </Action>
  </Dialogue>
</template>
