<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import { useDraft } from '@/app/drafts'
import Choice from '@/ui/Choice.vue'
import Dialogue from '@/ui/Dialogue.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import type { NewWeighing, useLoad } from './useLoad'

/** What a weighbridge showed; any one of its figures helps. */
const props = defineProps<{ load: ReturnType<typeof useLoad>; trailer: boolean }>()
const edited = defineModel<NewWeighing | null>({ required: true })
const { t } = useI18n()
const isTyped = useDraft({
  kind: () => 'weighing',
  typed: () => edited.value,
  what: () => t('load.weighing'),
  take: (draft) => (edited.value = draft),
})
const name = (key: string) => (props.trailer && (key === 'frontKg' || key === 'rearKg') ? `trailer.${key}` : key)
async function keep() {
  if (await props.load.weigh(edited.value!)) edited.value = null
}
</script>

<template>
  <Dialogue v-if="edited" :title="t('load.weighing')" :is-typed="isTyped" @save="keep" @close="edited = null">
    <p class="wide soft">{{ t('load.weighingMore') }}</p>
    <label class="named">
      <span>{{ t('load.on') }}</span>
      <input v-model="edited.on" class="field" type="date" required />
    </label>
    <Choice
      v-model="edited.state"
      :label="t('load.weighedAs')"
      :options="enums.LoadState.map((value) => ({ value, text: t(`load.states.${value}`) }))"
    />
    <NumberInput
      v-for="key in ['totalKg', 'frontKg', 'rearKg', 'leftKg', 'rightKg'] as const"
      :key="key"
      :model-value="edited.reading[key] ?? null"
      :label="t(`load.reading.${name(key)}`)"
      :bounds="bounds.WeighbridgeReading[key]"
      @update:model-value="(n) => (edited!.reading[key] = n)"
    />
    <TextField v-model="edited.notes" class="wide" :label="t('app.notes')" :most="4000" />
  </Dialogue>
</template>
