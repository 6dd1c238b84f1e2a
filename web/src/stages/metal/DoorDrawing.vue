<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'

/**
 * The gaps of a door by height, each edge by itself: where the seal is well pressed, every round that was read, the last one in full with the
 * straight that it should lie on, and where it is pushed next. Gaps are drawn larger than heights, by how much stands below.
 */
const props = defineProps<{ plan: Schemas['DoorPlan']; heightMm: number; sealMm: number }>()
const { t } = useI18n()
const { lengths } = useState()
const L = (mm: number) => lengthNumber(mm, lengths.value)
const [wide, high, left, top] = [340, 560, 62, 34]
const edges = computed(() => {
  const now = props.plan.rounds.at(-1)
  return now ? now.lines.map((l) => l.edge) : (['latch'] as const)
})
const mostGap = computed(() =>
  Math.max(props.sealMm * 1.1, ...props.plan.rounds.flatMap((r) => r.lines.flatMap((l) => l.points.map((p) => p.gapMm * 1.05)))),
)
const mostHeight = computed(() =>
  Math.max(props.heightMm, ...props.plan.rounds.flatMap((r) => r.lines.flatMap((l) => l.points.map((p) => p.heightMm)))),
)
const x = (gapMm: number) => (gapMm / mostGap.value) * (wide - left - 110)
const y = (heightMm: number) => high - (heightMm / mostHeight.value) * high
const larger = computed(() => Math.round((x(1) * mostHeight.value) / high))
const lineOf = (round: Schemas['DoorRead'], edge: Schemas['DoorEdge']) => round.lines.find((l) => l.edge === edge)
const path = (points: Schemas['DoorPoint'][], gap: (p: Schemas['DoorPoint']) => number) =>
  points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(gap(p))} ${y(p.heightMm)}`).join('')
/** Where an arrow points at a height: beyond every line and figure that is read there. */
const arrow = (line: Schemas['DoorLine'], heightMm: number) =>
  x(
    Math.max(
      props.sealMm,
      ...line.points.filter((p) => Math.abs(p.heightMm - heightMm) < mostHeight.value / 20).map((p) => p.gapMm),
    ),
  ) + 44
const drawn = computed(() =>
  edges.value.map((edge, i) => ({
    edge,
    shift: i * wide + left,
    before: props.plan.rounds.slice(0, -1).flatMap((r) => lineOf(r, edge) ?? []),
    now: props.plan.rounds.length > 0 ? lineOf(props.plan.rounds.at(-1)!, edge) : undefined,
    push: props.plan.push?.edge === edge ? props.plan.push : null,
  })),
)
</script>

<template>
  <div class="page" tabindex="0">
    <svg
      :viewBox="`0 0 ${edges.length * wide + 20} ${high + 90}`"
      role="img"
      :aria-label="t('metal.doorDrawing')"
      data-testid="door-drawing"
    >
      <g v-for="d in drawn" :key="d.edge" :transform="`translate(${d.shift} ${top})`">
        <text class="title" :x="0" y="-14">{{ t(`metal.edgeTitle.${d.edge}`) }}</text>
        <rect class="good" :x="x(plan.leastGapMm)" y="0" :width="x(plan.mostGapMm) - x(plan.leastGapMm)" :height="high" />
        <line class="wanted" :x1="x(plan.wantedGapMm)" y1="0" :x2="x(plan.wantedGapMm)" :y2="high" />
        <line class="seal" :x1="x(sealMm)" y1="0" :x2="x(sealMm)" :y2="high" />
        <line class="frame" x1="0" y1="0" x2="0" :y2="high" />
        <path v-for="(b, i) in d.before" :key="i" class="before" :d="path(b.points, (p) => p.gapMm)" />
        <template v-if="d.now">
          <line v-for="(s, i) in d.now.passes" :key="`s${i}`" class="passes" x1="0" x2="0" :y1="y(s.fromMm)" :y2="y(s.toMm)" />
          <path class="straight" :d="path(d.now.points, (p) => p.straightMm)" />
          <path class="now" :d="path(d.now.points, (p) => p.gapMm)" />
          <g v-for="p in d.now.points" :key="p.heightMm">
            <circle class="dot" :cx="x(p.gapMm)" :cy="y(p.heightMm)" r="4.5" />
            <text class="gap" :x="x(p.gapMm) + 9" :y="y(p.heightMm) + 4">{{ L(p.gapMm) }}</text>
            <text class="height" x="-10" :y="y(p.heightMm) + 4">{{ L(p.heightMm) }}</text>
          </g>
        </template>
        <g v-if="d.push && d.now">
          <rect
            v-for="h in d.push.endsMm"
            v-show="d.push.inwards"
            :key="h"
            class="block"
            x="2"
            :y="y(h) - 7"
            width="16"
            height="14"
          />
          <rect v-if="!d.push.inwards" class="block" x="2" :y="y(d.push.atMm) - 7" width="16" height="14" />
          <g
            v-for="h in d.push.inwards ? [d.push.atMm] : d.push.endsMm"
            :key="`p${h}`"
            class="push"
            :transform="`translate(${arrow(d.now, h)} ${y(h)})`"
          >
            <line x1="10" x2="58" y1="0" y2="0" />
            <path d="M2 0 l10 -6 v12 z" />
            <text x="32" y="-9">{{ lengthText(d.push.pushMm, lengths) }}</text>
          </g>
        </g>
        <text class="axis" :x="0" :y="high + 22">0</text>
        <text class="axis" :x="x(plan.wantedGapMm)" :y="high + 22">{{ L(plan.wantedGapMm) }}</text>
        <text class="axis" :x="x(sealMm)" :y="high + 22">{{ L(sealMm) }}</text>
      </g>
      <text class="note" :x="left" :y="high + top + 50">{{ t('metal.doorScale', { n: larger }) }}</text>
    </svg>
    <p class="keys">
      <span class="sign well">{{ t('metal.doorKeys.well') }}</span>
      <span class="sign free">{{ t('metal.doorKeys.free') }}</span>
      <span class="sign pass">{{ t('metal.doorKeys.pass') }}</span>
      <span v-if="plan.rounds.length > 1" class="sign old">{{ t('metal.doorKeys.old') }}</span>
      <span v-if="plan.push" class="sign hold">{{ t('metal.doorKeys.block') }}</span>
    </p>
  </div>
</template>

<style scoped>
.page {
  padding: 16px 24px;
  overflow: auto;
}
svg {
  display: block;
  max-width: 760px;
  max-height: calc(100vh - 220px);
  width: 100%;
}
.good {
  fill: var(--teal-soft);
}
.wanted {
  stroke: var(--teal);
  stroke-dasharray: 3 4;
}
.seal {
  stroke: var(--metal-5);
  stroke-dasharray: 8 4;
}
.frame {
  stroke: var(--metal-7);
  stroke-width: 6;
}
.passes {
  stroke: var(--water);
  stroke-width: 6;
}
.before {
  fill: none;
  stroke: var(--edge);
  stroke-width: 1.2;
}
.straight {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 4 4;
}
.now {
  fill: none;
  stroke: var(--rust);
  stroke-width: 2.5;
}
.dot {
  fill: var(--rust);
  stroke: var(--white);
  stroke-width: 1.5;
}
.block {
  fill: var(--amber);
  stroke: var(--ink);
}
.push line {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.push path {
  fill: var(--ink);
}
.push text {
  font-weight: 600;
  text-anchor: middle;
}
text {
  font-size: 13px;
  fill: var(--ink);
}
.title {
  font-weight: 600;
}
.height,
.axis,
.note {
  fill: var(--soft);
}
.height {
  text-anchor: end;
}
.axis {
  text-anchor: middle;
}
.gap {
  paint-order: stroke;
  stroke: var(--primer);
  stroke-width: 3px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  margin: 8px 0 0;
  color: var(--soft);
  font-size: 13px;
}
.sign::before {
  content: '';
  display: inline-block;
  width: 18px;
  height: 10px;
  margin-right: 6px;
  vertical-align: middle;
}
.well::before {
  background: var(--teal-soft);
}
.free::before {
  height: 0;
  border-top: 2px dashed var(--metal-5);
}
.pass::before {
  height: 5px;
  background: var(--water);
}
.old::before {
  height: 0;
  border-top: 1.5px solid var(--edge);
}
.hold::before {
  width: 12px;
  height: 12px;
  background: var(--amber);
}
</style>
