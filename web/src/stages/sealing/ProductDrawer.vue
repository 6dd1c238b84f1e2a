<script setup lang="ts">
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import Wrong from '@/app/Wrong.vue'
import { Checkbox, Drawer } from 'ant-design-vue'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import NumberInput from '@/app/NumberInput.vue'
import { onTopOf, said, saidBeside } from '@/app/state'
import { families, substrates } from './kinds'

/** The products at hand: typical figures until somebody enters those of the data sheet. */
defineProps<{ products: readonly Stored<Schemas['Product']>[] }>()
const emit = defineEmits<{ changed: [] }>()
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
function setAdhesion(s: Schemas['Substrate'], event: Event) {
  const how = (event.target as HTMLSelectElement).value as Schemas['Adhesion']
  const value = edited.value!.value
  value.grips = [...value.grips.filter((g) => g.substrate !== s), ...(how === 'none' ? [] : [{ substrate: s, adhesion: how }])]
}
async function save() {
  const e = edited.value!
  try {
    if (e.row)
      await got(
        api.PUT('/api/products/{id}', { params: { path: { id: e.row.id }, header: ifMatch(e.row.version) }, body: e.value }),
      )
    else await got(api.POST('/api/products', { body: e.value }))
    edited.value = null
    emit('changed')
  } catch (problem) {
    wrong.value = saidBeside(problem)
    if (e.row) e.row = onTopOf(e.row, problem)
  }
}
async function remove() {
  const row = edited.value!.row!
  try {
    await got(api.DELETE('/api/products/{id}', { params: { path: { id: row.id }, header: ifMatch(row.version) } }))
    edited.value = null
    emit('changed')
  } catch (problem) {
    wrong.value = said(problem)
  }
}
</script>

<template>
  <Drawer :open="open" :title="t('sealing.products')" width="min(620px, 100vw)" @close="leave">
    <template v-if="!edited">
      <p class="soft">{{ t('sealing.productsMore') }}</p>
      <ul class="list">
        <li v-for="p in products" :key="p.id">
          <button type="button" @click="begin(p, p.value)">
            <b>{{ p.value.name }}</b>
            <span class="soft">
              {{ t(`sealing.family.${p.value.family}`) }}{{ p.value.known === 'assumption' ? `, ${t('sealing.assumed')}` : '' }}
            </span>
          </button>
        </li>
      </ul>
      <button v-if="products[0]" class="btn" type="button" @click="begin(null, { ...products[0].value, name: '' })">
        {{ t('sealing.newProduct') }}
      </button>
    </template>
    <form v-else class="form" @submit.prevent="save">
      <label class="named wide">{{ t('app.name') }}<input v-model="edited.value.name" class="field" maxlength="80" /></label>
      <label class="named">
        {{ t('sealing.familyOf') }}
        <select v-model="edited.value.family" class="field">
          <option v-for="f in families" :key="f" :value="f">{{ t(`sealing.family.${f}`) }}</option>
        </select>
      </label>
      <label class="named">
        {{ t('sealing.sets') }}
        <select v-model="edited.value.setting" class="field">
          <option v-for="s in enums.Setting" :key="s" :value="s">
            {{ t(`sealing.setting.${s}`) }}
          </option>
        </select>
      </label>
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
      <label class="named wide"
        >{{ t('sealing.hazards') }}<input v-model="edited.value.hazards" class="field" maxlength="400"
      /></label>
      <div class="wide flags">
        <Checkbox v-for="f in flags" :key="f" v-model:checked="edited.value[f]" class="flag">{{
          t(`sealing.${flagText[f] ?? f}`)
        }}</Checkbox>
      </div>
      <h2 class="wide">{{ t('sealing.sticks') }}</h2>
      <label v-for="s in substrates" :key="s" class="named">
        {{ t(`sealing.substrate.${s}`) }}
        <select class="field" :value="adhesion(s)" @change="setAdhesion(s, $event)">
          <option v-for="a in enums.Adhesion" :key="a" :value="a">
            {{ t(`sealing.adhesion.${a}`) }}
          </option>
        </select>
      </label>
      <Checkbox
        class="wide"
        :checked="edited.value.known === 'published'"
        @update:checked="(on) => (edited!.value.known = on ? 'published' : 'assumption')"
      >
        {{ t('sealing.fromSheet') }}
      </Checkbox>
      <Wrong :text="wrong" class="wide" />
      <div class="row wide">
        <button class="btn main" type="submit">{{ t('app.save') }}</button>
        <button class="btn" type="button" @click="edited = null">{{ t('app.cancel') }}</button>
        <button v-if="edited.row" class="btn plain" type="button" @click="remove">{{ t('app.remove') }}</button>
      </div>
    </form>
  </Drawer>
</template>

<style scoped>
.list {
  margin: 10px 0;
  padding: 0;
  list-style: none;
}
.list button {
  display: flex;
  flex-direction: column;
  width: 100%;
  padding: 8px 4px;
  border: 0;
  border-top: 1px solid var(--rule);
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.list b {
  font-weight: 500;
}
.flags {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
.flag {
  margin-inline-start: 0 !important;
}
</style>
