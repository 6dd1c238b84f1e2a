<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import { useDraft } from '@/app/drafts'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import Dialogue from '@/ui/Dialogue.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import LoadBars from './LoadBars.vue'
import type { EditedItem, useLoad } from './useLoad'

/** Something that the vehicle carries, and beside it what it would do to the axles, before it is bought. */
const props = defineProps<{ load: ReturnType<typeof useLoad>; trailer: boolean }>()
const edited = defineModel<EditedItem | null>({ required: true })
const { t } = useI18n()
const isTyped = useDraft({
  kind: () => 'load-item',
  typed: () => edited.value,
  what: () => `${t('load.itemDraft')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const builtIn = computed(() => edited.value?.value.kind === 'fixed' || edited.value?.value.kind === 'deadening')
const loaded = (cases: readonly { state: string; planned: boolean }[] | undefined) =>
  cases?.findIndex((c) => c.state === 'loaded' && c.planned) ?? -1
const would = computed(() => {
  const cases = props.load.would.answer.value?.cases
  return cases?.[loaded(cases)]
})
const now = computed(() => {
  const cases = props.load.load.answer.value?.cases
  return cases?.[loaded(cases)]
})
async function keep() {
  const { row, value } = edited.value!
  if (!builtIn.value) value.takenOut = false
  if (await props.load.saveItem(row, value)) edited.value = null
}
</script>

<template>
  <Dialogue
    v-if="edited"
    :title="edited.row ? edited.value.name : t('load.add')"
    :is-typed="isTyped"
    @save="keep"
    @close="edited = null"
  >
    <TextField v-model="edited.value.name" class="wide" :label="t('load.what')" :most="80" />
    <Choice
      v-model="edited.value.kind"
      :label="t('app.kind')"
      :options="enums.LoadKind.map((value) => ({ value, text: t(`load.kinds.${value}`) }))"
    />
    <NumberInput
      v-model="edited.value.kg"
      :label="t(edited.value.kind === 'tank' ? 'load.kgFull' : 'load.kg')"
      :bounds="bounds.LoadItem.kg"
      required
    />
    <LengthInput v-model="edited.value.at.xMm" :label="t('load.x')" />
    <LengthInput v-model="edited.value.at.yMm" :label="t('load.y')" />
    <LengthInput v-model="edited.value.at.zMm" :label="t('load.z')" />
    <NumberInput
      v-if="!builtIn"
      v-model="edited.value.travelPercent"
      :label="t('load.travelPercent')"
      :bounds="bounds.LoadItem.travelPercent"
      required
    />
    <Checkbox v-if="builtIn" v-model:checked="edited.value.takenOut" class="wide">{{ t('load.takenOut') }}</Checkbox>
    <Checkbox v-model:checked="edited.value.isIn" class="wide">{{
      t(edited.value.takenOut && builtIn ? 'load.isOut' : 'load.isIn')
    }}</Checkbox>
    <TextField v-model="edited.value.notes" class="wide" :label="t('app.notes')" :most="4000" />
    <section v-if="would" class="wide would" data-testid="would">
      <b>{{ t('load.would') }}</b>
      <LoadBars :of="would" :trailer="trailer" :than="now" />
    </section>
    <Action v-if="edited.row" look="plain" @click="load.removeItem(edited.row).then(() => (edited = null))">
      {{ t('app.remove') }}
    </Action>
  </Dialogue>
</template>

<style scoped>
.would {
  padding: 8px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
}
</style>
