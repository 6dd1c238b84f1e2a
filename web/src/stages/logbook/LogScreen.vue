<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Skeleton } from 'ant-design-vue'
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { ofVehicle } from '@/api/cache'
import { api, got, type Schemas } from '@/api/client'
import { clockText, dayText } from '@/app/moment'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import Switch from '@/ui/Switch.vue'
import TextField from '@/ui/TextField.vue'
import LogbookTabs from './LogbookTabs.vue'
import StepSaid from './StepSaid.vue'

/** Every change and every step, newest first: when, who, what it was before and what it became. */
const { t } = useI18n()
const { shell } = useState()
const route = useRoute()
const kinds = ['all', 'steps'] as const
const kind = ref<(typeof kinds)[number]>('all')
const by = ref('')
const typed = ref('')
const text = refDebounced(typed, 250)
const record = computed(() => (typeof route.query.record === 'string' ? route.query.record : undefined))
const filter = computed(() => ({
  steps: kind.value === 'steps' ? true : undefined,
  by: by.value || undefined,
  text: text.value.trim() || undefined,
  record: record.value,
}))
const ask = (before: number | undefined, signal?: AbortSignal) =>
  got(
    api.GET('/api/vehicles/{vehicleId}/log', {
      params: { path: { vehicleId: shell.value!.vehicle.id }, query: { ...filter.value, before } },
      ...(signal ? { signal } : {}),
    }),
  )
const first = useAnswer(
  () => shell.value && ofVehicle(shell.value.vehicle.id, 'log', filter.value),
  (_, signal) => ask(undefined, signal),
)
const older = shallowRef<Schemas['LogPage'][]>([])
watch(first.answer, () => (older.value = []))
const pages = computed(() => (first.answer.value ? [first.answer.value, ...older.value] : []))
const on = computed(() => pages.value.at(-1)?.before ?? null)
const more = async () => (older.value = [...older.value, await ask(on.value!)])
/** Day by day. */
const days = computed(() => {
  const all = pages.value.flatMap((p) => p.entries)
  return [...new Set(all.map((e) => e.at.slice(0, 10)))].map((day) => ({
    day,
    entries: all.filter((e) => e.at.startsWith(day)),
  }))
})
const people = computed(() => [
  { value: '', text: t('logbook.everybody') },
  ...(first.answer.value?.people ?? []).map((name) => ({ value: name, text: name })),
])
const air = (w: Schemas['WeatherHour']) =>
  t('logbook.air', { c: Math.round(w.airC), p: Math.round(w.relativePercent), rain: Math.round(w.rainPercent) })
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('logbook.title') }}</h1>
      <LogbookTabs on="log" />
    </header>
    <div class="page" tabindex="0" data-testid="log">
      <div class="filters">
        <Switch
          v-model="kind"
          :label="t('logbook.kind')"
          :choices="kinds.map((key) => ({ key, text: t(`logbook.kinds.${key}`) }))"
        />
        <Choice v-model="by" :label="t('logbook.person')" :options="people" />
        <TextField v-model="typed" :label="t('logbook.find')" :most="80" />
        <RouterLink v-if="record" class="btn" :to="{ name: 'log', params: { vehicleId: shell.vehicle.id } }">
          {{ t('logbook.ofAll') }}
        </RouterLink>
      </div>
      <p v-if="first.wrong.value" class="wrong" role="alert">{{ first.wrong.value }}</p>
      <Skeleton v-else-if="!first.answer.value" active :title="false" />
      <Empty v-else-if="days.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('logbook.nothing')" />
      <section v-for="d in days" :key="d.day">
        <h2>{{ dayText(d.day + 'T12:00', 'long') }} {{ d.day.slice(0, 4) }}</h2>
        <article v-for="e in d.entries" :key="e.seq" :class="{ gone: e.state !== 'done' }">
          <span class="at">{{ clockText(e.at) }}</span>
          <div>
            <p>
              <b>{{ e.what }}</b>
              <span v-if="e.by" class="soft">{{ ` ${t('logbook.by', { by: e.by })}` }}</span>
              <span v-if="e.state !== 'done'" class="soft">{{ ` ${t('findings.takenBack')}` }}</span>
            </p>
            <StepSaid v-if="e.step" :step="e.step" />
            <p v-for="(l, i) in e.lines" :key="i" class="line">
              <span class="soft">{{ `${l.of} ` }}</span>
              <template v-if="l.what">
                {{ l.what }}: <s v-if="l.before">{{ l.before }}</s>{{ ` ${l.after ?? t('logbook.removed')}` }}
              </template>
              <template v-else>{{ l.after ? t('logbook.added') : t('logbook.removed') }}</template>
            </p>
            <p v-if="e.more > 0" class="soft">{{ t('logbook.andMore', { n: e.more }) }}</p>
            <p v-if="e.weather" class="soft">{{ air(e.weather) }}</p>
          </div>
        </article>
      </section>
      <Action v-if="on !== null" @click="more">{{ t('logbook.older') }}</Action>
    </div>
  </div>
</template>

<style scoped>
.page {
  grid-column: 1 / -1;
  padding: 8px 24px 24px;
  overflow: auto;
}
.filters {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 12px;
}
article {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  max-width: 900px;
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
article.gone b {
  color: var(--soft);
  text-decoration: line-through;
}
.at {
  color: var(--soft);
  font-variant-numeric: tabular-nums;
}
p {
  margin: 0 0 2px;
}
.line {
  font-size: 14px;
}
.line s {
  color: var(--soft);
}
h2 {
  margin: 14px 0 4px;
}
@media (max-width: 560px) {
  .page {
    padding: 8px 12px 24px;
  }
}
</style>
