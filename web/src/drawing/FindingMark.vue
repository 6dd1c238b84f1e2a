<script setup lang="ts">
import { computed } from 'vue'
import type { Finding, Point } from '@/api/client'
import { severityShapes } from './severity'

/** A finding where it lies: its line or area, and a mark whose shape says how bad it is. Done ones are ticked, watched ones open. */
const props = defineProps<{
  finding: Finding
  at: (p: Point) => { x: number; y: number }
  number?: number
  shown?: boolean
}>()
const emit = defineEmits<{ open: [] }>()
const spots = computed(() => props.finding.points.map(props.at))
const middle = computed(() => ({
  x: spots.value.reduce((sum, p) => sum + p.x, 0) / spots.value.length,
  y: spots.value.reduce((sum, p) => sum + p.y, 0) / spots.value.length,
}))
const path = computed(
  () =>
    'M' + spots.value.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L') + (props.finding.shape === 'area' ? 'Z' : ''),
)
const settled = computed(() => props.finding.state === 'done' || props.finding.state === 'watch')
</script>

<template>
  <g
    class="finding"
    :class="[finding.severity, { settled, shown }]"
    data-draggable
    tabindex="0"
    role="button"
    :aria-label="finding.name"
    @click="emit('open')"
    @keydown.enter.stop="emit('open')"
  >
    <title>{{ finding.name }}</title>
    <path v-if="finding.shape !== 'point'" class="extent" :class="finding.shape" :d="path" />
    <g :transform="`translate(${middle.x.toFixed(1)} ${middle.y.toFixed(1)})`">
      <path class="mark" :d="severityShapes[finding.severity]" />
      <text v-if="number && !settled" :y="finding.severity === 'moderate' ? 7 : 4">{{ number }}</text>
      <path v-else-if="finding.state === 'done'" class="tick" d="M-4 0l3 3l5-6" />
    </g>
  </g>
</template>

<style scoped>
.finding {
  cursor: pointer;
  outline: none;
}
.mark {
  stroke: var(--white);
  stroke-width: 1.5;
}
.severe .mark {
  fill: var(--stop);
}
.moderate .mark {
  fill: var(--amber);
}
.minor .mark {
  fill: var(--soft);
}
.settled .mark {
  fill: var(--white);
  stroke: var(--teal);
}
.tick {
  fill: none;
  stroke: var(--teal);
  stroke-width: 2;
}
.extent {
  fill: none;
  stroke: color-mix(in srgb, var(--stop) 70%, transparent);
  stroke-width: 3;
}
.extent.area {
  fill: color-mix(in srgb, var(--stop) 14%, transparent);
  stroke-width: 1.4;
  stroke-dasharray: 4 3;
}
.settled .extent {
  stroke: color-mix(in srgb, var(--teal) 50%, transparent);
  fill: none;
}
.shown .mark,
.finding:focus-visible .mark {
  stroke: var(--ink);
  stroke-width: 3;
}
text {
  font-size: 11.5px;
  font-weight: 600;
  fill: var(--white);
  text-anchor: middle;
  pointer-events: none;
}
</style>
