<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Skeleton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { copyOf } from '@/app/copy'
import { amountText } from '@/app/length'
import { dateText } from '@/app/moment'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import Switch from '@/ui/Switch.vue'
import StockForm from './StockForm.vue'
import ToolForm from './ToolForm.vue'
import { stockOf, useStores, type EditedStock, type EditedTool, type StockLine, type StoreLine } from './useStores'

/** What open work needs, what lies on the shelf, and what is short of it, shop by shop. */
const { t } = useI18n()
const { shell, lengths } = useState()
const all = useStores()
const stores = computed(() => all.stores.answer.value)
const tab = ref<'short' | 'need' | 'stock' | 'borrowed'>('short')
const tool = ref<EditedTool | null>(null)
const edited = ref<EditedStock | null>(null)
const missing = computed(() => (stores.value?.lines ?? []).filter((l) => l.short > 0))
const shops = ['sealants', 'paint', 'hardware', 'trims', 'timber'] as const
const byShop = computed(() =>
  shops.map((shop) => ({ shop, lines: missing.value.filter((l) => l.shop === shop) })).filter((g) => g.lines.length > 0),
)
const needed = computed(() => (stores.value?.lines ?? []).filter((l) => l.need > 0))
const shelf = computed(() =>
  (stores.value?.lines ?? [])
    .flatMap((line) => line.stock.map((stock) => ({ line, stock })))
    .sort((a, b) => (a.stock.lastDay ?? '9').localeCompare(b.stock.lastDay ?? '9')),
)
const amount = (l: StoreLine, n: number) => {
  const m = l.material
  if (m.unit === 'mm' && n >= 1000 && lengths.value.units === 'mm') return `${Math.round(n / 100) / 10} m`
  return m.unit === 'count' ? String(Math.ceil(n - 1e-6)) : amountText(n, m.unit, lengths.value, 0)
}
/** Some of the jobs that something is kept for; a roll of tape is for nearly all. */
const some = 3
const keptFor = (jobs: readonly string[]) =>
  jobs.length === 0
    ? ''
    : jobs.length <= some
      ? t('stores.keptFor', { jobs: jobs.join(', ') })
      : t('stores.keptForMore', { jobs: jobs.slice(0, some).join(', '), n: jobs.length - some })
const buys = (l: StoreLine) => {
  if (l.packs === null) return amount(l, l.short)
  if (l.material.unit !== 'count') return t('stores.packs', { n: l.packs, holds: amount(l, l.material.pack ?? 1) })
  return l.material.pack === 1 ? String(l.packs) : t('stores.pieces', { n: l.packs, holds: l.material.pack }, l.packs)
}
const bought = (l: StoreLine) => all.save(null, stockOf(l.material, l.buy, stores.value!.today))
const begin = () => {
  const m = missing.value[0]?.material ?? stores.value!.catalogue[0]!
  edited.value = { row: null, value: stockOf(m, m.pack ?? 1, stores.value!.today) }
}
const borrow = () =>
  (tool.value = { row: null, value: { name: '', lender: '', until: stores.value!.today, isBack: false, notes: '' } })
