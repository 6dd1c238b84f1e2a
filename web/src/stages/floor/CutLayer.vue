<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LengthFormat, Point, Schemas } from '@/api/client'
import { lengthNumber } from '@/app/length'
import { boxOf } from '@/drawing/geometry'
import type { Viewport } from '@/drawing/viewport'

/** The cut on the floor: its lines by what carries them, new boards with their sizes, timbers that are let in, bearers to be mended. */
const props = defineProps<{
  view: Viewport
  area: readonly Point[]
  plan: Schemas['ReplacementPlan']
  lengths: LengthFormat
}>()
const { t } = useI18n()
const line = (points: readonly Point[]) => props.view.path(points).slice(0, -1)
const pieces = computed(() =>
  props.plan.pieces.map((p) => {
    const b = boxOf(p.outline)
    return {
      name: p.name,
      d: props.view.path(p.outline),
      x: props.view.x((b.s1 + b.s2) / 2),
      // Off the middle, where the bad wood is.
      y: Math.max(props.view.y(b.t1), props.view.y(b.t2)) - 16,
      size: `${lengthNumber(p.lengthMm, props.lengths)} × ${lengthNumber(p.widthMm, props.lengths)}`,
    }
  }),
)
/** Numbers of the edges, as in the list and on the printed sheet. */
const numbers = computed(() =>
  props.plan.edges.map((e, i) => ({
    n: i + 1,
    x: (props.view.x(e.line[0]!.sMm) + props.view.x(e.line[1]!.sMm)) / 2,
    y: (props.view.y(e.line[0]!.tMm) + props.view.y(e.line[1]!.tMm)) / 2,
  })),
)
</script>

<template>
  <path v-for="p in pieces" :key="p.name" class="piece" :d="p.d" />
  <path class="bad" :d="view.path(area)" />
  <path
    v-for="(s, i) in plan.supports"
    :key="`s${i}`"
    class="timber"
    :d="line(s.line)"
    :stroke-width="Math.max(3, s.wideMm * view.scale.value)"
  >
    <title>{{ t(`floor.kinds.${s.kind}`) }}</title>
  </path>
  <path v-for="m in plan.members" :key="m.memberName" class="rotten" :d="line(m.removed)">
    <title>{{ m.memberName }}</title>
  </path>
  <path v-for="(e, i) in plan.edges" :key="`e${i}`" class="edge" :class="e.on" :d="line(e.line)" />
  <g v-for="p in pieces" :key="`t${p.name}`" class="words">
    <text :x="p.x" :y="p.y">{{ p.size }}</text>
  </g>
  <g v-for="e in numbers" :key="`n${e.n}`" class="number" :transform="`translate(${e.x.toFixed(1)} ${e.y.toFixed(1)})`">
    <circle r="10" />
    <text y="4">{{ e.n }}</text>
  </g>
</template>

<style scoped>
path {
  fill: none;
  pointer-events: none;
}
.piece {
  fill: color-mix(in srgb, var(--teal) 10%, transparent);
  stroke: var(--teal);
  stroke-width: 1;
}
.bad {
  fill: color-mix(in srgb, var(--rust) 30%, transparent);
  stroke: var(--rust);
}
.timber {
  stroke: color-mix(in srgb, var(--amber) 70%, transparent);
}
.rotten {
  stroke: var(--stop);
  stroke-width: 5;
  stroke-dasharray: 4 3;
}
.edge {
  stroke: var(--rust);
  stroke-width: 3;
}
.edge.wall {
  stroke: var(--metal-6);
}
.edge.blocking {
  stroke-dasharray: 9 5;
}
.words text,
.number text {
  text-anchor: middle;
  font-weight: 600;
  font-size: 13px;
  fill: var(--ink);
}
.words text {
  paint-order: stroke;
  stroke: var(--white);
  stroke-width: 3;
}
.number circle {
  fill: var(--white);
  stroke: var(--rust);
  stroke-width: 1.5;
}
</style>
