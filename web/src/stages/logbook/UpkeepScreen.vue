<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Skeleton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { dateText, inputTime } from '@/app/moment'
import { whoHere } from '@/app/person'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import LogbookTabs from './LogbookTabs.vue'
import OwnUpkeepForm from './OwnUpkeepForm.vue'
import UpkeepDoneForm from './UpkeepDoneForm.vue'
import { useUpkeep, type OwnUpkeep, type UpkeepDone, type UpkeepLine } from './useUpkeep'

/** What has to be looked after, what is late first. */
const { t } = useI18n()
const { shell } = useState()
const upkeep = useUpkeep()
const lines = computed(() => upkeep.lines.answer.value)
const states = ['overdue', 'soon', 'unknown', 'later', 'over'] as const
const groups = computed(() =>
  states
    .map((state) => ({ state, lines: (lines.value ?? []).filter((l) => l.state === state) }))
    .filter((g) => g.lines.length > 0),
)
const doing = ref<UpkeepDone | null>(null)
const edited = ref<{ row: Stored<OwnUpkeep> | null; value: OwnUpkeep } | null>(null)
const today = () => inputTime(new Date().toISOString(), shell.value!.vehicle.value.timeZone).slice(0, 10)
const begin = (line: UpkeepLine) => (doing.value = { key: line.key, what: line.what, on: today(), by: whoHere.value, notes: '' })
/** How often, and when it was done last, by whom, and what was seen. */
const said = (l: UpkeepLine) => {
  const newest = l.done[0]
  return [
    l.months ? t('logbook.every', l.months) : '',
    l.last ? t('logbook.last', { on: dateText(l.last) }) : '',
    newest ? t('logbook.doneBy', { by: newest.by, seen: newest.notes || t('logbook.noNote') }) : '',
  ]
    .filter((text) => text)
    .join(' ')
}
const add = () => (edited.value = { row: null, value: { name: '', how: '', first: today(), months: 12 } })
async function edit(id: string) {
  const row = await upkeep.own(id)
  edited.value = { row, value: copyOf(row.value) }
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('logbook.title') }}</h1>
      <LogbookTabs on="due" />
      <div class="sp" />
      <a class="btn" :href="`/api/vehicles/${shell.vehicle.id}/upkeep/calendar.ics`" download>{{ t('logbook.calendar') }}</a>
      <a class="btn" :href="`/api/vehicles/${shell.vehicle.id}/dossier.pdf`" download>{{ t('logbook.dossier') }}</a>
      <Action @click="add">{{ t('logbook.addOwn') }}</Action>
    </header>
    <div class="page" tabindex="0" data-testid="upkeep">
      <p v-if="upkeep.lines.wrong.value" class="wrong" role="alert">{{ upkeep.lines.wrong.value }}</p>
      <Skeleton v-else-if="!lines" active :title="false" />
      <template v-for="g in groups" :key="g.state">
        <h2>{{ t(`logbook.state.${g.state}`) }}</h2>
        <ul>
          <li v-for="l in g.lines" :key="l.key" :class="l.state">
            <div class="text">
              <b>{{ l.what }}</b>
              <p>{{ l.how }}</p>
              <p class="soft">{{ said(l) }}</p>
            </div>
            <div class="due">
              <b v-if="l.due">{{ dateText(l.due) }}</b>
              <Action v-if="l.state !== 'over'" @click="begin(l)">{{ t('logbook.didIt') }}</Action>
              <Action v-if="l.ownId" look="plain" @click="edit(l.ownId)">{{ t('logbook.change') }}</Action>
            </div>
          </li>
        </ul>
      </template>
    </div>
    <UpkeepDoneForm v-model="doing" :upkeep="upkeep" />
    <OwnUpkeepForm v-model="edited" :upkeep="upkeep" />
  </div>
</template>

<style scoped>
.page {
  grid-column: 1 / -1;
  padding: 4px 24px 24px;
  overflow: auto;
}
ul {
  max-width: 900px;
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 16px;
  padding: 8px 12px;
  border-top: 1px solid var(--rule);
  border-left: 4px solid transparent;
}
li.overdue {
  border-left-color: var(--rust);
}
.text {
  flex: 1;
  min-width: 0;
}
.text b {
  font: 600 16px 'Source Sans 3';
}
p {
  margin: 2px 0;
}
.due {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  gap: 4px;
  white-space: nowrap;
}
.overdue .due b {
  color: var(--rust-deep);
}
@media (max-width: 560px) {
  .page {
    padding: 4px 12px 24px;
  }
  .due :deep(.action) {
    min-height: 44px;
  }
}
</style>