const edit = (s: StockLine) => (edited.value = { row: { id: s.row.id, version: s.row.version }, value: copyOf(s.row.value) })
const jobsOf = (l: StoreLine) => [...new Set(l.uses.map((u) => u.name))].join(', ')
const when = (s: StockLine) =>
  s.state === 'usedUp'
    ? t('stores.usedUp')
    : s.lastDay
      ? t(s.state === 'expired' ? 'stores.endedOn' : 'stores.until', { on: dateText(s.lastDay) })
      : t(s.state === 'noDate' ? 'stores.noDate' : 'stores.keeps')
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen stores-screen">
    <header>
      <h1 class="of-stage">{{ t('stores.title') }}</h1>
      <Switch
        v-model="tab"
        tabs
        :label="t('stores.title')"
        :choices="[
          { key: 'short', text: t('stores.tab.short', { n: missing.length }) },
          { key: 'need', text: t('stores.tab.need') },
          { key: 'stock', text: t('stores.tab.stock') },
          { key: 'borrowed', text: t('stores.tab.borrowed') },
        ]"
      />
      <div class="sp" />
      <a class="btn" :href="`/api/vehicles/${shell.vehicle.id}/stores/shopping.pdf`" download>{{ t('stores.print') }}</a>
      <a class="btn" :href="`/api/vehicles/${shell.vehicle.id}/stores/shopping.csv`" download>{{ t('stores.csv') }}</a>
      <Action v-if="tab === 'borrowed'" :disabled="!stores" @click="borrow">{{ t('stores.addTool') }}</Action>
      <Action v-else :disabled="!stores" @click="begin">{{ t('stores.add') }}</Action>
    </header>
    <div class="page" tabindex="0" data-testid="stores">
      <p v-if="all.stores.wrong.value" class="wrong" role="alert">{{ all.stores.wrong.value }}</p>
      <Skeleton v-else-if="!stores" active :title="false" />
      <template v-else>
        <p class="verdict" :class="{ look: missing.length > 0 }" role="status">{{ stores.verdict }}</p>
        <ul v-if="stores.alerts.length > 0" class="alerts" data-testid="alerts">
          <li v-for="a in stores.alerts" :key="a">{{ a }}</li>
        </ul>
        <template v-if="tab === 'short'">
          <section v-for="g in byShop" :key="g.shop">
            <h2>{{ t(`stores.shops.${g.shop}`) }}</h2>
            <ul class="buys">
              <li v-for="l in g.lines" :key="l.material.id">
                <div class="text">
                  <b>{{ l.material.name }}</b>
                  <small>{{
                    l.neededBy
                      ? t('stores.forBy', { job: l.firstFor, by: dateText(l.neededBy) })
                      : t('stores.for', { job: l.firstFor })
                  }}</small>
                </div>
                <span class="n">{{ buys(l) }}</span>
                <button
                  class="btn"
                  type="button"
                  :aria-label="t('stores.boughtWhat', { what: l.material.name })"
                  @click="bought(l)"
                >
                  {{ t('stores.bought') }}
                </button>
              </li>
            </ul>
          </section>
          <Empty v-if="byShop.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('stores.nothingShort')" />
          <template v-if="stores.without.length > 0">
            <h2>{{ t('stores.without') }}</h2>
            <ul class="alerts plain">
              <li v-for="w in stores.without" :key="w.job.id">{{ `${w.name}: ${w.why}` }}</li>
            </ul>
          </template>
        </template>
        <table v-else-if="tab === 'need'" class="figures wide">
          <thead>
            <tr>
              <th>{{ t('stores.material') }}</th>
              <th class="n">{{ t('stores.need') }}</th>
              <th class="n">{{ t('stores.there') }}</th>
              <th class="n">{{ t('stores.short') }}</th>
              <th>{{ t('stores.forWhat') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="l in needed" :key="l.material.id" :class="{ missing: l.short > 0 }">
              <td>{{ l.material.name }}</td>
              <td class="n">{{ amount(l, l.need) }}</td>
              <td class="n">{{ amount(l, l.inStock) }}</td>
              <td class="n">{{ l.short > 0 ? amount(l, l.short) : '' }}</td>
              <td class="soft">{{ jobsOf(l) }}</td>
            </tr>
          </tbody>
        </table>
        <template v-else-if="tab === 'borrowed'">
          <Empty v-if="stores.borrowed.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('stores.noTools')" />
          <ul v-else class="buys shelf" data-testid="borrowed">
            <li
              v-for="b in stores.borrowed"
              :key="b.row.id"
              :class="{ expired: b.isLate, endsSoon: b.trouble, usedUp: b.row.value.isBack }"
            >
              <div class="text">
                <b>{{ b.row.value.name }}</b>
                <small>{{
                  [b.row.value.lender && t('stores.lentBy', { who: b.row.value.lender }), b.trouble].filter((x) => x).join('. ')
                }}</small>
              </div>
              <span class="when">{{
                b.row.value.isBack ? t('stores.wasBack') : t('stores.goesBack', { on: dateText(b.row.value.until) })
              }}</span>
              <button
                v-if="!b.row.value.isBack"
                class="btn"
                type="button"
                @click="all.saveTool(b.row, { ...b.row.value, isBack: true })"
              >
                {{ t('stores.giveBack') }}
              </button>
              <button class="btn" type="button" @click="tool = { row: b.row, value: copyOf(b.row.value) }">
                {{ t('app.edit') }}
              </button>
            </li>
          </ul>
        </template>
        <template v-else>
          <Empty v-if="shelf.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('stores.emptyShelf')" />
          <ul v-else class="buys shelf">
            <li v-for="s in shelf" :key="s.stock.row.id" :class="s.stock.state">
              <div class="text">
                <b>{{ s.line.material.name }}</b>
                <small>{{
                  [
                    s.stock.row.value.place,
                    s.stock.row.value.batch && t('stores.ofBatch', { batch: s.stock.row.value.batch }),
                    s.stock.row.value.openedOn && t('stores.isOpen', { on: dateText(s.stock.row.value.openedOn) }),
                    keptFor(s.stock.forJobs),
                  ]
                    .filter((x) => x)
                    .join('. ')
                }}</small>
              </div>
              <span class="when">{{ when(s.stock) }}</span>
              <span class="n">{{ amount(s.line, s.stock.row.value.amount) }}</span>
              <button class="btn" type="button" @click="edit(s.stock)">{{ t('app.edit') }}</button>
            </li>
          </ul>
        </template>
      </template>
    </div>
    <ToolForm v-model="tool" :stores="all" />
    <StockForm v-model="edited" :stores="all" :catalogue="stores?.catalogue ?? []" />
  </div>
</template>

<style scoped>
.page {
  grid-column: 1 / -1;
  padding: 4px 24px 24px;
  overflow: auto;
}
.verdict {
  max-width: 900px;
  margin: 10px 0;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
  font-weight: 600;
}
.verdict.look {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.alerts {
  max-width: 900px;
  margin: 0 0 12px;
  padding: 8px 12px 8px 30px;
  border-left: 4px solid var(--rust);
  background: var(--rust-soft);
}
.alerts.plain {
  border-color: var(--line);
  background: none;
  color: var(--soft);
}
.buys {
  max-width: 900px;
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}
.buys li {
  display: flex;
  align-items: center;
  gap: 16px;
  min-height: 52px;
  padding: 4px 12px;
  border-top: 1px solid var(--rule);
  border-left: 4px solid transparent;
}
.text {
  flex: 1;
  min-width: 0;
}
.text b {
  display: block;
  font: 600 16px 'Source Sans 3';
}
.text small,
.when {
  color: var(--soft);
}
.n {
  font-weight: 600;
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
.shelf .n {
  min-width: 72px;
  text-align: right;
}
.shelf .expired {
  border-left-color: var(--stop);
}
.shelf .expired .when {
  color: var(--stop);
  font-weight: 600;
}
.shelf .noDate,
.shelf .endsSoon {
  border-left-color: var(--amber);
}
.shelf .noDate .when,
.shelf .endsSoon .when {
  color: var(--amber);
  font-weight: 600;
}
.shelf .usedUp {
  opacity: 0.6;
}
table.wide {
  max-width: 1000px;
}
.missing td:nth-child(4) {
  color: var(--rust-deep);
}
@media (max-width: 560px) {
  .page {
    padding: 4px 12px 24px;
  }
  .buys li {
    flex-wrap: wrap;
    gap: 4px 12px;
  }
  .text {
    flex-basis: 100%;
  }
  .when {
    flex: 1;
  }
  .btn {
    min-height: 44px;
    margin-left: auto;
  }
}
</style>
