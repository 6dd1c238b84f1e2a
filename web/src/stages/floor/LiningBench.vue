<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import type { Panel, Stored } from '@/api/client'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import { useBench } from '@/app/useBench'
import Action from '@/ui/Action.vue'
import BenchHead from '@/ui/BenchHead.vue'
import ProcedurePage from '@/ui/ProcedurePage.vue'
import LiningBoards from './LiningBoards.vue'
import LiningDesign from './LiningDesign.vue'
import { useLiningJob, useLinings, type Lining } from './useLinings'

/** One lining: where it lies, its boards with their holes, and how it is made. */
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell } = useState()
const { save, remove } = useLinings()
const tabs = ['design', 'sheets', 'steps'] as const
const tab = computed(() => route.params.tab as (typeof tabs)[number])
const row = computed(() => shell.value?.floor.linings.find((l) => l.id === route.params.liningId) as Stored<Lining> | undefined)
const panel = computed(() => shell.value?.panels.find((p) => p.id === row.value?.ownerId)?.value as Panel | undefined)
const { draft, isChanged, undo } = useBench<Lining>(
  () => row.value,
  'lining',
  () => t('lining.draft'),
)
const job = useLiningJob(() => (row.value && draft.value ? { panelId: row.value.ownerId!, value: draft.value } : null))
const toList = computed(() => ({ name: 'linings', params: { vehicleId: shell.value!.vehicle.id } }))
async function keep() {
  if (await lengthsRead()) await save(row.value!, draft.value!)
}
async function drop() {
  await remove(row.value!)
  await router.push(toList.value)
}
/** What must be put right before anything is hidden: until then it is neither sawn nor up. */
const stopped = computed(() => job.answer.value?.result.plan.rows.find((r) => r.state === 'blocked'))
const to = (state: Lining['state']) => save(row.value!, { ...row.value!.value, state })
const print = (what: string) => `/api/vehicles/${shell.value!.vehicle.id}/linings/${row.value!.id}/${what}`
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else-if="!row || !panel || !draft" class="empty">
    <h2>{{ t('lining.gone') }}</h2>
    <RouterLink class="btn" :to="toList">{{ t('lining.title') }}</RouterLink>
  </div>
  <div v-else class="screen">
    <BenchHead
      :name="row.value.name"
      :back="toList"
      :back-label="t('lining.title')"
      :tabs="tabs.map((key) => ({ key, text: t(`lining.tab.${key}`) }))"
      :tab="tab"
      :changed="isChanged"
      :remove-sure="t('lining.removeSure', { name: row.value.name })"
      @save="keep"
      @undo="undo"
      @remove="drop"
    />
    <LiningDesign
      v-if="tab === 'design'"
      :key="row.id"
      v-model="draft"
      :panel="panel"
      :panel-id="row.ownerId!"
      :job="job.answer.value"
      :wrong="job.wrong.value"
    />
    <LiningBoards
      v-else-if="tab === 'sheets' && job.answer.value"
      :panel="panel"
      :job="job.answer.value.result"
      :changed="isChanged"
      :print="print"
    />
    <ProcedurePage
      v-else-if="tab === 'steps' && job.answer.value"
      :procedure="job.answer.value.result.procedure"
      :warnings="job.answer.value.warnings"
      :print="print('steps.pdf')"
      :changed="isChanged"
    >
      <div class="card" data-testid="progress">
        <p>{{ t(`lining.state.${row.value.state}`) }}</p>
        <p v-if="stopped" class="warn">{{ stopped.title }}. {{ stopped.remedy }}</p>
        <div class="row">
          <Action v-if="row.value.state === 'planned'" :disabled="stopped !== undefined" @click="to('cut')">{{
            t('lining.sawn')
          }}</Action>
          <Action v-if="row.value.state !== 'fixed'" :disabled="stopped !== undefined" @click="to('fixed')">{{
            t('lining.isUp')
          }}</Action>
          <Action v-if="row.value.state !== 'planned'" look="plain" @click="to('planned')">{{ t('lining.notUp') }}</Action>
        </div>
      </div>
    </ProcedurePage>
    <Waiting v-else :wrong="job.wrong.value" />
  </div>
</template>
