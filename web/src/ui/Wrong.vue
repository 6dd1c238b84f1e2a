<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'

/** What is wrong with what is being saved: brought into sight, wherever in a long form one has typed. */
const props = defineProps<{ text: string }>()
const line = ref<HTMLElement | null>(null)
watch(
  () => props.text,
  () => void nextTick(() => line.value?.scrollIntoView({ block: 'nearest' })),
  { immediate: true },
)
</script>

<template>
  <p v-if="text" ref="line" class="wrong" role="alert">{{ text }}</p>
</template>
