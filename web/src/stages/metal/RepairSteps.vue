<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas, Stored } from '@/api/client'
import { minutesText } from '@/app/minutes'
import { useState } from '@/app/state'
import Choice from '@/ui/Choice.vue'
import MaterialTable from '@/ui/MaterialTable.vue'
import StepList from '@/ui/StepList.vue'
import RepairProgress from './RepairProgress.vue'
import type { Repair } from './useRepairs'

/** What is done, in order, with the figures of this repair: to read through before the first cut, and to print. */
const props = defineProps<{ row: Stored<Repair>; plan: Schemas['WorkedOfRepairPlan']; changed: boolean }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const papers = ['a4', 'a3', 'letter'] as const
const paper = ref<(typeof papers)[number]>(lengths.value.units === 'inch' ? 'letter' : 'a4')
const range = (m: Schemas['Minutes']) =>
  t('steps.span', { quick: minutesText(m.quick), slow: minutesText(m.slow), likely: minutesText(m.likely) })
const print = () => `/api/vehicles/${shell.value!.vehicle.id}/repairs/${props.row.id}/steps.pdf?paper=${paper.value}`
</script>

<template>
  <div class="page" tabindex="0">
    <StepList :steps="plan.result.procedure.steps" />
  </div>
  <aside>
    <RepairProgress :row="row" :plan="plan.result" />
    <p v-for="w in plan.warnings" :key="w" class="warn">{{ w }}</p>
    <table class="figures" data-testid="times">
      <tbody>
        <tr>
          <td>{{ t('steps.work') }}</td>
          <td class="n">{{ range(plan.result.procedure.work) }}</td>
        </tr>
        <tr v-if="plan.result.procedure.openMinutes.slow > 0">
          <td>{{ t('steps.open') }}</td>
          <td class="n">
            <b>{{ range(plan.result.procedure.openMinutes) }}</b>
          </td>
        </tr>
      </tbody>
    </table>
    <div class="card">
      <h2>{{ t('metal.print') }}</h2>
      <p v-if="changed" class="warn">{{ t('metal.printsSaved') }}</p>
      <Choice
        v-model="paper"
        :label="t('markOut.paper')"
        :options="papers.map((p) => ({ value: p, text: t(`markOut.papers.${p}`) }))"
      />
      <a class="btn main" :href="print()" download>{{ t('steps.print') }}</a>
    </div>
    <div class="card">
      <h2>{{ t('steps.tools') }}</h2>
      <p>{{ plan.result.procedure.tools.join(', ') }}</p>
    </div>
    <div v-if="plan.result.procedure.consumables.length > 0" class="card">
      <h2>{{ t('steps.consumables') }}</h2>
      <MaterialTable :used="plan.result.procedure.consumables" />
    </div>
  </aside>
</template>
