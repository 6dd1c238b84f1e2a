<script setup lang="ts">
import { computed } from 'vue'
import type { Member, Panel, Vehicle } from '@/api/client'
import { bodyHints, usualFloorMm } from './bodyHints'
import { boxOf, footprintOutline } from './geometry'

/** A shell from its left, small: with cab, wheels and pillars, to the same scale as the others beside it. */
const props = defineProps<{
  kind: Vehicle['kind']
  /** Left side of a drawn shell; none where only a size is known. */
  side?: { panel: Panel; members: readonly Member[] } | undefined
  /** Length and height of a plain box, mm. */
  box?: { lengthMm: number; heightMm: number } | undefined
  /** What the width of the picture stands for, mm. */
  acrossMm: number
}>()
const outline = computed(() => {
  const { lengthMm, heightMm } = props.box ?? { lengthMm: 3000, heightMm: 1700 }
  return (
    props.side?.panel.outline ?? [
      { sMm: 0, tMm: 0 },
      { sMm: lengthMm, tMm: 0 },
      { sMm: lengthMm, tMm: heightMm },
      { sMm: 0, tMm: heightMm },
    ]
  )
})
const body = computed(() => boxOf(outline.value))
const hints = computed(() =>
  bodyHints(props.kind, { frontMm: body.value.s1, lengthMm: body.value.s2 - body.value.s1, heightMm: body.value.t2 }),
)
const path = (points: readonly (readonly [number, number])[]) => 'M' + points.map(([x, y]) => `${x} ${-y}`).join('L') + 'Z'
const flat = (points: readonly { sMm: number; tMm: number }[]) => path(points.map((p) => [p.sMm, p.tMm] as const))
/** The tallest shell stands in the same frame as the lowest, on the same road. */
const view = computed(() => {
  const high = props.acrossMm * 0.6
  return `${body.value.s1 - hints.value.noseMm - 60} ${-high + usualFloorMm + 80} ${props.acrossMm} ${high}`
})
const pillars = computed(() => (props.side?.members ?? []).filter((m) => m.role !== 'keepOut'))
</script>

<template>
  <svg :viewBox="view" aria-hidden="true">
    <path
      v-for="(w, i) in hints.wheels"
      :key="i"
      class="wheel"
      :d="`M${w.alongMm - w.radiusMm} ${-w.upMm}a${w.radiusMm} ${w.radiusMm} 0 1 0 ${2 * w.radiusMm} 0a${w.radiusMm} ${w.radiusMm} 0 1 0 ${-2 * w.radiusMm} 0`"
    />
    <path class="cab" :d="path(hints.side)" />
    <path v-if="hints.glass.length > 0" class="glass" :d="path(hints.glass)" />
    <path class="body" :class="{ plain: !side }" :d="flat(outline)" />
    <path v-for="(m, i) in pillars" :key="i" class="member" :d="flat(footprintOutline(m.footprint))" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
}
path {
  vector-effect: non-scaling-stroke;
  stroke-width: 1.2;
}
.cab {
  fill: var(--metal-2);
  stroke: var(--metal-6);
}
.glass {
  fill: var(--sheet);
  stroke: var(--metal-5);
}
.wheel {
  fill: var(--metal-7);
}
.body {
  fill: var(--sheet);
  stroke: var(--ink);
}
.plain {
  stroke-dasharray: 4 3;
}
.member {
  fill: var(--metal-3);
}
</style>
