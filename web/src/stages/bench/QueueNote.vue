<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { askToDrop } from '@/app/leaving'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import { useQueue } from './queue'

/** Steps that are done and not sent yet, and what keeps them. */
const { t } = useI18n()
const { shell, load } = useState()
const { waiting, send, drop } = useQueue((of) => {
  if (shell.value?.vehicle.id === of.vehicleId) void load(of.vehicleId)
})
</script>

<template>
  <div v-if="waiting.length > 0" class="queue" role="status">
    <div class="line">
      <span>{{ t('bench.queue.waiting', waiting.length) }}</span>
      <Action look="plain" @click="send">{{ t('bench.queue.send') }}</Action>
    </div>
    <div v-for="w in waiting.filter((w) => w.of.trouble)" :key="w.at" class="line">
      <span>
        <RouterLink :to="{ name: 'bench-job', params: { vehicleId: w.of.vehicleId, kind: w.of.kind, jobId: w.of.jobId } }">
          {{ w.of.job }}: {{ w.of.title }}
        </RouterLink>
        {{ w.of.trouble }}
      </span>
      <Action look="plain" @click="askToDrop(t('bench.queue.dropAsk'), () => drop(w.at))">{{ t('app.drop') }}</Action>
    </div>
  </div>
</template>

<style scoped>
.queue {
  padding: 2px 16px;
  border-bottom: 1px solid var(--line);
  background: var(--amber-soft);
}
.line {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
</style>
