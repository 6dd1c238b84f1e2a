<script setup lang="ts">
/** A place that was looked at: a full drop where it was wet, an empty one struck through where it stayed dry. */
defineProps<{ at: { x: number; y: number } | null; wet: boolean; name: string }>()
</script>

<template>
  <g v-if="at" class="drop" :class="{ wet }" :transform="`translate(${at.x.toFixed(1)} ${at.y.toFixed(1)})`">
    <title>{{ name }}</title>
    <path d="M0 -11C5 -4 7 -1 7 3A7 7 0 0 1 -7 3C-7 -1 -5 -4 0 -11Z" />
    <path v-if="!wet" class="strike" d="M-7 8L7 -8" />
  </g>
</template>

<style scoped>
.drop path {
  fill: var(--white);
  stroke: var(--water);
  stroke-width: 2;
}
.drop.wet path {
  fill: var(--water);
  stroke: var(--white);
}
.drop .strike {
  fill: none;
  stroke: var(--water);
}
</style>
