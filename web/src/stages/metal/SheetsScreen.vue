<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Modal, Popconfirm } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Point, Schemas, Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import { lengthNumber } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import { boxOf } from '@/drawing/geometry'
import PointList from '@/stages/walkaround/PointList.vue'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import SheetDrawing from './SheetDrawing.vue'
import { useSheets, type Sheet } from './useSheets'

/** All blanks that repairs still need, laid out on the sheets and offcuts that are there. */
const { t } = useI18n()
const { shell, lengths } = useState()
/** Nothing until somebody types one: then the usual gap. */
const typedGap = ref<number | null>(null)
const { sheets, save, remove, cut } = useSheets(() => typedGap.value)
const gapMm = computed({ get: () => sheets.answer.value?.gapMm ?? 0, set: (mm: number) => (typedGap.value = mm) })
const L = (mm: number) => lengthNumber(mm, lengths.value)
const groups = computed(() => sheets.answer.value?.groups ?? [])
const stock = computed(() => sheets.answer.value?.sheets ?? [])
const title = (g: { metal: Schemas['SheetMetal']; thickMm: number }) => `${t(`metal.metals.${g.metal}`)}, ${g.thickMm} mm`
const drawn = (g: Schemas['SheetGroup']) =>
  g.sheetIds.flatMap((id, j) => {
    const places = g.plan.result.places.filter((p) => p.sheet === j)
    const sheet = stock.value.find((s) => s.id === id)
    return places.length > 0 && sheet ? [{ sheet, places, offcuts: g.plan.result.offcuts.filter((o) => o.sheet === j) }] : []
  })
