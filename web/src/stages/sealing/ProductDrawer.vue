<script setup lang="ts">
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import { sharedChanged } from '@/api/cache'
import { Checkbox, Drawer } from 'ant-design-vue'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import { said, saidBeside } from '@/app/state'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import Ticks from '@/ui/Ticks.vue'
import Wrong from '@/ui/Wrong.vue'
import { families, substrates } from './kinds'

/** The products at hand: typical figures until somebody enters those of the data sheet. */
defineProps<{ products: readonly Stored<Schemas['Product']>[] }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const edited = ref<{ row: Stored<Schemas['Product']> | null; value: Schemas['Product'] } | null>(null)
const wrong = ref('')
const flags = ['paintable', 'removable', 'structural', 'cracksAcrylic', 'standsWater', 'standsSun'] as const
const flagText = { structural: 'carries' } as Record<string, string>

const isTyped = useDraft({
  kind: () => 'product',
  typed: () => edited.value,
  what: () => `${t('app.draft.product')} ${edited.value!.value.name}`.trim(),
  take: (draft) => {
    edited.value = draft
    open.value = true
  },
})
const leave = leaving(isTyped, () => {
  edited.value = null
  open.value = false
})

function begin(row: Stored<Schemas['Product']> | null, from: Schemas['Product']) {
  wrong.value = ''
  edited.value = { row, value: copyOf(from) }
}
const adhesion = (s: Schemas['Substrate']) => edited.value!.value.grips.find((g) => g.substrate === s)?.adhesion ?? 'none'
function setAdhesion(s: Schemas['Substrate'], how: Schemas['Adhesion']) {
  const value = edited.value!.value
  value.grips = [...value.grips.filter((g) => g.substrate !== s), ...(how === 'none' ? [] : [{ substrate: s, adhesion: how }])]
}
const columns: Column<Stored<Schemas['Product']>>[] = [
  { key: 'name', title: t('sealing.product'), text: (p) => p.value.name },
  { key: 'family', title: t('sealing.familyOf'), text: (p) => t(`sealing.family.${p.value.family}`), narrows: true, width: 180 },
  { key: 'movement', title: '± %', text: (p) => `${p.value.movementPercent}`, figure: (p) => p.value.movementPercent, width: 70 },
  {
    key: 'known',
    title: t('sealing.figuresFrom'),
    text: (p) => t(p.value.known === 'published' ? 'sealing.sheet' : 'sealing.typical'),
    narrows: true,
    width: 110,
  },
]
async function save() {
  const e = edited.value!
  try {
    if (e.row)
      await got(
        api.PUT('/api/products/{id}', { params: { path: { id: e.row.id }, header: ifMatch(e.row.version) }, body: e.value }),
      )
    else await got(api.POST('/api/products', { body: e.value }))
    edited.value = null
    await sharedChanged()
  } catch (problem) {
    wrong.value = saidBeside(problem)
  }
}
async function remove() {
  const row = edited.value!.row!
  try {
    await got(api.DELETE('/api/products/{id}', { params: { path: { id: row.id }, header: ifMatch(row.version) } }))
    edited.value = null
    await sharedChanged()
  } catch (problem) {
    wrong.value = said(problem)
  }
}
</script>

<template>
  <Drawer :open="open" :title="t('sealing.products')" width="min(620px, 100vw)" @close="leave">
    <template v-if="!edited">
      <p class="soft">{{ t('sealing.productsMore') }}</p>
      <DataTable :columns="columns" :rows="products" :key-of="(p) => p.id" @open="(p) => begin(p, p.value)" />
      <Action v-if="products[0]" class="new" @click="begin(null, { ...products[0].value, name: '' })">
        {{ t('sealing.newProduct') }}
      </Action>
    </template>
    <form v-else class="form" @submit.prevent="save">
      <TextField v-model="edited.value.name" class="wide" :label="t('app.name')" :most="80" />
      <Choice
        v-model="edited.value.family"
        :label="t('sealing.familyOf')"
        :options="families.map((f) => ({ value: f, text: t(`sealing.family.${f}`) }))"
      />
      <Choice
        v-model="edited.value.setting"
        :label="t('sealing.sets')"
        :options="enums.Setting.map((s) => ({ value: s, text: t(`sealing.setting.${s}`) }))"
      />
      <NumberInput
        v-model="edited.value.movementPercent"
        :bounds="bounds.Product.movementPercent"
        :label="t('sealing.movementClass')"
        required
      />
      <NumberInput v-model="edited.value.skinMinutes" :bounds="bounds.Product.skinMinutes" :label="t('sealing.skin')" />
      <NumberInput v-model="edited.value.cureMmPerDay" :bounds="bounds.Product.cureMmPerDay" :label="t('sealing.cure')" />
      <NumberInput v-model="edited.value.layFromC" :bounds="bounds.Product.layFromC" :label="t('sealing.layFrom')" required />
      <NumberInput v-model="edited.value.layToC" :bounds="bounds.Product.layToC" :label="t('sealing.layTo')" required />
      <NumberInput v-model="edited.value.packMl" :bounds="bounds.Product.packMl" :label="t('sealing.pack')" required />
      <NumberInput
        v-model="edited.value.serviceFromC"
        :bounds="bounds.Product.serviceFromC"
        :label="t('sealing.serviceFrom')"
        required
      />
      <NumberInput
        v-model="edited.value.serviceToC"
        :bounds="bounds.Product.serviceToC"
        :label="t('sealing.serviceTo')"
        required
      />
      <NumberInput v-model="edited.value.shelfMonths" :bounds="bounds.Product.shelfMonths" :label="t('sealing.shelf')" required />
      <NumberInput
        v-model="edited.value.openedHours"
        :bounds="bounds.Product.openedHours"
        :label="t('sealing.opened')"
        required
      />
      <TextField v-model="edited.value.hazards" class="wide" :label="t('sealing.hazards')" :most="400" />
      <Ticks
        class="wide"
        :of="edited.value"
        :choices="flags.map((f) => ({ key: f, text: t(`sealing.${flagText[f] ?? f}`) }))"
        @tick="(f, on) => (edited!.value[f] = on)"
      />
      <h2 class="wide">{{ t('sealing.sticks') }}</h2>
      <Choice
        v-for="s in substrates"
        :key="s"
        :model-value="adhesion(s)"
        :label="t(`sealing.substrate.${s}`)"
        :options="enums.Adhesion.map((a) => ({ value: a, text: t(`sealing.adhesion.${a}`) }))"
        @update:model-value="(how) => setAdhesion(s, how)"
      />
      <Checkbox
        class="wide"
        :checked="edited.value.known === 'published'"
        @update:checked="(on) => (edited!.value.known = on ? 'published' : 'assumption')"
      >
        {{ t('sealing.fromSheet') }}
      </Checkbox>
      <Wrong :text="wrong" class="wide" />
      <div class="row wide">
        <Action look="main" submit>{{ t('app.save') }}</Action>
        <Action @click="edited = null">{{ t('app.cancel') }}</Action>
        <Action v-if="edited.row" look="plain" @click="remove">{{ t('app.remove') }}</Action>
      </div>
    </form>
  </Drawer>
</template>

<style scoped>
.new {
  margin-top: 12px;
}
</style>
