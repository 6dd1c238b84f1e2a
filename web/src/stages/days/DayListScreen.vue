<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Skeleton } from 'ant-design-vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { ofVehicle } from '@/api/cache'
import { api, got } from '@/api/client'
import { clockText, dayText, momentText } from '@/app/moment'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import MaterialTable from '@/ui/MaterialTable.vue'
import DaysTabs from './DaysTabs.vue'

/** The list of a day: what to lay out the evening before, and its tasks in order. Without a day it is the next one with work on it. */
const { t } = useI18n()
const { shell } = useState()
const route = useRoute()
const router = useRouter()
const date = computed(() => (typeof route.query.date === 'string' ? route.query.date : null))
const list = useAnswer(
  () => shell.value && ofVehicle(shell.value.vehicle.id, 'day-list', date.value ?? ''),
  ([, vehicleId, , asked], signal) =>
    got(
      api.GET('/api/vehicles/{vehicleId}/plan/list', {
        params: { path: { vehicleId: vehicleId! }, query: asked ? { date: asked } : {} },
        signal,
      }),
    ),
)
const answer = computed(() => list.answer.value)
const pdf = computed(
  () => `/api/vehicles/${shell.value!.vehicle.id}/plan/list.pdf${answer.value ? `?date=${answer.value.date}` : ''}`,
)
const choose = (text: string) => router.replace({ query: text ? { date: text } : {} })
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('days.title') }}</h1>
      <DaysTabs on="list" />
      <div class="sp" />
      <input
        class="field"
        type="date"
        :aria-label="t('days.list.date')"
        :value="date ?? answer?.date ?? ''"
        @change="(e) => choose((e.target as HTMLInputElement).value)"
      />
      <a v-if="answer" class="btn main" :href="pdf" download>{{ t('days.list.print') }}</a>
    </header>
    <div class="page" tabindex="0" data-testid="day-list">
      <Empty v-if="list.wrong.value" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="list.wrong.value">
        <p>{{ t('days.list.noneMore') }}</p>
      </Empty>
      <Skeleton v-else-if="!answer" active :title="false" />
      <template v-else>
        <h2>{{ dayText(answer.date + 'T12:00', 'long') }}</h2>
        <p v-if="answer.weather">{{ answer.weather }}</p>
        <p v-else class="soft">{{ t('days.plan.notForeseen') }}</p>
        <ol>
          <li v-for="task in answer.tasks" :key="task.from + task.title">
            <b>{{ clockText(task.from) }}–{{ clockText(task.until) }} {{ task.title }}</b>
            <span class="soft">{{ `, ${task.people.join(', ')}` }}</span>
            <p v-if="task.opensShell" class="warn">
              {{ t('days.list.open', { at: momentText(task.readyAt, task.from) }) }}
            </p>
            <p v-for="c in task.covered" :key="c.from" class="warn">
              {{ t('days.plan.coverFrom', { from: momentText(c.from, task.from), to: momentText(c.to, task.from) }) }}
            </p>
            <ul v-if="task.steps.length > 1">
              <li v-for="s in task.steps" :key="s.key">{{ s.title }}</li>
            </ul>
          </li>
        </ol>
        <h2>{{ t('days.list.layOut') }}</h2>
        <p v-if="answer.tools.length > 0">{{ answer.tools.join(', ') }}.</p>
        <MaterialTable v-if="answer.consumables.length > 0" :used="answer.consumables" :missing="answer.notThere" />
        <h2 v-if="answer.cautions.length > 0">{{ t('days.list.mind') }}</h2>
        <ul>
          <li v-for="c in answer.cautions" :key="c.id">{{ c.text }}</li>
        </ul>
      </template>
    </div>
  </div>
</template>

<style scoped>
header .field {
  flex: none;
  width: 170px;
}
.page {
  grid-column: 1 / -1;
  padding: 12px 24px 24px;
  overflow: auto;
}
ol {
  padding-left: 20px;
}
ol > li {
  margin-bottom: 10px;
}
ul {
  margin: 2px 0 0;
  padding-left: 18px;
  font-size: 14px;
}
h2 {
  margin: 16px 0 6px;
}
.warn {
  margin: 2px 0;
}
</style>
