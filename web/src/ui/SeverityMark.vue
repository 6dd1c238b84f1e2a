<script setup lang="ts">
import { severityShapes } from '@/drawing/severity'

/** How bad something is, by shape as well as colour, with its number: the mark that stands on the drawing too. */
defineProps<{ severity: keyof typeof severityShapes | 'opening' | 'repair'; number?: number }>()
</script>

<template>
  <svg width="24" height="24" viewBox="-12 -12 24 24" aria-hidden="true" :class="severity">
    <path v-if="severity !== 'opening' && severity !== 'repair'" :d="severityShapes[severity]" />
    <template v-else-if="severity === 'repair'">
      <rect x="-9" y="-9" width="18" height="18" rx="3" />
      <path class="plus" d="M-5 0H5M0 -5V5" />
    </template>
    <rect v-else x="-8" y="-6" width="16" height="12" rx="2" />
    <text v-if="number" :y="severity === 'moderate' ? 7 : 4">{{ number }}</text>
  </svg>
</template>

<style scoped>
.severe path {
  fill: var(--stop);
}
.moderate path {
  fill: var(--amber);
}
.minor path {
  fill: var(--soft);
}
rect {
  fill: var(--teal-soft);
  stroke: var(--teal);
  stroke-width: 2;
}
.repair rect {
  fill: var(--rust);
  stroke: none;
}
.plus {
  fill: none;
  stroke: var(--white);
  stroke-width: 2;
}
text {
  font-size: 11.5px;
  font-weight: 600;
  fill: var(--white);
  text-anchor: middle;
}
</style>
