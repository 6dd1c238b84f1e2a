<script setup lang="ts">
/** What a figure comes to, in a sentence; amber where something is to be looked out for. */
defineProps<{ verdict?: string; look?: boolean; wrong: string }>()
</script>

<template>
  <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  <p v-else-if="verdict" class="verdict" :class="{ look }" role="status">{{ verdict }}</p>
</template>

<style scoped>
.verdict {
  max-width: 620px;
  margin: 10px 0;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
  font-weight: 500;
}
.verdict.look {
  border-color: var(--amber);
  background: var(--amber-soft);
}
</style>
