<script setup lang="ts">
import { DatePicker } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas, Stored } from '@/api/client'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import ProcedurePage from '@/ui/ProcedurePage.vue'
import { useFloor, type Replacement } from './useFloor'

/** What is done, in order, with the figures of this replacement, and how far it has come. */
const props = defineProps<{ row: Stored<Replacement>; job: Schemas['WorkedOfFloorJob']; changed: boolean }>()
const { t } = useI18n()
const { shell } = useState()
const { save } = useFloor()
const state = computed(() => props.row.value.state)
const on = ref(props.row.value.doneOn ?? new Date().toLocaleDateString('sv'))
const to = (next: Replacement['state']) =>
  save(props.row, { ...props.row.value, state: next, doneOn: next === 'done' ? on.value : null })
</script>

<template>
  <ProcedurePage
    :procedure="job.result.procedure"
    :warnings="job.warnings"
    :print="`/api/vehicles/${shell!.vehicle.id}/replacements/${row.id}/steps.pdf`"
    :changed="changed"
  >
    <div class="card" data-testid="progress">
      <div class="row">
        <Action v-if="state === 'planned'" @click="to('doing')">{{ t('floor.begin') }}</Action>
        <template v-if="state !== 'done'">
          <DatePicker v-model:value="on" value-format="YYYY-MM-DD" :allow-clear="false" :aria-label="t('floor.doneOn')" />
          <Action @click="to('done')">{{ t('floor.isDone') }}</Action>
        </template>
        <template v-else>
          <span>{{ t('floor.was', { on: row.value.doneOn }) }}</span>
          <Action look="plain" @click="to('planned')">{{ t('floor.again') }}</Action>
        </template>
      </div>
    </div>
  </ProcedurePage>
</template>
