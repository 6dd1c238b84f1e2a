<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Modal, Popconfirm, Skeleton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas, Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import { lengthNumber, lengthText } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import Verdict from '@/ui/Verdict.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import CutSheetFigure from './CutSheetFigure.vue'
import FloorTabs from './FloorTabs.vue'
import { useBoardCuts, type CutWishes, type StockBoard } from './useBoardCuts'

/** All boards that replacements and linings still need, laid out with straight cuts on what is there and on what is bought. */
const { t } = useI18n()
const { shell, lengths } = useState()
/** Nothing until somebody types one: then the usual kerf. */
const typedKerf = ref<number | null>(null)
const carLength = ref<number | null>(null)
const carWidth = ref<number | null>(null)
const wishes = computed<CutWishes>(() => ({
  ...(typedKerf.value === null ? {} : { kerfMm: typedKerf.value }),
  ...(carLength.value === null || carWidth.value === null ? {} : { carLengthMm: carLength.value, carWidthMm: carWidth.value }),
}))
const { cuts, save, remove, sawn } = useBoardCuts(() => wishes.value)
const kerfMm = computed({ get: () => cuts.answer.value?.kerfMm ?? 0, set: (mm: number) => (typedKerf.value = mm) })
const groups = computed(() => cuts.answer.value?.groups ?? [])
const stock = computed(() => cuts.answer.value?.stock ?? [])
const title = (g: { material: Schemas['BoardMaterial']; thickMm: number }) =>
  `${t(`floor.materials.${g.material}`)}, ${lengthText(g.thickMm, lengths.value)}`
const query = computed(() => new URLSearchParams(Object.entries(wishes.value).map(([k, v]) => [k, String(v)])).toString())
const file = (what: string) => `/api/vehicles/${shell.value!.vehicle.id}/${what}${query.value ? `?${query.value}` : ''}`
const toBench = (r: Schemas['BoardsNotReady']) => ({
  name: r.for,
  params: {
    vehicleId: shell.value!.vehicle.id,
    ...(r.for === 'lining' ? { liningId: r.ownerId, tab: 'design' } : { replacementId: r.ownerId, tab: 'replace' }),
  },
})

