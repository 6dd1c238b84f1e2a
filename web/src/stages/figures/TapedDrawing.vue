<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Point, Schemas } from '@/api/client'
import { lengthNumber } from '@/app/length'
import { useState } from '@/app/state'
import { boxOf } from '@/drawing/geometry'

/** A taped board above its base line, to scale: as it lies, as it is sawn, its corners numbered as they were taped, its edges from 0. */
const props = defineProps<{ shape: Schemas['BoardShape'] }>()
const { t } = useI18n()
const { lengths } = useState()
const pad = 34
const box = computed(() => boxOf([...props.shape.sawn, ...props.shape.corners.map((c) => c.at)]))
const scale = computed(() => Math.min(540 / (box.value.s2 - box.value.s1), 300 / (box.value.t2 - box.value.t1)))
const x = (s: number) => pad + (s - box.value.s1) * scale.value
const y = (up: number) => pad + (box.value.t2 - up) * scale.value
const path = (points: readonly Point[]) =>
  points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.sMm).toFixed(1)} ${y(p.tMm).toFixed(1)}`).join('') + 'Z'
const wide = computed(() => (box.value.s2 - box.value.s1) * scale.value + 2 * pad)
const high = computed(() => (box.value.t2 - box.value.t1) * scale.value + 2 * pad)
const corners = computed(() => props.shape.corners.slice(2).map((c, i) => ({ n: i + 1, x: x(c.at.sMm), y: y(c.at.tMm) })))
/** Each edge with its number and its length, beside its middle on the inside. */
const edges = computed(() =>
  props.shape.edges.map((e, i) => {
    const from = props.shape.corners[i]!.at
    const to = props.shape.corners[(i + 1) % props.shape.corners.length]!.at
    const off = 22 / (e.chordMm * scale.value)
    return {
      text: `${i}: ${lengthNumber(e.chordMm, lengths.value)}${e.radiusMm ? ` R ${lengthNumber(e.radiusMm, lengths.value)}` : ''}`,
      x: (x(from.sMm) + x(to.sMm)) / 2 + (y(to.tMm) - y(from.tMm)) * off,
      y: (y(from.tMm) + y(to.tMm)) / 2 - (x(to.sMm) - x(from.sMm)) * off + 5,
    }
  }),
)
</script>

<template>
  <svg :viewBox="`0 0 ${wide} ${high}`" :style="{ maxWidth: `${wide}px` }" role="img" :aria-label="t('figures.pieceDrawing')">
    <path class="sawn" :d="path(shape.sawn)" />
    <path class="board" :d="path(shape.outline)" />
    <line class="base" :x1="x(0)" :y1="y(0)" :x2="x(shape.corners[1]!.at.sMm)" :y2="y(0)" />
    <text v-for="e in edges" :key="e.text" :x="e.x" :y="e.y">{{ e.text }}</text>
    <g v-for="c in corners" :key="c.n">
      <circle :cx="c.x" :cy="c.y" r="10" />
      <text :x="c.x" :y="c.y + 4">{{ c.n }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
.sawn {
  fill: none;
  stroke: var(--rust);
  stroke-dasharray: 6 4;
}
.board {
  fill: var(--amber-soft);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.base {
  stroke: var(--teal);
  stroke-width: 4;
}
circle {
  fill: var(--white);
  stroke: var(--rust);
}
text {
  text-anchor: middle;
  font-size: 12.5px;
  font-weight: 600;
}
</style>
