<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Alert, Empty, Skeleton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { momentText } from '@/app/moment'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import DaysTabs from './DaysTabs.vue'
import OwnTaskForm from './OwnTaskForm.vue'
import PeopleCard from './PeopleCard.vue'
import PlanBoard from './PlanBoard.vue'
import PlanRules from './PlanRules.vue'
import PlanTask from './PlanTask.vue'
import { leftOut } from './planDays'
import { useDays } from './useDays'
import { keyText, usePlan, type OwnTask, type TaskKey } from './usePlan'

/** In which order over which days does everything fit? */
const { t } = useI18n()
const { shell } = useState()
const stage = useDays()
const plan = usePlan()
const of = computed(() => plan.plan.answer.value)
const days = computed(() => stage.days.answer.value)
const chosenKey = ref<TaskKey | null>(null)
const chosen = computed(() => {
  const key = chosenKey.value
  return (key && of.value?.lines.find((l) => keyText(l.key) === keyText(key))) ?? null
})
const people = computed(() => {
  const named = days.value?.people.map((p) => p.value.name) ?? []
  const planned = of.value?.lines.flatMap((l) => l.kept?.hands.map((h) => h.name) ?? []) ?? []
  return [...new Set([...named, ...planned])]
})
const left = computed(() => leftOut(of.value?.lines ?? []))
const isPlanned = computed(() => of.value?.madeAt !== null)
const edited = ref<{ row: Stored<OwnTask> | null; value: OwnTask } | null>(null)
const begin = () =>
  (edited.value = {
    row: null,
    value: {
      name: '',
      minutes: 60,
      people: 1,
      place: 'outside',
      dry: false,
      windBelowMs: null,
      notBefore: null,
      until: null,
      isDone: false,
    },
  })
const moved = computed(() =>
  (of.value?.moves ?? []).map((m) => ({
    ...m,
    line: of.value!.lines.find((l) => keyText(l.key) === keyText(m.task)),
  })),
)
const base = computed(() => `/api/vehicles/${shell.value!.vehicle.id}/plan`)
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="plan.plan.wrong.value && !of" class="empty" role="alert">
    <h2>{{ plan.plan.wrong.value }}</h2>
    <Action look="main" @click="plan.plan.again()">{{ t('app.tryAgain') }}</Action>
  </div>
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('days.title') }}</h1>
      <DaysTabs on="plan" />
      <div class="sp" />
      <a v-if="isPlanned" class="btn" :href="`${base}/calendar.ics`" download>{{ t('days.plan.calendar') }}</a>
      <Action v-if="plan.stopping.value" @click="plan.stop()">{{ t('app.cancel') }}</Action>
      <Action
        :look="!isPlanned || of?.needsPlanning ? 'main' : undefined"
        :busy="plan.stopping.value !== null"
        :disabled="!of || of.lines.length === 0"
        @click="plan.make(null, null)"
      >
        {{ isPlanned ? t('days.plan.again') : t('days.plan.make') }}
      </Action>
    </header>
    <div class="page" tabindex="0" data-testid="plan">
      <Skeleton v-if="!of || !days" active :title="false" />
      <template v-else>
        <p class="verdict" data-testid="plan-verdict">
          {{ of.verdict }}
          <span v-if="of.madeAt" class="soft">{{ t('days.plan.madeAt', { at: momentText(of.madeAt, of.now) }) }}</span>
        </p>
        <Alert
          v-if="plan.clash.value"
          type="error"
          :message="plan.clash.value.verdict"
          closable
          data-testid="plan-clash"
          @close="plan.clash.value = null"
        >
          <template #description>
            <p v-if="plan.clash.value.clash?.waysOut.length">{{ t('days.plan.waysOut') }}</p>
            <ul>
              <li v-for="way in plan.clash.value.clash?.waysOut ?? []" :key="way">{{ way }}</li>
            </ul>
          </template>
        </Alert>
        <p v-for="w in of.warnings" :key="w" class="warn">{{ w }}</p>
        <p v-if="of.needsPlanning" class="warn" role="status">{{ t('days.plan.stale') }}</p>
        <Empty
          v-if="of.lines.every((l) => !l.kept)"
          :image="Empty.PRESENTED_IMAGE_SIMPLE"
          :description="of.lines.length === 0 ? t('days.plan.nothing') : t('days.plan.none', of.lines.length)"
        >
          <p>{{ t('days.plan.noneMore') }}</p>
        </Empty>
        <PlanBoard
          v-else
          :lines="of.lines"
          :hours="days.forecast?.hours ?? []"
          :people="people"
          :now="of.now"
          :chosen="chosenKey"
          :starts="plan.starts"
          @choose="(key) => (chosenKey = key)"
          @move="(key, at) => plan.mark(of!, key, 'fixed', at)"
        />
        <section v-if="left.length > 0" data-testid="left-out">
          <h2>{{ t('days.plan.leftOut') }}</h2>
          <ul>
            <li v-for="l in left" :key="l.name + l.why">
              <b>{{ l.name }}</b> <span class="soft">{{ t('days.plan.tasks', l.count) }}</span> {{ l.why }}
            </li>
          </ul>
        </section>
        <section v-if="moved.length > 0" data-testid="moved">
          <h2>{{ t('days.plan.moved') }}</h2>
          <ul>
            <li v-for="m in moved" :key="keyText(m.task)">
              <template v-if="m.line?.kept">
                {{ m.line.title }}: {{ momentText(m.before, of.now) }} → {{ momentText(m.line.kept.from, of.now) }}. {{ m.why }}
              </template>
            </li>
          </ul>
        </section>
        <section v-if="of.without.length > 0">
          <h2>{{ t('days.plan.without') }}</h2>
          <ul>
            <li v-for="w in of.without" :key="w.job.id">
              <b>{{ w.name }}</b> {{ w.why }}
            </li>
          </ul>
        </section>
        <PlanRules :of="of" :plan="plan" />
      </template>
    </div>
    <aside>
      <Skeleton v-if="!of || !days" active :title="false" />
      <template v-else>
        <PlanTask v-if="chosen" :line="chosen" :now="of.now" :plan="plan" />
        <p v-else class="soft">{{ t('days.plan.choose') }}</p>
        <h2>{{ t('days.plan.ownList') }}</h2>
        <ul class="own">
          <li v-for="o in of.own" :key="o.id">
            <button class="btn plain" type="button" @click="edited = { row: o, value: copyOf(o.value) }">
              <b>{{ o.value.name }}</b>
              <span v-if="o.value.isDone" class="soft">{{ t('days.plan.isDone') }}</span>
            </button>
          </li>
        </ul>
        <Action @click="begin">{{ t('days.plan.addOwn') }}</Action>
        <PeopleCard :people="days.people" :care="days.care" :stage="stage" />
      </template>
    </aside>
    <OwnTaskForm v-model="edited" :plan="plan" />
  </div>
</template>

<style scoped>
.page {
  padding: 12px 24px 24px;
  overflow: auto;
}
.verdict {
  margin: 0 0 10px;
  font-weight: 600;
}
h2 {
  margin: 18px 0 6px;
}
ul {
  margin: 0;
  padding-left: 18px;
  font-size: 14px;
}
.own {
  padding: 0;
  list-style: none;
}
</style>
