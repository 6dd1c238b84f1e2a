<script setup lang="ts">
import { DatePicker } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Stored } from '@/api/client'
import Action from '@/ui/Action.vue'
import { useRepairs, type Repair, type RepairPlan } from './useRepairs'

/** How far a repair has come: begun, done on a day, watched, or planned again; what a licensed workshop has to repair is watched, not done. */
const props = defineProps<{
  row: Stored<Repair>
  plan: RepairPlan
}>()
const { t } = useI18n()
const { save } = useRepairs()
const state = computed(() => props.row.value.state)
const on = ref(props.row.value.doneOn ?? new Date().toLocaleDateString('sv'))
const to = (next: Repair['state']) =>
  save(props.row, {
    ...props.row.value,
    state: next,
    doneOn: next === 'done' || next === 'watch' ? on.value : null,
  })
</script>

<template>
  <div class="card" data-testid="progress">
    <div class="row">
      <Action v-if="state === 'planned'" @click="to('doing')">{{ t('metal.begin') }}</Action>
      <template v-if="state === 'planned' || state === 'doing'">
        <DatePicker v-model:value="on" value-format="YYYY-MM-DD" :allow-clear="false" :aria-label="t('metal.doneOn')" />
        <Action v-if="!plan.isForWorkshop" @click="to('done')">{{ t('metal.isDone') }}</Action>
        <Action look="plain" @click="to('watch')">{{ t('metal.watchIt') }}</Action>
      </template>
      <template v-else>
        <span>{{ t('metal.was', { on: row.value.doneOn }) }}</span>
        <Action look="plain" @click="to('planned')">{{ t('metal.again') }}</Action>
      </template>
    </div>
    <p v-if="plan.isForWorkshop" class="warn">{{ t('metal.protects') }}</p>
    <p v-if="state === 'doing' && plan.opens" class="soft">{{ t('metal.doingMore') }}</p>
    <p v-if="state === 'done' && row.value.kind === 'windowOut'" class="soft">{{ t('metal.windowOut') }}</p>
    <p v-if="state === 'done' && plan.seals" class="soft">{{ t('metal.testIt') }}</p>
  </div>
</template>
