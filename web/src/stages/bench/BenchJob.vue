<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import Explained from '@/ui/Explained.vue'
import { Skeleton } from 'ant-design-vue'
import { useNow, useWakeLock } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import { dateText, momentText } from '@/app/moment'
import { lengthsRead } from '@/app/parseLength'
import { whoHere } from '@/app/person'
import { useState } from '@/app/state'
import { stepNeeds, wantedText } from '@/app/stepText'
import Action from '@/ui/Action.vue'
import LengthInput from '@/ui/LengthInput.vue'
import MaterialTable from '@/ui/MaterialTable.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Switch from '@/ui/Switch.vue'
import TextField from '@/ui/TextField.vue'
import { facingOf } from '@/drawing/facing'
import { holeFields } from '@/stages/openings/holeFields'
import ProblemForm from './ProblemForm.vue'
import { useBenchJob } from './useBenchJob'

/** One step at a time, large, for gloves: what to do, what to read, whether it may go on, and what to lay out for the next one. */
const { t } = useI18n()
const route = useRoute()
const { shell, lengths } = useState()
type Kind = 'opening' | 'repair' | 'replacement' | 'lining'
const kind = () => route.params.kind as Kind
const { job, steps, shown, chosen, typed, verdicts, done, isUnsent, goesOn, refused, takeBack, isTakenBack } = useBenchJob(
  kind,
  () => String(route.params.jobId),
)
const answer = computed(() => job.answer.value)
const isOpen = computed(
  () =>
    shown.value !== null &&
    !isUnsent(shown.value.step.key) &&
    (goesOn.value || shown.value.state === 'ready' || shown.value.state === 'waiting'),
)
const following = computed(() => {
  const at = steps.value.findIndex((s) => s.step.key === shown.value?.step.key)
  return at < 0 ? null : (steps.value[at + 1] ?? null)
})
const said = (h: Schemas['HoldPoint']) => verdicts.answer.value?.find((v) => v.name === h.name)
const isRead = (h: Schemas['HoldPoint']) =>
  h.unit === null
    ? typed.value.seen[h.name] !== undefined
    : h.reads === null
      ? (typed.value.values[h.name] ?? null) !== null
      : Object.values(typed.value.hole).every((mm) => mm !== null)
/** What keeps it from being done, as far as everything was read: what is not read yet asks for no reason. */
const against = computed(
  () =>
    shown.value !== null &&
    shown.value.step.holds.every(isRead) &&
    (shown.value.needsReason || (verdicts.answer.value?.some((v) => !v.isMet) ?? false)),
)
const sides = computed(() => {
  const panel = shell.value?.panels.find((p) => p.id === answer.value?.panelId)
  return panel ? holeFields(facingOf(panel.value)) : []
})

// The wait goes on by the wall clock: by how long it was when the server told it, less what went by since.
const now = useNow({ interval: 1000 })
let toldAt = Date.now()
watch(answer, () => (toldAt = Date.now()))
const leftMinutes = computed(() => {
  const ready = shown.value?.readyAt
  if (!ready || !answer.value) return null
  return Math.max(0, (Date.parse(ready) - Date.parse(answer.value.now) - (now.value.getTime() - toldAt)) / 60_000)
})
watch(leftMinutes, (left, before) => {
  if (left !== 0 || !before) return
  navigator.vibrate?.(500)
  void job.again()
})
const { request } = useWakeLock()
onMounted(() => void request('screen').catch(() => undefined))