const edited = ref<{ row: Stored<Sheet> | null; value: Sheet } | null>(null)
const isTyped = useDraft({
  kind: () => 'sheet',
  typed: () => edited.value,
  what: () => `${t('metal.sheetDraft')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const leave = leaving(isTyped, () => (edited.value = null))
const corners = (wide: number, high: number): Point[] => [
  { sMm: 0, tMm: 0 },
  { sMm: wide, tMm: 0 },
  { sMm: wide, tMm: high },
  { sMm: 0, tMm: high },
]
/** A new sheet begins with the metal of the first pieces that found no room. */
function begin() {
  const need = groups.value.find((g) => g.plan.result.left.length > 0) ?? groups.value[0]
  edited.value = {
    row: null,
    value: {
      name: t('metal.sheetName'),
      metal: need?.metal ?? 'mildSteel',
      thickMm: need?.thickMm ?? 1,
      outline: corners(1000, 500),
      notes: '',
    },
  }
}
async function keep() {
  if (!(await lengthsRead())) return
  const { row, value } = edited.value!
  if (await save(row, value)) edited.value = null
}
const notReady = computed(() => sheets.answer.value?.notReady ?? [])
const toBench = (repairId: string) => ({
  name: 'repair',
  params: { vehicleId: shell.value!.vehicle.id, repairId, tab: 'design' },
})
const toMetal = computed(() => ({ name: 'metal', params: { vehicleId: shell.value!.vehicle.id } }))
const size = (s: Sheet) => {
  const b = boxOf(s.outline)
  return `${L(b.s2 - b.s1)} × ${L(b.t2 - b.t1)}`
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen">
    <header>
      <RouterLink class="btn plain" :to="toMetal" :aria-label="t('metal.title')">←</RouterLink>
      <h1>{{ t('metal.sheets') }}</h1>
      <div class="sp" />
      <Action @click="begin">{{ t('metal.addSheet') }}</Action>
    </header>
    <div class="page" tabindex="0" data-testid="cutting-plan">
      <p v-if="sheets.wrong.value" class="wrong" role="alert">{{ sheets.wrong.value }}</p>
      <Empty v-if="groups.length === 0 && !sheets.wrong.value" :description="t('metal.noBlanks')" />
      <section v-for="g in groups" :key="title(g)">
        <div class="row">
          <h2>{{ title(g) }}</h2>
          <div class="sp" />
          <Popconfirm
            v-if="g.plan.result.places.length > 0"
            :title="t('metal.cutSure')"
            :ok-text="t('metal.cutNow')"
            :cancel-text="t('app.cancel')"
            @confirm="cut(g)"
          >
            <button class="btn" type="button">{{ t('metal.cutNow') }}</button>
          </Popconfirm>
        </div>
        <p class="verdict" :class="{ look: g.plan.result.left.length > 0 }" role="status">{{ g.plan.result.verdict }}</p>
        <SheetDrawing
          v-for="d in drawn(g)"
          :key="d.sheet.id"
          :name="d.sheet.value.name"
          :outline="d.sheet.value.outline"
          :places="d.places"
          :pieces="g.pieces"
          :offcuts="d.offcuts"
        />
        <p v-if="g.later > 0" class="warn">{{ t('metal.later', g.later) }}</p>
        <template v-if="g.plan.result.left.length > 0">
          <h3>{{ t('metal.noRoom') }}</h3>
          <ul>
            <li v-for="i in g.plan.result.left" :key="i">
              {{ g.pieces[i]!.name }}, {{ L(g.pieces[i]!.widthMm) }} × {{ L(g.pieces[i]!.heightMm) }}
            </li>
          </ul>
        </template>
        <WorkedSteps :title="title(g)" :worked="g.plan" />
      </section>
      <p v-if="groups.length > 0" class="soft">{{ t('metal.outsideUpAll') }}</p>
      <template v-if="notReady.length > 0">
        <h2>{{ t('metal.notReady') }}</h2>
        <ul>
          <li v-for="r in notReady" :key="r.repairId">
            <RouterLink :to="toBench(r.repairId)">{{ r.name }}</RouterLink>. {{ r.why }}
          </li>
        </ul>
      </template>
    </div>
    <aside>
      <LengthInput
        v-if="sheets.answer.value"
        v-model="gapMm"
        :bounds="bounds.NestQuestion.gapMm"
        :label="t('metal.gapBetween')"
      />
      <h2>{{ t('metal.stock') }}</h2>
      <p v-if="stock.length === 0" class="soft">{{ t('metal.noStock') }}</p>
      <ul class="stock" data-testid="stock">
        <li v-for="s in stock" :key="s.id">
          <button class="btn plain" type="button" @click="edited = { row: s, value: copyOf(s.value) }">
            <b>{{ s.value.name }}</b>
            <span class="soft">{{ title(s.value) }}, {{ size(s.value) }}</span>
          </button>
        </li>
      </ul>
    </aside>
    <Modal
      :open="edited !== null"
      :title="t('metal.sheetDraft')"
      :ok-text="t('app.save')"
      :cancel-text="t('app.cancel')"
      destroy-on-close
      @ok="keep"
      @cancel="leave"
    >
      <form v-if="edited" class="form" @submit.prevent="keep">
        <TextField v-model="edited.value.name" class="wide" :label="t('metal.name')" :most="80" />
        <Choice
          v-model="edited.value.metal"
          :label="t('metal.ofMetal')"
          :options="enums.SheetMetal.map((m) => ({ value: m, text: t(`metal.metals.${m}`) }))"
        />
        <NumberInput v-model="edited.value.thickMm" :bounds="bounds.StockSheet.thickMm" :label="t('metal.thick')" required />
        <PointList
          v-model="edited.value.outline"
          class="wide"
          :least="3"
          :add-label="t('metal.addCorner')"
          facing="left"
          :along="t('metal.alongSheet')"
          :up="t('metal.upSheet')"
        />
        <TextField v-model="edited.value.notes" class="wide" :label="t('metal.notes')" :most="4000" lines />
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
.verdict {
  margin: 4px 0 12px;
  padding: 8px 10px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
  font-weight: 500;
}
.verdict.look {
  border-color: var(--amber);
  background: var(--amber-soft);
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
