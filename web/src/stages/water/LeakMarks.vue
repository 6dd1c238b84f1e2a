<script setup lang="ts">
import { computed } from 'vue'
import type { Point, Schemas } from '@/api/client'
import DropMark from '@/drawing/DropMark.vue'

/** What is known of a leak, over the unfolded shell: suspects by how likely they are, the way of the chosen one's water, marks, and what the next test sprays. */
const props = defineProps<{
  hunt: Schemas['LeakHunt']
  at: (panelId: string, p: Point) => { x: number; y: number } | null
  chosen: number | null
  test: Schemas['PlannedTest'] | null
}>()
const emit = defineEmits<{ choose: [number: number] }>()
const causes = computed(() => new Map(props.hunt.ranking.suspects.map((s, place) => [s.number, { ...s, place }])))
const line = (panelId: string, points: readonly Point[]) =>
  'M' +
  points
    .map((p) => props.at(panelId, p))
    .map((p) => (p ? `${p.x.toFixed(1)} ${p.y.toFixed(1)}` : ''))
    .join('L')
const suspects = computed(() =>
  props.hunt.suspects
    .map((s, number) => ({ s, number, ranked: causes.value.get(number)! }))
    .filter((x) => x.ranked.causes >= 0.005 || x.number === props.chosen)
    // The likeliest is painted last, on top.
    .sort((a, b) => a.ranked.causes - b.ranked.causes)
    .map((x) => ({
      ...x,
      middle: props.at(x.s.panelId, x.s.suspect.points[Math.floor(x.s.suspect.points.length / 2)]!),
      d: line(x.s.panelId, x.s.suspect.points),
      radius: 6 + 9 * Math.sqrt(x.ranked.causes),
    })),
)
const ways = computed(() =>
  props.chosen === null ? [] : (props.hunt.suspects[props.chosen]?.way ?? []).filter((w) => w.points.length > 1),
)
const zone = computed(() => {
  if (!props.test) return ''
  const z = props.test.spray.zone
  const corners = [
    { sMm: z.sMinMm, tMm: z.tMinMm },
    { sMm: z.sMaxMm, tMm: z.tMinMm },
    { sMm: z.sMaxMm, tMm: z.tMaxMm },
    { sMm: z.sMinMm, tMm: z.tMaxMm },
  ]
  return line(props.test.panelId, corners) + 'Z'
})
</script>

<template>
  <g class="leaks">
    <defs>
      <pattern id="spray" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(60)">
        <line x1="0" x2="0" y1="0" y2="7" stroke="var(--teal)" stroke-width="2" opacity=".45" />
      </pattern>
      <marker id="way-end" viewBox="0 0 8 8" refX="6" refY="4" markerWidth="7" markerHeight="7" orient="auto">
        <path d="M0 0L8 4L0 8Z" fill="var(--water)" />
      </marker>
    </defs>
    <path v-if="zone" class="zone" :d="zone" />
    <path
      v-for="(w, i) in ways"
      :key="i"
      class="way"
      :d="line(w.panelId, w.points)"
      :marker-end="i === ways.length - 1 ? 'url(#way-end)' : undefined"
    />
    <g
      v-for="s in suspects"
      :key="s.number"
      class="suspect"
      :class="{ first: s.ranked.place === 0, chosen: s.number === chosen }"
    >
      <path v-if="s.s.suspect.points.length > 1" class="joint" :d="s.d" />
      <g
        v-if="s.middle"
        :transform="`translate(${s.middle.x.toFixed(1)} ${s.middle.y.toFixed(1)})`"
        data-draggable
        role="button"
        tabindex="0"
        :aria-label="s.s.suspect.name"
        @click="emit('choose', s.number)"
        @keydown.enter.stop="emit('choose', s.number)"
      >
        <title>{{ s.s.suspect.name }}</title>
        <circle class="reach" r="14" />
        <circle :r="s.radius" />
        <text y="4">{{ s.ranked.place + 1 }}</text>
      </g>
    </g>
    <DropMark v-for="s in hunt.spots" :key="s.name" :at="at(s.panelId, s.place)" :wet="s.wet" :name="s.name" />
  </g>
</template>

<style scoped>
.zone {
  fill: url(#spray);
  stroke: var(--teal);
  stroke-width: 2;
  stroke-dasharray: 7 4;
  pointer-events: none;
}
.joint {
  fill: none;
  stroke: var(--soft);
  stroke-width: 4;
  stroke-linecap: round;
  opacity: 0.6;
  pointer-events: none;
}
.suspect circle {
  fill: var(--white);
  stroke: var(--soft);
  stroke-width: 2;
  cursor: pointer;
}
.suspect .reach {
  fill: transparent;
  stroke: none;
}
.suspect text {
  font-size: 11px;
  font-weight: 600;
  fill: var(--ink);
  text-anchor: middle;
  pointer-events: none;
}
.first circle:not(.reach) {
  fill: var(--rust);
  stroke: var(--white);
}
.first .joint {
  stroke: var(--rust);
  opacity: 1;
}
.first text {
  fill: var(--white);
}
.chosen circle:not(.reach) {
  stroke: var(--ink);
  stroke-width: 3;
}
.way {
  fill: none;
  stroke: var(--water);
  stroke-width: 2.5;
  stroke-dasharray: 8 5;
  pointer-events: none;
}
</style>