const drawing = computed(() => {
  const vehicleId = shell.value!.vehicle.id
  const id = String(route.params.jobId)
  return {
    opening: { name: 'opening', params: { vehicleId, openingId: id, tab: shown.value?.measuresHole ? 'as-cut' : 'mark-out' } },
    repair: { name: 'repair', params: { vehicleId, repairId: id, tab: 'design' } },
    replacement: { name: 'replacement', params: { vehicleId, replacementId: id, tab: 'replace' } },
    lining: { name: 'lining', params: { vehicleId, liningId: id, tab: 'design' } },
  }[kind()]
})
/** A problem that is being written down at the step that is shown. */
const problem = ref<{ key: string; value: Schemas['StepProblem'] } | null>(null)
function report() {
  const value = {
    by: whoHere.value,
    name: '',
    kind: 'openHole',
    severity: 'moderate',
    seen: 'outside',
    notes: '',
    prevention: '',
  } as const
  problem.value = { key: shown.value!.step.key, value: { ...value } }
}
async function finish() {
  if ((await lengthsRead()) && (await done())) document.querySelector('.page')?.scrollTo({ top: 0 })
}
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen">
    <header>
      <RouterLink class="btn" :to="{ name: 'bench', params: { vehicleId: shell.vehicle.id } }">{{ t('bench.all') }}</RouterLink>
      <h1 class="name">{{ answer?.name ?? t('bench.title') }}</h1>
      <div class="sp" />
      <RouterLink class="btn" :to="drawing">{{ t('bench.drawing') }}</RouterLink>
    </header>
    <div class="page" tabindex="0" data-testid="bench-step">
      <p v-if="job.wrong.value && !answer" class="wrong" role="alert">{{ job.wrong.value }}</p>
      <Skeleton v-else-if="!answer" active :title="false" />
      <p v-else-if="answer.missing" class="warn">{{ t('bench.missing', { why: answer.missing }) }}</p>
      <article v-else-if="shown" :class="shown.step.shell">
        <p class="soft">
          {{ t('bench.step', { n: shown.step.number, of: steps.length }) }}, {{ stepNeeds(shown.step) }}
          <b v-if="shown.step.shell !== 'none'" class="change">{{ t(`steps.${shown.step.shell}`) }}</b>
        </p>
        <h2>{{ shown.step.title }}</h2>
        <p class="do"><Explained :text="shown.step.do" /></p>
        <p v-for="c in shown.step.cautions" :key="c.id" class="careful"><Explained :text="c.text" /></p>
        <section v-if="shown.lessons.length > 0" class="learned" data-testid="lessons">
          <b>{{ t('bench.lessons') }}</b>
          <p v-for="(l, i) in shown.lessons" :key="i">
            {{ t('bench.lesson', { what: l.what, prevention: l.prevention, of: l.of, on: dateText(l.on) }) }}
          </p>
        </section>

        <template v-if="shown.done">
          <p class="good">
            {{ t('bench.isDone', { at: momentText(shown.done.at, answer.now), by: shown.done.report.by }) }}
          </p>
          <p v-if="shown.done.report.overruled" class="warn">
            {{ t('bench.overruled', { why: shown.done.report.overruled }) }}
          </p>
          <p v-if="shown.done.report.notes">{{ shown.done.report.notes }}</p>
          <p v-if="shown.since" class="warn">{{ t('bench.since', { text: shown.since }) }}</p>
        </template>
        <p v-else-if="shown.state === 'done'" class="good">{{ t('bench.wasDone') }}</p>
        <p v-else-if="isUnsent(shown.step.key)" class="good">{{ t('bench.queue.kept') }}</p>
        <p v-else-if="shown.why && !goesOn" class="warn" role="status">
          {{ shown.why }}
          <b v-if="leftMinutes !== null">
            {{ t('bench.left', { h: Math.floor(leftMinutes / 60), min: Math.ceil(leftMinutes % 60) }) }}
          </b>
        </p>

        <p v-if="isOpen && shown.notThere && shown.notThere.length > 0" class="warn" data-testid="not-there">
          {{ t('stores.notThereAll', { what: shown.notThere.join(', ') }) }}
        </p>
        <p v-if="shown.gate" :class="shown.needsReason ? 'warn' : 'good'" data-testid="gate">{{ shown.gate }}</p>

        <div v-if="refused" class="learned" role="alert">
          <p class="wrong">{{ t('bench.queue.refused', { why: refused.of.trouble }) }}</p>
          <Action v-if="isOpen && !isTakenBack" @click="takeBack">{{ t('bench.queue.takeBack') }}</Action>
        </div>
        <form v-if="isOpen" @submit.prevent="finish">
          <div v-if="shown.measuresHole" class="form">
            <LengthInput
              v-for="[side, name] in sides"
              :key="side"
              v-model="typed.hole[side]"
              optional
              :label="name"
              :bounds="bounds.AsCut[side]"
            />
          </div>
          <div v-for="h in shown.step.holds" :key="h.name" class="hold" :data-hold="h.name">
            <template v-if="h.reads === null">
              <template v-if="h.unit === null">
                <span class="asked">{{ h.name }}</span>
                <Switch
                  :model-value="typed.seen[h.name] === undefined ? '' : typed.seen[h.name] ? 'yes' : 'no'"
                  :label="h.name"
                  :choices="[
                    { key: 'yes', text: t('bench.yes') },
                    { key: 'no', text: t('bench.no') },
                  ]"
                  @update:model-value="(v) => (typed.seen[h.name] = v === 'yes')"
                />
              </template>
              <LengthInput
                v-else-if="h.unit === 'mm'"
                :model-value="typed.values[h.name] ?? null"
                optional
                :label="`${h.name}: ${wantedText(h, lengths)}`"
                :bounds="bounds.HoldReading.value"
                @update:model-value="(v) => (typed.values[h.name] = v)"
              />
              <NumberInput
                v-else
                :model-value="typed.values[h.name] ?? null"
                :label="`${h.name}: ${wantedText(h, lengths)}`"
                :bounds="bounds.HoldReading.value"
                @update:model-value="(v) => (typed.values[h.name] = v)"
              />
            </template>
            <span v-else class="asked">{{ h.name }}: {{ wantedText(h, lengths) }}</span>
            <p v-if="isRead(h) && said(h) && !said(h)!.isMet" class="wrong" role="status">
              {{ said(h)!.text }} <b>{{ said(h)!.whatNow }}</b>
            </p>
          </div>
          <TextField v-if="against" v-model="typed.overruled" :label="t('bench.whyGoOn')" :most="300" />
          <div class="form">
            <TextField v-model="typed.by" :label="t('bench.who')" :most="80" />
            <NumberInput v-model="typed.minutes" :label="t('bench.minutes')" :bounds="bounds.StepReport.minutes" />
            <TextField v-model="typed.nextTime" class="wide" :label="t('bench.nextTime')" :most="300" />
            <TextField v-model="typed.notes" class="wide" :label="t('bench.notes')" :most="4000" lines />
          </div>
          <div class="act">
            <Action @click="report">{{ t('bench.problem') }}</Action>
            <Action look="main" submit :disabled="against && typed.overruled.trim() === ''">
              {{ against ? t('bench.doneAnyway') : t('bench.done') }}
            </Action>
          </div>
        </form>
        <p v-if="answer.nextKey === null" class="good">{{ t('bench.over') }}</p>
        <section v-if="following && isOpen" class="following">
          <h3>{{ t('bench.then', { title: following.step.title }) }}</h3>
          <p v-if="following.step.tools.length > 0">{{ t('bench.layOut') }}: {{ following.step.tools.join(', ') }}.</p>
          <MaterialTable
            v-if="following.step.consumables.length > 0"
            :used="following.step.consumables"
            :missing="following.notThere"
          />
        </section>
      </article>
    </div>
    <ProblemForm v-if="answer" v-model="problem" :job="answer.job" />
    <aside>
      <h2>{{ t('bench.steps') }}</h2>
      <ol class="all">
        <li v-for="s in steps" :key="s.step.key" :class="s.state">
          <button type="button" :aria-current="s.step.key === shown?.step.key" @click="chosen = s.step.key">
            <span>{{ s.step.number }} {{ s.step.title }}</span>
            <small v-if="isUnsent(s.step.key)">{{ t('bench.notSent') }}</small>
            <small v-else>{{ s.done && s.since ? `${t('bench.state.done')} *` : t(`bench.state.${s.state}`) }}</small>
          </button>
        </li>
      </ol>
      <template v-if="answer && answer.gone.length > 0">
        <h2>{{ t('bench.gone') }}</h2>
        <p v-for="g in answer.gone" :key="g.key">{{ g.title }}, {{ momentText(g.at, answer.now) }}, {{ g.report.by }}</p>
      </template>
    </aside>
  </div>
