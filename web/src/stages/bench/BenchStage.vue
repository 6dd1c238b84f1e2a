<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Skeleton } from 'ant-design-vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { ofVehicle } from '@/api/cache'
import { api, got } from '@/api/client'
import { clockText, dayText } from '@/app/moment'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

/** What can be gone on with: each job with its next step, those first where the shell stands open. */
const { t } = useI18n()
const { shell } = useState()
const list = useAnswer(
  () => shell.value && ofVehicle(shell.value.vehicle.id, 'bench'),
  ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/bench', { params: { path: { vehicleId } }, signal })),
)
const jobs = computed(() => list.answer.value)
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen whole">
    <header>
      <h1 class="of-stage">{{ t('bench.title') }}</h1>
    </header>
    <div class="page" tabindex="0" data-testid="bench">
      <p v-if="list.wrong.value" class="wrong" role="alert">{{ list.wrong.value }}</p>
      <Skeleton v-else-if="!jobs" active :title="false" />
      <Empty v-else-if="jobs.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('bench.none')">
        <p>{{ t('bench.noneMore') }}</p>
      </Empty>
      <ul v-else class="jobs">
        <li v-for="j in jobs" :key="j.job.id" :class="{ hole: j.isOpen }">
          <RouterLink
            :to="{ name: 'bench-job', params: { vehicleId: shell.vehicle.id, kind: j.job.kind, jobId: j.job.id } }"
            class="to"
          >
            <b>{{ j.name }}</b>
            <span v-if="j.isOpen" class="mark">{{ t('bench.open') }}</span>
            <span v-if="j.missing" class="soft">{{ t('bench.missing', { why: j.missing }) }}</span>
            <template v-else>
              <span class="then">
                {{ j.next }}
                <span v-if="j.state === 'waiting' && j.readyAt" class="soft">
                  {{ t('bench.ready', { at: `${dayText(j.readyAt)} ${clockText(j.readyAt)}` }) }}
                </span>
              </span>
              <span class="soft">{{ t('bench.count', { done: j.done, of: j.steps }) }}</span>
              <span class="bar" aria-hidden="true"><i :style="{ width: `${(100 * j.done) / Math.max(1, j.steps)}%` }" /></span>
            </template>
          </RouterLink>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.whole .page {
  grid-column: 1 / -1;
}
.jobs {
  max-width: 900px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.to {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  min-height: 56px;
  padding: 10px 12px;
  border-top: 1px solid var(--rule);
  border-left: 4px solid transparent;
  color: var(--ink);
  text-decoration: none;
}
.to:hover {
  background: var(--hover);
}
.hole .to {
  border-left-color: var(--rust);
}
.to b {
  font: 600 16px 'Source Sans 3';
}
.to .soft:not(.then .soft) {
  text-align: right;
}
.mark {
  justify-self: end;
  padding: 1px 8px;
  border-radius: 3px;
  background: var(--rust);
  color: var(--white);
  font-weight: 600;
  font-size: 12.5px;
}
.then {
  grid-column: 1;
}
.bar {
  grid-column: 1 / -1;
  height: 4px;
  background: var(--rule);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--teal);
}
</style>
