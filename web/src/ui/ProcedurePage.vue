<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { minutesText } from '@/app/minutes'
import { useState } from '@/app/state'
import Choice from './Choice.vue'
import MaterialTable from './MaterialTable.vue'
import StepList from './StepList.vue'

/** A procedure to read through before the first cut: its steps, time, tools and what is used up; to print. How far it has come stands in the slot. */
const props = defineProps<{
  procedure: Schemas['Procedure']
  warnings: readonly string[]
  /** Address of the printed steps. */
  print: string
  /** Whether what is shown is not saved yet. */
  changed: boolean
}>()
const { t } = useI18n()
const { lengths } = useState()
const papers = ['a4', 'a3', 'letter'] as const
const paper = ref<(typeof papers)[number]>(lengths.value.units === 'inch' ? 'letter' : 'a4')
const range = (m: Schemas['Minutes']) =>
  t('steps.span', { quick: minutesText(m.quick), slow: minutesText(m.slow), likely: minutesText(m.likely) })
const address = () => `${props.print}?paper=${paper.value}`
</script>

<template>
  <div class="page" tabindex="0">
    <StepList :steps="procedure.steps" />
  </div>
  <aside>
    <slot />
    <p v-for="w in warnings" :key="w" class="warn">{{ w }}</p>
    <table class="figures" data-testid="times">
      <tbody>
        <tr>
          <td>{{ t('steps.work') }}</td>
          <td class="n">{{ range(procedure.work) }}</td>
        </tr>
        <tr v-if="procedure.openMinutes.slow > 0">
          <td>{{ t('steps.open') }}</td>
          <td class="n">
            <b>{{ range(procedure.openMinutes) }}</b>
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
      <a class="btn main" :href="address()" download>{{ t('steps.print') }}</a>
    </div>
    <div class="card">
      <h2>{{ t('steps.tools') }}</h2>
      <p>{{ procedure.tools.join(', ') }}</p>
    </div>
    <div v-if="procedure.consumables.length > 0" class="card">
      <h2>{{ t('steps.consumables') }}</h2>
      <MaterialTable :used="procedure.consumables" />
    </div>
  </aside>
</template>
