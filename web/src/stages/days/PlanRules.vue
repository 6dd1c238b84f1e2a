<script setup lang="ts">
import { Collapse, CollapsePanel } from 'ant-design-vue'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { useDraft } from '@/app/drafts'
import Action from '@/ui/Action.vue'
import Dialogue from '@/ui/Dialogue.vue'
import TextField from '@/ui/TextField.vue'
import type { usePlan } from './usePlan'

/** Which job comes after which, by the trade; one rule may be overruled, with a reason. */
const props = defineProps<{ of: Schemas['PlanOfVehicle']; plan: ReturnType<typeof usePlan> }>()
const { t } = useI18n()
const edited = ref<{ rule: Schemas['RuleLine']; reason: string } | null>(null)
const isTyped = useDraft({
  kind: () => 'overrule',
  typed: () => edited.value,
  what: () => t('app.draft.overrule'),
  take: (draft) => (edited.value = draft),
})
async function keep() {
  const { rule, reason } = edited.value!
  if (await props.plan.overrule(props.of, rule, reason)) edited.value = null
}
</script>

<template>
  <Collapse v-if="of.rules.length > 0 || of.overruled.length > 0" ghost>
    <CollapsePanel key="rules" :header="t('days.plan.rules', of.rules.length)">
      <ul>
        <li v-for="r in of.rules" :key="r.rule">
          <span>{{ r.rule }}</span>
          <Action look="plain" @click="edited = { rule: r, reason: '' }">{{ t('days.plan.overrule') }}</Action>
        </li>
      </ul>
    </CollapsePanel>
  </Collapse>
  <ul v-if="of.overruled.length > 0" class="overruled">
    <li v-for="o in of.overruled" :key="o.rule">
      <span
        ><s>{{ o.rule }}</s> {{ o.overruled.reason }}</span
      >
      <Action look="plain" @click="plan.restore(of, o)">{{ t('days.plan.restore') }}</Action>
    </li>
  </ul>
  <Dialogue v-if="edited" :title="t('days.plan.overruleTitle')" :is-typed="isTyped" @save="keep" @close="edited = null">
    <p class="wide">{{ edited.rule.rule }}</p>
    <TextField v-model="edited.reason" class="wide" :label="t('days.plan.reason')" :most="300" />
  </Dialogue>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  padding: 4px 0;
  border-top: 1px solid var(--line);
  font-size: 14px;
}
</style>
