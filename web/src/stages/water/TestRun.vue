<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { useKeys } from '@/app/keys'
import type { usePanelRecord } from '@/app/usePanelRecord'
import { whoHere } from '@/app/person'

/** A water test while it is being made: what to do, a timer for spraying and waiting, and two keys for the result. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Schemas['Observation']>> }>()
const test = defineModel<Schemas['PlannedTest'] | null>({ required: true })
/** When it was started, ms since 1970: kept with the test, which a phone that fell asleep must find again. */
const startedAt = defineModel<number | null>('startedAt', { required: true })
const { t } = useI18n()
const now = ref(Date.now())
const saving = ref(false)
const { add, wrong: trouble } = props.record
useIntervalFn(() => (now.value = Date.now()), 500)
watch(test, () => {
  trouble.value = ''
})
const goneMinutes = computed(() => (startedAt.value === null ? 0 : (now.value - startedAt.value) / 60_000))
const spray = computed(() => test.value?.spray.minutes ?? 0)
const wait = computed(() => test.value?.waitMinutes ?? 0)
const phase = computed(() =>
  startedAt.value === null
    ? 'ready'
    : goneMinutes.value < spray.value
      ? 'spray'
      : goneMinutes.value < spray.value + wait.value
        ? 'wait'
        : 'over',
)
const left = computed(() => {
  const until =
    phase.value === 'ready'
      ? spray.value
      : phase.value === 'spray'
        ? spray.value - goneMinutes.value
        : spray.value + wait.value - goneMinutes.value
  const seconds = Math.max(0, Math.ceil(until * 60))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
})
function start() {
  now.value = Date.now()
  startedAt.value = now.value
}
async function result(wet: boolean) {
  if (!test.value || saving.value) return
  saving.value = true
  // A test that was stopped early wetted for less time, and tells less.
  const minutes = startedAt.value === null ? spray.value : Math.min(spray.value, Math.max(0.5, goneMinutes.value))
  const kept = await add(test.value.watchPanelId, {
    kind: 'waterTest',
    place: test.value.watchPlace,
    seenAt: new Date().toISOString(),
    wet,
    moisturePercent: null,
    wind: null,
    attitude: null,
    spray: { ...test.value.spray, minutes: Math.round(minutes * 10) / 10 },
    afterMinutes: wet && startedAt.value !== null ? Math.round(goneMinutes.value * 10) / 10 : null,
    seenBy: whoHere.value,
    notes: '',
  })
  saving.value = false
  if (kept) test.value = null
}
useKeys((event) => {
  if (!test.value) return false
  if (event.key === 'w') void result(true)
  else if (event.key === 'd') void result(false)
  else return false
  return true
})
</script>

<template>
  <Modal :open="test !== null" :title="test?.test.name" :footer="null" destroy-on-close @cancel="test = null">
    <div v-if="test" class="run">
      <ol>
        <li v-for="(line, i) in test.instructions" :key="i">{{ line }}</li>
      </ol>
      <div class="clock" :class="phase" role="timer" :aria-label="t(`leaks.phases.${phase}`)">
        <span>{{ t(`leaks.phases.${phase}`) }}</span>
        <b>{{ left }}</b>
      </div>
      <button v-if="phase === 'ready'" class="btn big" type="button" @click="start">{{ t('leaks.start') }}</button>
      <p class="watch">{{ t('leaks.ask', { watch: test.watch }) }}</p>
      <div class="keys">
        <button class="btn big wet" type="button" :disabled="saving" @click="result(true)">{{ t('leaks.wet') }}</button>
        <button class="btn big" type="button" :disabled="saving" @click="result(false)">{{ t('leaks.dry') }}</button>
      </div>
      <p v-if="phase === 'spray' || phase === 'wait'" class="soft">{{ t('leaks.early') }}</p>
      <p v-if="phase === 'ready'" class="soft">{{ t('leaks.without') }}</p>
      <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    </div>
  </Modal>
</template>

<style scoped>
.run {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
ol {
  margin: 0;
  padding-left: 22px;
  font-size: 15.5px;
  line-height: 1.45;
}
.clock {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  padding: 10px 14px;
  background: var(--night);
  color: var(--white);
}
.clock b {
  font: 600 44px/1 'Barlow Semi Condensed';
}
.clock.wait {
  background: var(--badge);
}
.clock.over {
  background: var(--teal);
}
.watch {
  font: 600 17px 'Source Sans 3';
}
.big {
  min-height: 60px;
  font-size: 19px;
}
.keys {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.wet {
  background: var(--water);
  border-color: var(--water);
  color: var(--white);
}
.wet:hover {
  background: var(--water-deep);
}
</style>
