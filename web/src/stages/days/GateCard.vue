<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { momentText } from '@/app/moment'
import { useState } from '@/app/state'
import StateMark from '@/ui/StateMark.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import RiskChart from './RiskChart.vue'
import RunBars from './RunBars.vue'
import { useRisk, type JobGate } from './useDays'

/** A job that opens the shell: may it be begun, until when, and how would it go. */
const props = defineProps<{ gate: JobGate; now: string; open: boolean }>()
const emit = defineEmits<{ choose: [] }>()
const { t } = useI18n()
const { shell } = useState()
const mark = computed(() => (props.gate.state === 'go' ? 'good' : props.gate.state === 'notToday' ? 'blocked' : 'needsWork'))
const result = computed(() => props.gate.gate?.result ?? null)
const risk = useRisk(() => (props.open && props.gate.gate ? props.gate : null))
const moment = (at: string) => momentText(at, props.now)
const toJob = computed(() => ({
  name: props.gate.job.kind === 'opening' ? 'opening' : 'repair',
  params: {
    vehicleId: shell.value!.vehicle.id,
    ...(props.gate.job.kind === 'opening'
      ? { openingId: props.gate.job.id, tab: 'steps' }
      : { repairId: props.gate.job.id, tab: 'steps' }),
  },
}))
</script>

<template>
  <article :class="{ open }" :data-job="gate.name">
    <button class="head" type="button" :aria-expanded="open" @click="emit('choose')">
      <StateMark :state="mark" />
      <b>{{ gate.name }}</b>
      <span class="state">{{ t(`days.state.${gate.state ?? 'none'}`) }}</span>
      <span class="headline">{{ gate.headline }}</span>
    </button>
    <div v-if="open" class="more">
      <template v-if="result">
        <h3>{{ t('days.when') }}</h3>
        <ul v-if="result.windows.length > 0" class="windows">
          <li v-for="w in result.windows" :key="w.from">
            {{ t('days.window', { from: moment(w.from), until: momentText(w.until, w.from) }) }}
          </li>
        </ul>
        <p v-else class="soft">{{ t('days.noWindow') }}</p>
        <template v-if="result.run">
          <h3>{{ t('days.run') }}</h3>
          <RunBars :run="result.run" :now="now" />
        </template>
        <template v-if="risk.answer.value">
          <h3>{{ t('days.risk') }}</h3>
          <RiskChart :curve="risk.answer.value.result" :now="now" />
          <p class="soft">{{ t('days.riskMore') }}</p>
        </template>
        <p v-else-if="risk.wrong.value" class="soft">{{ risk.wrong.value }}</p>
        <p v-for="w in gate.gate!.warnings" :key="w" class="warn">{{ w }}</p>
      </template>
      <div class="row">
        <RouterLink class="btn" :to="toJob">{{ t('days.toJob') }}</RouterLink>
        <WorkedSteps v-if="gate.gate" :title="gate.name" :worked="gate.gate" />
      </div>
    </div>
  </article>
</template>

<style scoped>
article {
  border-top: 1px solid var(--rule);
}
article.open {
  background: var(--paper);
}
.head {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr) auto;
  gap: 2px 8px;
  align-items: center;
  width: 100%;
  min-height: 52px;
  padding: 8px 12px;
  border: 0;
  background: none;
  color: var(--ink);
  font: 400 14.5px 'Source Sans 3';
  text-align: left;
  cursor: pointer;
}
.head b {
  font-weight: 600;
}
.state {
  color: var(--label);
  font-weight: 600;
}
.headline {
  grid-column: 2 / 4;
  color: var(--label);
  line-height: 1.35;
}
.more {
  padding: 0 12px 12px 42px;
}
h3 {
  margin: 12px 0 4px;
  font-size: 14px;
}
.windows {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.windows li {
  padding: 4px 10px;
  background: var(--teal-soft);
  font: 600 14px 'Source Sans 3';
}
</style>
