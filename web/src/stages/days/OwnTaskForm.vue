<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { useDraft } from '@/app/drafts'
import { inputTime, momentOf } from '@/app/moment'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import Dialogue from '@/ui/Dialogue.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import type { OwnTask, usePlan } from './usePlan'

/** Something to do that no stage knows of. Times are native inputs: a phone has its own wheel for them. */
const props = defineProps<{ plan: ReturnType<typeof usePlan> }>()
const edited = defineModel<{ row: Stored<OwnTask> | null; value: OwnTask } | null>({ required: true })
const { t } = useI18n()
const { shell } = useState()
const isTyped = useDraft({
  kind: () => 'own-task',
  typed: () => edited.value,
  what: () => `${t('app.draft.ownTask')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
/** Times are those of the clock at the vehicle, wherever the browser is. */
const zone = () => shell.value!.vehicle.value.timeZone
const local = (at: string | null) => (at === null ? '' : inputTime(at, zone()))
const typed = (text: string) => (text ? momentOf(text, zone()) : null)
async function keep() {
  const { row, value } = edited.value!
  if (await props.plan.saveOwn(row, value)) edited.value = null
}
</script>

<template>
  <Dialogue v-if="edited" :title="t('days.plan.own')" :is-typed="isTyped" @save="keep" @close="edited = null">
    <TextField v-model="edited.value.name" class="wide" :label="t('days.plan.what')" :most="80" />
    <NumberInput v-model="edited.value.minutes" :label="t('days.plan.minutes')" :bounds="bounds.OwnTask.minutes" required />
    <NumberInput v-model="edited.value.people" :label="t('days.plan.people')" :bounds="bounds.OwnTask.people" required />
    <Choice
      v-model="edited.value.place"
      :label="t('days.plan.where')"
      :options="enums.WorkPlace.map((value) => ({ value, text: t(`steps.place.${value}`) }))"
    />
    <NumberInput v-model="edited.value.windBelowMs" :label="t('days.plan.wind')" :bounds="bounds.OwnTask.windBelowMs" />
    <Checkbox v-model:checked="edited.value.dry" class="wide">{{ t('days.plan.dry') }}</Checkbox>
    <label class="named">
      <span>{{ t('days.plan.notBefore') }}</span>
      <input
        class="field"
        type="datetime-local"
        :value="local(edited.value.notBefore)"
        @change="(e) => (edited!.value.notBefore = typed((e.target as HTMLInputElement).value))"
      />
    </label>
    <label class="named">
      <span>{{ t('days.plan.until') }}</span>
      <input
        class="field"
        type="datetime-local"
        :value="local(edited.value.until)"
        @change="(e) => (edited!.value.until = typed((e.target as HTMLInputElement).value))"
      />
    </label>
    <Checkbox v-if="edited.row" v-model:checked="edited.value.isDone" class="wide">{{ t('days.plan.isDone') }}</Checkbox>
    <Action v-if="edited.row" look="plain" @click="plan.removeOwn(edited.row).then(() => (edited = null))">
      {{ t('app.remove') }}
    </Action>
  </Dialogue>
</template>