const edited = ref<{ row: Stored<StockBoard> | null; value: StockBoard } | null>(null)
const isTyped = useDraft({
  kind: () => 'stock board',
  typed: () => edited.value,
  what: () => `${t('cuts.stockDraft')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const leave = leaving(isTyped, () => (edited.value = null))
/** A new board begins with the material of the first pieces that wait. */
const begin = () =>
  (edited.value = {
    row: null,
    value: {
      name: t('cuts.stockName'),
      material: groups.value[0]?.material ?? 'softwoodPly',
      thickMm: groups.value[0]?.thickMm ?? 18,
      lengthMm: 1000,
      widthMm: 500,
      count: 1,
      notes: '',
    },
  })
async function keep() {
  if (!(await lengthsRead())) return
  const { row, value } = edited.value!
  if (await save(row, value)) edited.value = null
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('floor.title') }}</h1>
      <FloorTabs on="cuts" />
      <div class="sp" />
      <Action @click="begin">{{ t('cuts.addStock') }}</Action>
    </header>
    <div class="page" tabindex="0" data-testid="cut-plan">
      <p v-if="cuts.wrong.value" class="wrong" role="alert">{{ cuts.wrong.value }}</p>
      <Skeleton v-else-if="!cuts.answer.value" active :title="false" />
      <Empty v-else-if="groups.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('cuts.none')">
        <p>{{ t('cuts.noneMore') }}</p>
      </Empty>
      <section v-for="(g, i) in groups" :key="title(g)">
        <div class="row">
          <h2>{{ title(g) }}</h2>
          <div class="sp" />
          <Popconfirm
            v-if="g.plan.result.sheets.length > 0"
            :title="t('cuts.sawnSure')"
            :ok-text="t('cuts.sawn')"
            :cancel-text="t('app.cancel')"
            @confirm="sawn(g)"
          >
            <button class="btn" type="button">{{ t('cuts.sawn') }}</button>
          </Popconfirm>
        </div>
        <Verdict :verdict="g.plan.result.verdict" :look="g.plan.result.left.length > 0" wrong="" />
        <p v-for="w in g.plan.warnings" :key="w" class="warn">{{ w }}</p>
        <CutSheetFigure
          v-for="(s, n) in g.plan.result.sheets"
          :key="n"
          :number="n + 1"
          :stock="g.stock[s.stock]!"
          :sheet="s"
          :pieces="g.pieces"
          :dxf="file(`board-cuts/${i + 1}/${n + 1}.dxf`)"
        />
        <p v-if="g.later > 0" class="warn">{{ t('cuts.later', g.later) }}</p>
        <template v-if="g.plan.result.left.length > 0">
          <h3>{{ t('cuts.noRoom') }}</h3>
          <ul>
            <li v-for="(p, n) in g.plan.result.left" :key="n">{{ g.pieces[p]!.name }}</li>
          </ul>
        </template>
        <WorkedSteps :title="title(g)" :worked="g.plan" />
      </section>
      <template v-if="(cuts.answer.value?.notReady.length ?? 0) > 0">
        <h2>{{ t('cuts.notReady') }}</h2>
        <ul data-testid="not-ready">
          <li v-for="r in cuts.answer.value!.notReady" :key="r.ownerId">
            <RouterLink :to="toBench(r)">{{ r.name }}</RouterLink>. {{ r.why }}
          </li>
        </ul>
      </template>
    </div>
    <aside>
      <div v-if="cuts.answer.value" class="form">
        <LengthInput v-model="kerfMm" :bounds="bounds.CutQuestion.kerfMm" :label="t('cuts.kerf')" />
        <span></span>
        <LengthInput v-model="carLength" :bounds="bounds.CarryHome.lengthMm" :label="t('cuts.car')" optional />
        <LengthInput v-model="carWidth" :bounds="bounds.CarryHome.widthMm" :label="t('cuts.carWide')" optional />
        <p v-if="(carLength === null) !== (carWidth === null)" class="warn wide" role="status">{{ t('cuts.carBoth') }}</p>
        <p v-else class="soft wide">{{ t('cuts.carMore') }}</p>
      </div>
      <div v-if="groups.length > 0" class="row">
        <a class="btn main" :href="file('board-cuts.pdf')" download>{{ t('cuts.print') }}</a>
        <a class="btn" :href="file('board-cuts.csv')" download>{{ t('cuts.csv') }}</a>
      </div>
      <h2>{{ t('cuts.stock') }}</h2>
      <p v-if="stock.length === 0" class="soft">{{ t('cuts.noStock') }}</p>
      <ul class="stock" data-testid="stock-boards">
        <li v-for="s in stock" :key="s.id">
          <button class="btn plain" type="button" @click="edited = { row: s, value: copyOf(s.value) }">
            <b>{{ s.value.count > 1 ? `${s.value.count} × ` : '' }}{{ s.value.name }}</b>
            <span class="soft">
              {{ title(s.value) }}, {{ lengthNumber(s.value.lengthMm, lengths) }} × {{ lengthText(s.value.widthMm, lengths) }}
            </span>
          </button>
        </li>
      </ul>
    </aside>
    <Modal
      :open="edited !== null"
      :title="t('cuts.stockDraft')"
      :ok-text="t('app.save')"
      :cancel-text="t('app.cancel')"
      destroy-on-close
      @ok="keep"
      @cancel="leave"
    >
      <form v-if="edited" class="form" @submit.prevent="keep">
        <TextField v-model="edited.value.name" class="wide" :label="t('floor.name')" :most="80" />
        <Choice
          v-model="edited.value.material"
          :label="t('floor.material')"
          :options="enums.BoardMaterial.map((m) => ({ value: m, text: t(`floor.materials.${m}`) }))"
        />
        <LengthInput v-model="edited.value.thickMm" :bounds="bounds.StockBoard.thickMm" :label="t('floor.thick')" />
        <LengthInput v-model="edited.value.lengthMm" :bounds="bounds.StockBoard.lengthMm" :label="t('cuts.length')" />
        <LengthInput v-model="edited.value.widthMm" :bounds="bounds.StockBoard.widthMm" :label="t('cuts.width')" />
        <NumberInput v-model="edited.value.count" :bounds="bounds.StockBoard.count" :label="t('cuts.count')" required />
        <TextField v-model="edited.value.notes" class="wide" :label="t('floor.notes')" :most="4000" lines />
        <Action v-if="edited.row" look="plain" @click="remove(edited.row).then(() => (edited = null))">{{
          t('app.remove')
        }}</Action>
      </form>
    </Modal>
  </div>
</template>

<style scoped>
.page {
  padding: 8px 24px 24px;
  overflow: auto;
}
section {
  margin-bottom: 24px;
}
h3 {
  margin: 8px 0 2px;
  font-size: 14px;
}
aside .form {
  grid-template-columns: 1fr 1fr;
}
.stock {
  margin: 0;
  padding: 0;
  list-style: none;
}
.stock .btn {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  width: 100%;
  text-align: left;
}
</style>
