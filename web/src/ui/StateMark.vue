<script setup lang="ts">
/** Good, needs work, blocked: told by shape as well as by colour. */
defineProps<{ state: 'good' | 'needsWork' | 'blocked' }>()
const words = { good: 'good', needsWork: 'needs work', blocked: 'blocked' }
</script>

<template>
  <svg class="mark" viewBox="0 0 18 18" role="img" :aria-label="words[state]">
    <template v-if="state === 'good'">
      <circle cx="9" cy="9" r="8" fill="var(--teal-soft)" />
      <path d="M5 9l3 3 5-6" stroke="var(--teal)" stroke-width="2" fill="none" />
    </template>
    <template v-else-if="state === 'needsWork'">
      <path d="M9 1l8 15H1z" fill="var(--amber-soft)" stroke="var(--amber)" />
      <path d="M9 6v5M9 13v1.6" stroke="var(--amber)" stroke-width="2" />
    </template>
    <template v-else>
      <rect x="1" y="1" width="16" height="16" fill="var(--stop-soft)" stroke="var(--stop)" />
      <path d="M5 5l8 8M13 5l-8 8" stroke="var(--stop)" stroke-width="2" />
    </template>
  </svg>
</template>

<style scoped>
.mark {
  width: 18px;
  height: 18px;
  flex: none;
}
</style>
