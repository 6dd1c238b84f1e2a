<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { minutesText } from '@/app/minutes'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import JudgementList from '@/ui/JudgementList.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import Wrong from '@/ui/Wrong.vue'
import RepairProgress from './RepairProgress.vue'
import SpotFields from './SpotFields.vue'
import { useRepairPlan, type Repair } from './useRepairs'
import { useRepairKinds } from './useRepairKinds'

/** A spot or a repair: what the metal is like, what that leads to and why, and how far it has come. */
const props = defineProps<{
  value: Repair
  panelId: string
  row: Stored<Repair> | null
  lookAgainOn: string | null
  where: string
}>()
const emit = defineEmits<{ plan: [value: Repair]; bench: [] }>()
const { t } = useI18n()
const { shell } = useState()
/** Before it is planned, what the metal is like is typed here; afterwards at the bench. */
const draft = ref(copyOf(props.value))
const value = computed(() => (props.row ? props.value : draft.value))
const { kindsOf, asKind } = useRepairKinds(() => props.panelId)
const setKind = async (kind: Repair['kind']) => (draft.value = await asKind(draft.value, kind))
const plan = useRepairPlan(() => ({ panelId: props.panelId, value: value.value }))
const result = computed(() => plan.answer.value?.result)
const findings = computed(() => shell.value!.findings.filter((f) => value.value.findingIds.includes(f.id)))
const rows = computed(() => [...(result.value?.advice?.rows ?? []), ...(result.value?.holes?.ways ?? [])])
/** Of several ways to close holes it is enough that one does. */
const look = computed(() => (result.value?.holes ? result.value.holes.way === null : rows.value.some((r) => r.state !== 'good')))
</script>

<template>
  <div class="card" data-testid="repair-card">
    <h2>{{ value.name }}</h2>
    <p class="soft">
      {{ where }}, {{ t(`metal.kind.${value.kind}`) }}<template v-if="row">, {{ t(`metal.state.${value.state}`) }}</template>
    </p>
    <p v-if="findings.length > 0" class="soft">{{ t('metal.mends', { names: findings.map((f) => f.value.name).join(', ') }) }}</p>
    <p v-if="lookAgainOn" class="again">{{ t('metal.lookAgain', { on: lookAgainOn }) }}</p>
    <p v-if="result" class="verdict" :class="{ look }" role="status">
      {{ result.verdict }}
    </p>
    <Wrong :text="plan.wrong.value" />
    <div class="row">
      <Action v-if="row" look="main" @click="emit('bench')">{{ t('metal.toBench') }}</Action>
      <Action v-else look="main" :disabled="!result" @click="emit('plan', draft)">{{ t('metal.planIt') }}</Action>
    </div>
  </div>
  <RepairProgress v-if="row && result" :row="row" :plan="result" />
  <div v-if="!row" class="form">
    <Choice
      class="wide"
      :model-value="draft.kind"
      :label="t('metal.how')"
      :options="kindsOf(draft)"
      @update:model-value="setKind"
    />
    <SpotFields v-if="draft.spot && draft.kind !== 'plug'" v-model="draft.spot" />
  </div>
  <template v-if="result">
    <template v-if="rows.length > 0">
      <h2>{{ t('figures.rules') }}</h2>
      <JudgementList :rows="rows" />
    </template>
    <p v-for="w in plan.answer.value!.warnings" :key="w" class="warn">{{ w }}</p>
    <ul v-if="result.advice" class="cautions">
      <li v-for="c in result.advice.cautions" :key="c.id">{{ c.text }}</li>
    </ul>
    <p class="soft">
      {{ t('metal.takes', { n: result.procedure.steps.length, time: minutesText(result.procedure.work.likely) }) }}
    </p>
    <WorkedSteps :title="value.name" :worked="plan.answer.value" />
  </template>
</template>

<style scoped>
.verdict {
  margin: 8px 0;
  padding: 8px 10px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
  font-weight: 500;
}
.verdict.look {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.again {
  color: var(--rust);
  font-weight: 500;
}
.cautions {
  margin: 0;
  padding-left: 18px;
  font-size: 13.5px;
}
.form {
  grid-template-columns: 1fr 1fr;
}
</style>
