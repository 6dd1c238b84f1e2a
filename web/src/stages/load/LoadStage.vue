<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Popconfirm, Skeleton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Stored, Vehicle } from '@/api/client'
import { enums } from '@/api/enums'
import { copyOf } from '@/app/copy'
import { lengthText } from '@/app/length'
import { dateText, inputTime } from '@/app/moment'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import JudgementList from '@/ui/JudgementList.vue'
import Switch from '@/ui/Switch.vue'
import ItemForm from './ItemForm.vue'
import LoadBars from './LoadBars.vue'
import { isBar } from './bars'
import LoadDrawing from './LoadDrawing.vue'
import PapersForm from './PapersForm.vue'
import type { Place } from './picture'
import { isTrailer } from './trailer'
import { useLoad, type EditedItem, type LoadItem, type LoadLine, type NewWeighing } from './useLoad'
import WeighingForm from './WeighingForm.vue'

/** What the vehicle carries, what that does to its axles, and what could be left out. */
const { t } = useI18n()
const { shell, lengths } = useState()
const edited = ref<EditedItem | null>(null)
const papers = ref<{ masses: Vehicle['masses'] } | null>(null)
const weighing = ref<NewWeighing | null>(null)
/** What is dragged in the drawing, until it is dropped and kept. */
const moved = ref<EditedItem | null>(null)
const load = useLoad(() => moved.value ?? edited.value)
const kept = computed(() => load.load.answer.value)
/** As it would be while something is dragged; the list keeps its order. */
const shown = computed(() => {
  const would = moved.value && load.would.answer.value
  if (!kept.value || !would) return kept.value
  return {
    ...would,
    lines: kept.value.lines.map((l) => (l.id === moved.value!.row?.id ? { ...l, item: moved.value!.value } : l)),
  }
})
const planned = ref<'now' | 'done'>('done')
const state = ref<(typeof enums.LoadState)[number]>('loaded')
const current = computed(() =>
  shown.value?.cases.find((c) => c.state === state.value && c.planned === (planned.value === 'done')),
)
const trailer = computed(() => shell.value !== null && isTrailer(shell.value.vehicle.value.kind))
const on = ref<string | null>(null)
const blank = (): LoadItem => ({
  name: '',
  kind: 'fixed',
  kg: 20,
  at: { xMm: 1500, yMm: 0, zMm: 300 },
  travelPercent: 100,
  takenOut: false,
  isIn: false,
  notes: '',
})
const rowOf = (line: LoadLine): Stored<LoadItem> => ({
  id: line.id,
  version: line.version,
  ownerId: shell.value!.vehicle.id,
  value: line.item,
})
const open = (line: LoadLine) => {
  if (line.source === 'own') edited.value = { row: rowOf(line), value: copyOf(line.item) }
}
function move(line: LoadLine, at: Place) {
  moved.value = { row: rowOf(line), value: { ...copyOf(line.item), at } }
}
/** What was moved is kept once it is let go; of keys once they rest. One saving after the other, each from the newest version. */
const restMs = 500
let resting: ReturnType<typeof setTimeout> | undefined
let keeping = Promise.resolve()
function drop(byKey: boolean) {
  clearTimeout(resting)
  resting = setTimeout(() => (keeping = keeping.then(keepMoved)), byKey ? restMs : 0)
}
async function keepMoved() {
  const held = moved.value
  const line = kept.value?.lines.find((l) => l.source === 'own' && l.id === held?.row?.id)
  if (held && line) {
    await load.saveItem(rowOf(line), held.value)
    await load.load.again()
  }
  if (moved.value === held) moved.value = null
}
const weigh = () =>
  (weighing.value = {
    on: inputTime(new Date().toISOString(), shell.value!.vehicle.value.timeZone).slice(0, 10),
    state: 'travel',
    reading: { totalKg: null, frontKg: null, rearKg: null, leftKg: null, rightKg: null },
    notes: '',
  })
