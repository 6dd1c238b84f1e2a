<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Skeleton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useDraft } from '@/app/drafts'
import { dayText, momentText } from '@/app/moment'
import { useState } from '@/app/state'
import WeatherBand from '@/drawing/WeatherBand.vue'
import Action from '@/ui/Action.vue'
import DaysTabs from './DaysTabs.vue'
import GateAside from './GateAside.vue'
import GateCard from './GateCard.vue'
import PeopleCard from './PeopleCard.vue'
import ShutWays from './ShutWays.vue'
import { daysToType, type TypedDay } from './typedDays'
import { useDays } from './useDays'
import WeatherForm from './WeatherForm.vue'

/** Can the shell still be closed today? The weather over time, and for each job that opens the shell when it may be begun. */
const { t } = useI18n()
const { shell } = useState()
const stage = useDays()
const days = stage.days
const answer = computed(() => days.answer.value)
const gates = computed(() => answer.value?.gates ?? [])
const chosenId = ref<string | null>(null)
/** What can be begun soonest, until somebody looks at another one. */
const chosen = computed(() => {
  const of = (id: string | undefined) => gates.value.find((g) => g.job.id === id)
  return of(chosenId.value ?? undefined) ?? of(answer.value?.strip.nextJob?.id) ?? gates.value[0] ?? null
})
const windows = computed(() => chosen.value?.gate?.result.windows ?? [])
/** The days that are typed; null while nobody types. */
const edited = ref<TypedDay[] | null>(null)
const begin = () => (edited.value = daysToType(answer.value!.now, answer.value!.forecast?.days ?? null))
const isTyped = useDraft({
  kind: () => 'weather',
  typed: () => edited.value,
  what: () => t('app.draft.weather'),
  take: (draft) => (edited.value = draft),
})
const moment = (at: string) => momentText(at, answer.value!.now)
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="days.wrong.value && !answer" class="empty" role="alert">
    <h2>{{ days.wrong.value }}</h2>
    <Action look="main" @click="days.again()">{{ t('app.tryAgain') }}</Action>
  </div>
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('days.title') }}</h1>
      <DaysTabs on="today" />
      <span v-if="answer" class="soft">{{ dayText(answer.now, 'long') }}</span>
      <div class="sp" />
      <span v-if="answer?.forecast" class="soft">
        {{ t('days.from', { source: t(`days.source.${answer.forecast.source}`), at: moment(answer.forecast.issuedAt) }) }}
      </span>
      <Action :look="answer?.forecast && !answer.forecast.isOver ? undefined : 'main'" :disabled="!answer" @click="begin">
        {{ answer?.forecast ? t('days.change') : t('days.add') }}
      </Action>
    </header>
    <div class="page" tabindex="0" data-testid="days">
      <Skeleton v-if="!answer" active :title="false" />
      <template v-else>
        <WeatherBand
          v-if="answer.forecast && answer.forecast.hours.length > 0"
          :hours="answer.forecast.hours"
          :windows="windows"
          :open="answer.strip.plannedOpen"
          :now="answer.now"
          :label="t('days.band')"
        />
        <Empty v-else :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="answer.forecast ? t('days.over') : t('days.none')">
          <p>{{ t('days.noneMore') }}</p>
        </Empty>
        <p v-if="answer.light.length > 0" class="soft">
          {{ t('days.light') }}: {{ answer.light[0]!.verdict }}
          <template v-if="answer.forecast && !answer.forecast.isOver">
            {{ t('days.trusted', { at: moment(answer.forecast.trustedUntil) }) }}
          </template>
        </p>
        <p v-else class="warn">
          {{ t('days.place') }} <RouterLink :to="{ name: 'vehicles' }">{{ t('days.toPlace') }}</RouterLink>
        </p>
        <section v-for="o in answer.open" :key="o.job.id" class="open-now" :class="{ urgent: o.isUrgent }" data-testid="open-now">
          <h2>{{ t('days.openNow', { name: o.name }) }}</h2>
          <p>{{ o.state }}</p>
          <ShutWays v-if="o.cover" :cover="o.cover.result" />
        </section>
        <h2>{{ t('days.gates') }}</h2>
        <Empty v-if="gates.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('days.noGates')">
          <p>{{ t('days.noGatesMore') }}</p>
        </Empty>
        <GateCard
          v-for="g in gates"
          :key="g.job.id"
          :gate="g"
          :now="answer.now"
          :open="g.job.id === chosen?.job.id"
          @choose="chosenId = g.job.id"
        />
      </template>
    </div>
    <aside>
      <Skeleton v-if="!answer" active :title="false" />
      <template v-else>
        <GateAside v-if="chosen" :gate="chosen" @tick="(item, seen) => stage.tick(chosen!, item, seen)" />
        <PeopleCard :people="answer.people" :care="answer.care" :stage="stage" />
      </template>
    </aside>
    <WeatherForm
      v-if="edited && answer"
      v-model="edited"
      :now="answer.now"
      :service="answer?.forecast?.service ?? null"
      :stage="stage"
      :is-typed="isTyped"
      @close="edited = null"
    />
  </div>
</template>

<style scoped>
.page {
  padding: 12px 24px 24px;
  overflow: auto;
}
h2 {
  margin: 18px 0 6px;
}
.open-now {
  margin-top: 14px;
  padding: 4px 14px 10px;
  border-left: 4px solid var(--amber);
  background: var(--amber-soft);
}
.open-now.urgent {
  border-color: var(--stop);
  background: var(--stop-soft);
}
.open-now h2 {
  margin: 8px 0 4px;
}
</style>
