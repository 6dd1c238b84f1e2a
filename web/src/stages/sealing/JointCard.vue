<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { type Schemas, type Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { useDraft } from '@/app/drafts'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import { rememberPerson, whoHere } from '@/app/person'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import TextField from '@/ui/TextField.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { useFigure } from '@/stages/figures/useFigure'
import BeadCard from './BeadCard.vue'
import CureCard from './CureCard.vue'
import { air } from './useAir'
import { families } from './kinds'
import type { ShownJoint } from './useSealing'

/** One joint: which product and why, how much, how long, and what was done. */
const props = defineProps<{
  joint: ShownJoint
  products: readonly Stored<Schemas['Product']>[]
  where: string
  /** The school of the opening that the joint belongs to, or of the vehicle. */
  bedding: Schemas['FlangeBedding']
  /** Keeps the joint; answers nothing where that failed. */
  keep: (value: Schemas['Joint']) => Promise<unknown>
}>()
const emit = defineEmits<{ edit: [] }>()
const { t } = useI18n()
const { lengths } = useState()
const j = computed(() => props.joint.value)
const choice = useFigure('sealant-choice', () => ({
  joint: j.value,
  products: props.products.map((p) => p.value),
  bedding: props.bedding,
  airC: air.value.dayC,
  lengths: lengths.value,
  lies: props.joint.lies,
}))
const rows = computed(() => choice.answer.value?.result.rows ?? [])
const open = ref<string | null>(null)
const product = computed(() => props.joint.product?.value)
const idOf = (name: string) => props.products.find((p) => p.value.name === name)!.id
const entry = reactive<Schemas['JointEvent']>({
  on: new Date().toISOString().slice(0, 10),
  kind: 'sealed',
  family: null,
  product: '',
  by: whoHere.value,
})
const writing = ref(false)
function begin() {
  writing.value = true
  entry.product = product.value?.name ?? ''
  entry.family = product.value?.family ?? null
}
const route = useRoute()
useDraft({
  kind: () => `done to ${props.joint.key}`,
  typed: () => (writing.value ? entry : null),
  path: () => `${route.path}?at=${encodeURIComponent(props.joint.key)}`,
  what: () => `${t('app.draft.jointEvent')} ${j.value.name}`,
  take: (draft) => {
    Object.assign(entry, draft)
    writing.value = true
  },
})
async function write() {
  rememberPerson(entry.by)
  const history = [...j.value.history, { ...entry, family: entry.kind === 'sealed' ? entry.family : null }].sort((a, b) =>
    a.on.localeCompare(b.on),
  )
  if (await props.keep({ ...j.value, history })) writing.value = false
}
const kinds = enums.JointEventKind
</script>

<template>
  <div class="card">
    <h2>{{ j.name }}</h2>
    <p class="soft">
      {{ t(`sealing.kind.${j.kind}`) }}, {{ where }}, {{ lengthText(j.lengthMm, lengths) }}.
      {{ t(`sealing.substrate.${j.one}`) }} / {{ t(`sealing.substrate.${j.other}`) }}.
    </p>
    <p v-for="f in joint.faults" :key="f" class="wrong">{{ f }}</p>
    <Action class="start" @click="emit('edit')">{{ t('sealing.edit') }}</Action>
  </div>
  <div class="card" data-testid="choice">
    <h2>{{ t('sealing.which') }}</h2>
    <p v-if="j.kind === 'roofFlange' || j.kind === 'sideFlange'" class="soft">
      {{ t('sealing.school', { school: t(`schools.bedding.${bedding}`) }) }}
    </p>
    <p v-if="choice.wrong.value" class="wrong" role="alert">{{ choice.wrong.value }}</p>
    <div v-if="(choice.answer.value?.result.preparation ?? []).length > 0" class="first">
      <b>{{ t('sealing.inOrder') }}</b>
      <ol>
        <li v-for="p in choice.answer.value?.result.preparation ?? []" :key="p">{{ p }}</li>
      </ol>
    </div>
    <p v-if="choice.answer.value?.result.onceStripped" class="first">
      {{ t('sealing.onceStripped', { product: choice.answer.value.result.onceStripped }) }}
    </p>
    <div v-for="r in rows" :key="r.product" class="product" :class="{ out: r.rank === null, on: r.product === product?.name }">
      <button
        class="title"
        type="button"
        :aria-expanded="open === r.product"
        @click="open = open === r.product ? null : r.product"
      >
        <b>{{ r.rank ?? '×' }}</b>
        <span>{{ r.product }}</span>
        <small v-if="r.product === product?.name">{{ t('sealing.chosen') }}</small>
      </button>
      <p v-if="r.ruledOut[0]" class="against">{{ r.ruledOut[0] }}</p>
      <template v-if="open === r.product || r.rank === 1 || (r.product === product?.name && r.rank === null)">
        <p v-for="w in r.ruledOut.slice(1)" :key="w" class="against">{{ w }}</p>
        <p v-for="w in r.for" :key="w" class="for">{{ w }}</p>
        <p v-for="w in r.against" :key="w" class="against">{{ w }}</p>
        <Action
          v-if="r.rank !== null && r.product !== product?.name"
          class="use"
          @click="keep({ ...j, productId: idOf(r.product) })"
        >
          {{ t('sealing.choose') }}
        </Action>
      </template>
    </div>
    <p v-for="w in choice.answer.value?.warnings ?? []" :key="w" class="soft">{{ w }}</p>
    <WorkedSteps :title="t('sealing.which')" :worked="choice.answer.value" />
  </div>
  <template v-if="product">
    <p class="soft">
      {{
        t('sealing.keeps', {
          months: product.shelfMonths,
          opened:
            product.openedHours >= 48
              ? t('sealing.days', { n: Math.round(product.openedHours / 24) })
              : t('sealing.hours', { n: product.openedHours }),
        })
      }}
    </p>
    <BeadCard
      :product="product"
      :path-mm="j.lengthMm"
      :land-mm="null"
      :squeezed-mm="j.kind === 'seam' || j.kind === 'gutter' ? null : j.gapMm"
      :unbroken="j.unbroken"
    />
    <CureCard
      :key="product.name"
      :product="product"
      :width-mm="j.kind === 'bondedPane' ? 18 : 6"
      :open-faces="j.kind === 'bondedPane' ? 2 : 1"
    />
  </template>
  <div class="card" data-testid="history">
    <h2>{{ t('sealing.history') }}</h2>
    <p v-if="j.history.length === 0" class="soft">{{ t('sealing.noHistory') }}</p>
    <p v-for="(e, i) in j.history" :key="i" class="event">
      <b>{{ e.on }}</b> {{ t(`sealing.event.${e.kind}`) }}{{ e.family ? `, ${t(`sealing.family.${e.family}`)}` : '' }}
      {{ e.product }}
      <span v-if="e.by" class="soft">{{ e.by }}</span>
    </p>
    <Action v-if="!writing" class="start" @click="begin">{{ t('sealing.write') }}</Action>
    <form v-else class="form" @submit.prevent="write">
      <!-- The date of the phone is quicker with gloves than a calendar drawn by us. -->
      <label class="named">{{ t('sealing.on') }}<input v-model="entry.on" class="field" type="date" required /></label>
      <Choice
        v-model="entry.kind"
        :label="t('sealing.what')"
        :options="kinds.map((k) => ({ value: k, text: t(`sealing.event.${k}`) }))"
      />
      <Choice
        v-if="entry.kind === 'sealed'"
        class="wide"
        :model-value="entry.family ?? ''"
        :label="t('sealing.familyOf')"
        :options="[
          { value: '', text: t('sealing.unknown') },
          ...families.map((f) => ({ value: f, text: t(`sealing.family.${f}`) })),
        ]"
        @update:model-value="(f) => (entry.family = f || null)"
      />
      <TextField v-model="entry.product" class="wide" :label="t('sealing.with')" :most="120" />
      <TextField v-model="entry.by" class="wide" :label="t('sealing.by')" :most="80" />
      <div class="row wide">
        <Action look="main" submit>{{ t('app.save') }}</Action>
        <Action @click="writing = false">{{ t('app.cancel') }}</Action>
      </div>
    </form>
  </div>
</template>

<style scoped>
.start {
  align-self: flex-start;
}
.product {
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 4px 0 6px;
  border-top: 1px solid var(--rule);
}
.title {
  display: grid;
  grid-template-columns: 22px 1fr auto;
  padding: 4px 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: 500 14.5px 'Source Sans 3';
  text-align: left;
  cursor: pointer;
}
.product.out .title {
  color: var(--soft);
}
.product.on {
  border-left: 4px solid var(--teal);
  padding-left: 8px;
}
.for,
.against {
  padding-left: 22px;
  font-size: 13px;
}
.for::before {
  content: '+ ';
  color: var(--teal);
  font-weight: 700;
}
.against::before {
  content: '− ';
  color: var(--stop);
  font-weight: 700;
}
.first {
  padding: 7px 10px;
  border-left: 4px solid var(--amber);
  background: var(--amber-soft);
  font-size: 13.5px;
}
.use {
  align-self: flex-start;
  margin-left: 22px;
}
</style>
