<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { minutesText } from '@/app/minutes'
import { said, useState } from '@/app/state'
import MaterialTable from '@/ui/MaterialTable.vue'
import StepList from '@/ui/StepList.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import Choice from '@/ui/Choice.vue'
import type { OpeningWork } from './useOpening'

/** What is done, in order, with the figures of this opening: to read through before the first cut, and to print. */
const props = defineProps<{ work: OpeningWork }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const answer = shallowRef<Schemas['WorkedOfProcedure'] | null>(null)
const trouble = ref('')
const paper = ref<'a4' | 'a3' | 'letter'>(lengths.value.units === 'inch' ? 'letter' : 'a4')
const path = computed(() => ({ vehicleId: shell.value!.vehicle.id, id: props.work.row!.id }))
const sheet = (name: string) => `/api/vehicles/${path.value.vehicleId}/openings/${path.value.id}/${name}?paper=${paper.value}`
watch(
  () => `${props.work.row!.id} ${props.work.row!.version} ${JSON.stringify(props.work.site)}`,
  async () => {
    try {
      answer.value = await got(api.GET('/api/vehicles/{vehicleId}/openings/{id}/steps', { params: { path: path.value } }))
      trouble.value = ''
    } catch (e) {
      ;[answer.value, trouble.value] = [null, said(e)]
    }
  },
  { immediate: true },
)
const p = computed(() => answer.value?.result)
const range = (m: Schemas['Minutes']) =>
  t('steps.span', { quick: minutesText(m.quick), slow: minutesText(m.slow), likely: minutesText(m.likely) })
</script>

<template>
  <Waiting v-if="!p" :wrong="trouble" />
  <!-- Nothing in it takes the focus, so it takes it itself to be scrolled by keyboard. -->
  <div v-else class="page" tabindex="0">
    <StepList :steps="p.steps" />
  </div>
  <aside>
    <p v-if="work.moved" class="warn">{{ t('markOut.unsaved') }}</p>
    <template v-if="p">
      <table class="figures" data-testid="times">
        <tbody>
          <tr>
            <td>{{ t('steps.work') }}</td>
            <td class="n">{{ range(p.work) }}</td>
          </tr>
          <tr>
            <td>{{ t('steps.open') }}</td>
            <td class="n">
              <b>{{ range(p.openMinutes) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <div class="card">
        <h2>{{ t('markOut.print') }}</h2>
        <Choice
          v-model="paper"
          :label="t('markOut.paper')"
          :options="(['a4', 'a3', 'letter'] as const).map((size) => ({ value: size, text: t(`markOut.papers.${size}`) }))"
        />
        <div class="row">
          <a class="btn main" :href="sheet('steps.pdf')" download>{{ t('steps.print') }}</a>
          <a v-if="work.fitting!.clamp" class="btn" :href="sheet('frame.pdf')" download>{{ t('steps.printFrame') }}</a>
        </div>
      </div>
      <div class="card">
        <h2>{{ t('steps.tools') }}</h2>
        <p>{{ p.tools.join(', ') }}</p>
      </div>
      <div class="card">
        <h2>{{ t('steps.consumables') }}</h2>
        <MaterialTable :used="p.consumables" />
      </div>
      <WorkedSteps :title="t('openings.tab.steps')" :worked="answer" />
    </template>
  </aside>
</template>
