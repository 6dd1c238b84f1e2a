<script setup lang="ts">
import { computed } from 'vue'

/** A dimension between two places on the drawing, px, with its figure in the middle; drawn outside when there is no room. */
const props = defineProps<{ x1: number; y1: number; x2: number; y2: number; text: string; wrong?: boolean }>()
const flat = computed(() => Math.abs(props.y2 - props.y1) < Math.abs(props.x2 - props.x1))
const length = computed(() => Math.hypot(props.x2 - props.x1, props.y2 - props.y1))
const width = computed(() => props.text.length * 7.4 + 8)
const roomy = computed(() => (flat.value ? length.value > width.value + 14 : length.value > 30))
const middle = computed(() => ({ x: (props.x1 + props.x2) / 2, y: (props.y1 + props.y2) / 2 }))
const label = computed(() => {
  if (flat.value) return { x: middle.value.x, y: middle.value.y + (roomy.value ? 0 : -14) }
  return { x: middle.value.x + (roomy.value ? 0 : width.value / 2 + 6), y: middle.value.y }
})
</script>

<template>
  <g class="dimension" :class="{ wrong }">
    <line :x1="x1" :y1="y1" :x2="x2" :y2="y2" marker-start="url(#arrow)" marker-end="url(#arrow)" />
    <rect :x="label.x - width / 2" :y="label.y - 9" :width="width" height="18" rx="2" />
    <text :x="label.x" :y="label.y + 4.5" text-anchor="middle">{{ text }}</text>
  </g>
</template>

<style scoped>
.dimension {
  pointer-events: none;
}
line {
  stroke: var(--ink);
  stroke-width: 1.1;
}
rect {
  fill: color-mix(in srgb, var(--sheet) 90%, transparent);
}
text {
  font-size: 13px;
  font-weight: 600;
  fill: var(--ink);
}
.wrong line {
  stroke: var(--stop);
}
.wrong text {
  fill: var(--stop);
}
</style>
