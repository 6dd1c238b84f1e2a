<script setup lang="ts" generic="K extends string">
import { Checkbox } from 'ant-design-vue'

/** What holds and what does not, in two columns. */
defineProps<{ of: Record<K, boolean>; choices: readonly { key: K; text: string }[] }>()
const emit = defineEmits<{ tick: [key: K, on: boolean] }>()
</script>

<template>
  <div class="ticks">
    <Checkbox v-for="c in choices" :key="c.key" :checked="of[c.key]" @update:checked="(on) => emit('tick', c.key, on)">
      {{ c.text }}
    </Checkbox>
  </div>
</template>

<style scoped>
.ticks {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
.ticks :deep(.ant-checkbox-wrapper) {
  margin-inline-start: 0;
}
</style>
