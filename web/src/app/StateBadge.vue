<script setup lang="ts">
// How the shell stands in the weather: one badge.
import type { Schemas } from '@/api/client'

defineProps<{ badge: Schemas['ShellBadge'] }>()
</script>

<template>
  <div class="badge" role="status">
    <b>
      <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
        <template v-if="badge.kind !== 'open'">
          <rect x="2" y="2" width="12" height="12" fill="none" stroke="var(--night-good)" stroke-width="2" />
          <path d="M4 8l3 3 5-6" fill="none" stroke="var(--night-good)" stroke-width="2" />
        </template>
        <path v-else d="M2 14V2h12v12M2 14l4-3M14 14l-4-3" fill="none" stroke="var(--night-open)" stroke-width="2" />
      </svg>
      {{ badge.title }}
    </b>
    <span :title="badge.more">{{ badge.more }}</span>
  </div>
</template>

<style scoped>
.badge {
  flex: 1;
  min-width: 0;
}
.badge b {
  display: flex;
  gap: 8px;
  align-items: center;
  font: 600 15px/1.2 'Source Sans 3';
}
.badge svg {
  flex: none;
}
.badge span {
  display: block;
  margin-top: 4px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--metal-2);
  font-size: 13px;
  line-height: 1.25;
}
</style>
