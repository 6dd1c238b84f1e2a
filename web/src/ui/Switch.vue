<script setup lang="ts" generic="T extends string">
/** A row of choices of which one holds, such as outside and inside, or the tabs beside a drawing. */
defineProps<{ choices: readonly { key: T; text: string; disabled?: boolean }[]; tabs?: boolean; label?: string }>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <div class="tabs" :role="tabs ? 'tablist' : 'group'" :aria-label="label">
    <button
      v-for="c in choices"
      :key="c.key"
      type="button"
      :role="tabs ? 'tab' : undefined"
      :class="{ on: chosen === c.key }"
      :aria-selected="tabs ? chosen === c.key : undefined"
      :aria-pressed="tabs ? undefined : chosen === c.key"
      :disabled="c.disabled"
      @click="chosen = c.key"
    >
      {{ c.text }}
    </button>
  </div>
</template>
