<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { useDraft } from '@/app/drafts'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import Dialogue from '@/ui/Dialogue.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import { stockOf, type EditedStock, type Material, type useStores } from './useStores'

/** Something on the shelf: how much of what, since when, and from which batch. */
const props = defineProps<{ stores: ReturnType<typeof useStores>; catalogue: readonly Material[] }>()
const edited = defineModel<EditedStock | null>({ required: true })
const { t } = useI18n()
const isTyped = useDraft({
  kind: () => 'stock',
  typed: () => edited.value,
  what: () => `${t('stores.draft')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const materialId = computed({
  get: () => edited.value!.value.materialId,
  set: (id) => {
    const m = props.catalogue.find((c) => c.id === id)
    if (m) edited.value!.value = { ...edited.value!.value, ...stockOf(m, m.pack ?? 1, edited.value!.value.boughtOn) }
  },
})
const day = (key: 'boughtOn' | 'expiresOn' | 'openedOn') =>
  computed({ get: () => edited.value!.value[key] ?? '', set: (on: string) => (edited.value!.value[key] = on || null) })
const days = { boughtOn: day('boughtOn'), expiresOn: day('expiresOn'), openedOn: day('openedOn') }
async function keep() {
  if (await props.stores.save(edited.value!.row, edited.value!.value)) edited.value = null
}
</script>

<template>
  <Dialogue
    v-if="edited"
    :title="edited.row ? edited.value.name : t('stores.add')"
    :is-typed="isTyped"
    @save="keep"
    @close="edited = null"
  >
    <Choice
      v-if="!edited.row"
      v-model="materialId"
      class="wide"
      :label="t('stores.material')"
      :options="catalogue.map((m) => ({ value: m.id, text: m.name }))"
    />
    <LengthInput v-if="edited.value.unit === 'mm'" v-model="edited.value.amount" :label="t('stores.amountMm')" />
    <NumberInput
      v-else
      v-model="edited.value.amount"
      :label="t(edited.value.unit === 'ml' ? 'stores.amountMl' : 'stores.amountCount')"
      :bounds="bounds.StockItem.amount"
      required
    />
    <TextField v-model="edited.value.place" :label="t('stores.place')" :most="80" />
    <label v-for="(on, key) in days" :key="key" class="named">
      <span>{{ t(`stores.${key}`) }}</span>
      <input v-model="on.value" class="field" type="date" />
    </label>
    <TextField v-model="edited.value.batch" :label="t('stores.batch')" :most="80" />
    <TextField v-model="edited.value.notes" class="wide" :label="t('app.notes')" :most="4000" />
    <Action v-if="edited.row" look="plain" @click="stores.remove(edited.row).then(() => (edited = null))">
      {{ t('app.remove') }}
    </Action>
  </Dialogue>
</template>