const kg = (line: LoadLine) => (line.item.takenOut ? -line.item.kg : line.item.kg)
const numbered = computed(() => (shown.value?.lines ?? []).map((line, i) => ({ line, number: i + 1 })))
type Row = (typeof numbered.value)[number]
const one = (n: number) => String(Math.round(n * 10) / 10).replace('-', '−')
const columns = computed<Column<Row>[]>(() => [
  { key: 'number', title: t('load.no'), text: (r) => String(r.number), figure: (r) => r.number, width: 64 },
  { key: 'name', title: t('load.what'), text: (r) => r.line.item.name },
  {
    key: 'from',
    title: t('load.from'),
    text: (r) => (r.line.source === 'own' ? t(`load.kinds.${r.line.item.kind}`) : t(`load.sources.${r.line.source}`)),
    narrows: true,
    width: 150,
  },
  { key: 'kg', title: t('load.kg'), text: (r) => one(kg(r.line)), figure: (r) => kg(r.line), width: 96 },
  {
    key: 'x',
    title: t('load.xShort'),
    text: (r) => lengthText(r.line.item.at.xMm, lengths.value),
    figure: (r) => r.line.item.at.xMm,
    width: 110,
  },
  {
    key: 'in',
    title: t('load.state'),
    text: (r) => t(`load.stands.${r.line.item.takenOut ? 'out' : 'in'}.${r.line.item.isIn ? 'yes' : 'no'}`),
    narrows: true,
    width: 130,
  },
])
const weighed = (w: NonNullable<typeof kept.value>['weighings'][number]['value']) =>
  (['totalKg', 'frontKg', 'rearKg', 'leftKg', 'rightKg'] as const)
    .filter((key) => typeof w.reading[key] === 'number')
    .map(
      (key) =>
        `${t(`load.reading.${trailer.value && (key === 'frontKg' || key === 'rearKg') ? 'trailer.' : ''}${key}`)} ${w.reading[key]}`,
    )
    .join(', ')
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen load-screen">
    <header>
      <h1 class="of-stage">{{ t('load.title') }}</h1>
      <Switch
        v-model="planned"
        :label="t('load.when')"
        :choices="[
          { key: 'now', text: t('load.now') },
          { key: 'done', text: t('load.whenDone') },
        ]"
      />
      <Switch
        v-model="state"
        :label="t('load.state')"
        :choices="enums.LoadState.map((key) => ({ key, text: t(`load.states.${key}`) }))"
      />
      <div class="sp" />
      <button class="btn" type="button" @click="papers = { masses: copyOf(shell.vehicle.value.masses ?? null) }">
        {{ t('load.papersTitle') }}
      </button>
      <button class="btn" type="button" @click="weigh">{{ t('load.weighing') }}</button>
      <Action @click="edited = { row: null, value: blank() }">{{ t('load.add') }}</Action>
    </header>
    <div class="page" tabindex="0" data-testid="load">
      <p v-if="load.load.wrong.value" class="wrong" role="alert">{{ load.load.wrong.value }}</p>
      <Skeleton v-else-if="!shown || !current" active :title="false" />
      <template v-else>
        <LoadDrawing
          :load="shown"
          :of="current"
          :masses="shell.vehicle.value.masses ?? null"
          :on="on"
          @point="(id) => (on = id)"
          @open="open"
          @move="move"
          @drop="drop"
        />
        <p class="soft legend">{{ t('load.key') }}</p>
        <DataTable
          :columns="columns"
          :rows="numbered"
          :key-of="(r) => `${r.line.source}${r.line.id}`"
          :look="(r) => (on === r.line.id ? 'pointed' : '')"
          @open="(r) => open(r.line)"
        />
      </template>
    </div>
    <aside v-if="shown && current" data-testid="load-verdict">
      <h2>
        {{ current.totalKg === null ? t('load.added', { kg: one(current.addedKg) }) : `${Math.round(current.totalKg)} kg` }}
      </h2>
      <p v-if="current.totalKg !== null" class="soft">
        {{ t('load.baseAnd', { base: Math.round(current.totalKg - current.addedKg), kg: one(current.addedKg) }) }}
      </p>
      <LoadBars :of="current" :trailer="trailer" />
      <section v-if="shown.missing.length > 0" class="missing">
        <h3>{{ t('load.missing') }}</h3>
        <ul>
          <li v-for="m in shown.missing" :key="m">{{ m }}</li>
        </ul>
      </section>
      <JudgementList :rows="current.rows.filter((r) => !isBar(r.id))" />
      <template v-if="shown.lighter.length > 0">
        <h3>{{ t('load.lighter') }}</h3>
        <ul class="ways">
          <li v-for="w in shown.lighter" :key="w.what">
            <b>{{ w.what }}</b>
            <span class="n">{{ `−${one(w.savesKg)} kg` }}</span>
            <small>{{ w.costs }}</small>
          </li>
        </ul>
      </template>
      <template v-if="shown.weighings.length > 0">
        <h3>{{ t('load.weighings') }}</h3>
        <p v-if="shown.base?.moreKg" role="status">
          {{ t(shown.base.moreKg > 0 ? 'load.heavier' : 'load.lighterBase', { kg: one(Math.abs(shown.base.moreKg)) }) }}
        </p>
        <ul class="ways">
          <li v-for="w in shown.weighings" :key="w.id">
            <b>{{ `${dateText(w.value.on)}, ${t(`load.states.${w.value.state}`)}` }}</b>
            <Popconfirm
              :title="t('load.weighingGone')"
              :ok-text="t('app.remove')"
              :cancel-text="t('app.cancel')"
              @confirm="load.removeWeighing(w)"
            >
              <button class="btn plain" type="button">{{ t('app.remove') }}</button>
            </Popconfirm>
            <small>{{ weighed(w.value) }}</small>
          </li>
        </ul>
      </template>
    </aside>
    <ItemForm v-model="edited" :load="load" :trailer="trailer" />
    <PapersForm v-model="papers" :load="load" :trailer="trailer" />
    <WeighingForm v-model="weighing" :load="load" :trailer="trailer" />
  </div>
</template>

<style scoped>
.load-screen {
  grid-template-columns: minmax(0, 1fr) 348px;
}
.page {
  display: flex;
  flex-direction: column;
  padding: 0 0 24px;
  overflow: auto;
}
.page > :deep(.load-drawing) {
  flex: none;
  height: min(56vh, 520px);
}
.legend {
  margin: 6px 16px;
}
aside {
  padding: 12px 16px 24px;
  overflow: auto;
}
h2 {
  margin: 0;
  font-size: 28px;
  font-variant-numeric: tabular-nums;
}
h3 {
  margin: 16px 0 4px;
}
.missing {
  padding: 8px 12px;
  border-left: 4px solid var(--amber);
  background: var(--amber-soft);
}
.missing h3 {
  margin: 0;
}
.missing ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
.ways {
  margin: 0;
  padding: 0;
  list-style: none;
}
.ways li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 8px;
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
.ways small {
  grid-column: 1 / -1;
  color: var(--soft);
}
.n {
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}
@media (max-width: 1000px) {
  .load-screen {
    grid-template: auto auto auto / minmax(0, 1fr);
    overflow: auto;
  }
  .page,
  aside {
    overflow: visible;
  }
  /* On a phone the figures come first. */
  aside {
    order: 1;
  }
  .page {
    order: 2;
  }
  .page > :deep(.load-drawing) {
    height: 92vw;
    max-height: 520px;
    min-height: 0;
  }
}
</style>