</template>

<style scoped>
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
article {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 760px;
}
article h2 {
  margin: 0;
  font: 600 26px/1.15 'Barlow Semi Condensed';
}
.do {
  font-size: 19px;
  line-height: 1.4;
}
.careful {
  padding-left: 10px;
  border-left: 4px solid var(--amber);
}
.change {
  padding: 1px 8px;
  border-radius: 3px;
  background: var(--rust);
  color: var(--white);
}
.closes .change {
  background: var(--teal);
}
form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.hold {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 12px;
  padding-top: 10px;
  border-top: 1px solid var(--rule);
}
.asked {
  flex: 1;
  min-width: 180px;
  font-weight: 500;
  font-size: 17px;
}
.hold :deep(.named) {
  flex: 1;
}
.hold .wrong {
  flex-basis: 100%;
  font-size: 15px;
}
.hold :deep(.tabs button) {
  min-width: 84px;
  min-height: 52px;
  border: 1px solid var(--line);
  font-size: 18px;
}
.act {
  display: flex;
  gap: 8px;
  position: sticky;
  /* Down to the edge: the page's own padding would let what is below show under it. */
  bottom: -18px;
  margin-bottom: -18px;
  padding: 8px 0 18px;
  background: var(--primer);
}
.act :deep(.action) {
  flex: 0 0 auto;
  min-width: 110px;
  height: 56px;
  font-size: 19px;
}
.act :deep(.action[type='submit']) {
  flex: 1;
}
.learned {
  padding: 8px 12px;
  background: var(--amber-soft);
}
.learned p {
  margin: 2px 0 0;
}
.good {
  color: var(--teal);
  font-weight: 500;
}
.following {
  padding-top: 12px;
  border-top: 1px solid var(--line);
}
.following h3 {
  margin: 0 0 4px;
}
.all {
  margin: 0;
  padding: 0;
  list-style: none;
}
.all button {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  width: 100%;
  min-height: 40px;
  padding: 6px 8px;
  border: 0;
  border-top: 1px solid var(--rule);
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.all button[aria-current='true'] {
  background: var(--hover);
  font-weight: 600;
}
.all .done small {
  color: var(--teal);
}
.all small {
  color: var(--soft);
}
/* A phone scrolls as a whole: the action stands at its foot, and the head in one row. */
@media (max-width: 560px) {
  header {
    flex-wrap: nowrap;
  }
  .name {
    flex: 1;
    min-width: 0;
    font-size: 18px;
  }
  .sp {
    display: none;
  }
  .act {
    position: fixed;
    bottom: 0;
    left: 0;
    right: 0;
    z-index: 2;
    margin: 0;
    padding: 8px 12px;
  }
  article {
    padding-bottom: 80px;
  }
}
</style>
