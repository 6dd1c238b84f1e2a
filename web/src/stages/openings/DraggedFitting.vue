<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fitting, LengthFormat, Member, Point, Schemas } from '@/api/client'
import { lengthNumber } from '@/app/length'
import DimensionLine from '@/drawing/DimensionLine.vue'
import {
  boxAround,
  boxOf,
  crossing,
  footprintOutline,
  gapsAround,
  nearestOnEdge,
  regionHolds,
  turnedShape,
  type Region,
} from '@/drawing/geometry'
import type { Viewport } from '@/drawing/viewport'

/** The fitting in hand: feasible tint below it, live distances on four sides, numbered places. Nothing here waits for the server. */
const props = defineProps<{
  view: Viewport
  fitting: Fitting
  turnDeg: number
  centre: Point
  members: readonly Member[]
  region: Region
  /** Whether the server has said where it may lie: until then no place is called bad for it. */
  judged: boolean
  positions: readonly Schemas['RankedPosition'][]
  lengths: LengthFormat
}>()
const emit = defineEmits<{ move: [to: Point] }>()
const { t } = useI18n()

/** Within this many pixels of the feasible region's edge the fitting snaps to it. */
const snapPx = 14

const cut = computed(() => turnedShape(props.fitting.cutOut, props.turnDeg))
const flange = computed(() => turnedShape(props.fitting.flange, props.turnDeg))
const outlines = computed(() => props.members.filter((m) => m.role !== 'pressed').map((m) => footprintOutline(m.footprint)))
const cutBox = computed(() => boxAround(props.centre, cut.value.widthMm, cut.value.heightMm))
const gaps = computed(() => gapsAround(cutBox.value, outlines.value))
const crossed = computed(() => crossing(cutBox.value, outlines.value).length > 0)
const feasible = computed(
  () => regionHolds(props.region, props.centre) || (nearestOnEdge(props.region, props.centre)?.mm ?? 1) < 0.06,
)

/** The clearance that the fitting wants on a side, turned with it: anticlockwise with s to the right and t up. */
const wanted = computed(() => {
  const c = props.fitting.clearance
  const round = [c.rearMm, c.topMm, c.frontMm, c.bottomMm]
  const at = (i: number) => round[(i - props.turnDeg / 90 + 4) % 4]!
  return { rear: at(0), top: at(1), front: at(2), bottom: at(3) }
})

const rect = (shape: Schemas['RoundedRectangle']) => {
  const k = props.view.scale.value
  return {
    x: props.view.x(props.centre.sMm) - (shape.widthMm * k) / 2,
    y: props.view.y(props.centre.tMm) - (shape.heightMm * k) / 2,
    width: shape.widthMm * k,
    height: shape.heightMm * k,
    rx: shape.cornerRadiusMm * k,
  }
}
/** The part that its label is written beside: a large one that the fitting does not cover, where there is one. */
const labelled = computed(() => {
  const size = (part: Region[number]) => {
    const b = boxOf(part.outline)
    return (b.s2 - b.s1) * (b.t2 - b.t1)
  }
  const most = Math.max(...props.region.map(size))
  const f = boxAround(props.centre, flange.value.widthMm, flange.value.heightMm)
  const large = props.region.filter((part) => size(part) >= most / 5)
  const free = large.filter((part) => {
    const b = boxOf(part.outline)
    return b.s1 > f.s2 || b.s2 < f.s1 || b.t1 > f.t2 || b.t2 < f.t1
  })
  return [...(free.length > 0 ? free : large)].sort((a, b) => size(b) - size(a))[0] ?? null
})
const ring = (part: Region[number]) => [part.outline, ...part.holes].map((r) => props.view.path(r)).join('')

const grip = ref<{ ds: number; dt: number } | null>(null)
function pointAt(event: PointerEvent): Point {
  const box = (event.currentTarget as SVGGraphicsElement).ownerSVGElement!.getBoundingClientRect()
  return props.view.toPanel(event.clientX - box.left, event.clientY - box.top)
}
function down(event: PointerEvent) {
  if (event.button !== 0) return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  const p = pointAt(event)
  grip.value = { ds: props.centre.sMm - p.sMm, dt: props.centre.tMm - p.tMm }
}
function drag(event: PointerEvent) {
  if (!grip.value) return
  const p = pointAt(event)
  const to = { sMm: p.sMm + grip.value.ds, tMm: p.tMm + grip.value.dt }
  if (!regionHolds(props.region, to)) {
    const edge = nearestOnEdge(props.region, to)
    if (edge && edge.mm * props.view.scale.value < snapPx) return emit('move', edge.at)
  }
  emit('move', to)
}
const up = () => (grip.value = null)

/** Numbered places, but for the one that the fitting lies on. */
const pins = computed(() =>
  props.positions.slice(0, 9).filter((p) => Math.hypot(p.centre.sMm - props.centre.sMm, p.centre.tMm - props.centre.tMm) > 4),
)
const label = computed(() => {
  const r = cut.value.cornerRadiusMm
  const size = `${lengthNumber(cut.value.widthMm, props.lengths)} x ${lengthNumber(cut.value.heightMm, props.lengths)}`
  return r > 0 ? `${size}, r ${lengthNumber(r, props.lengths)}` : size
})
</script>

<template>
  <g>
    <path v-for="(part, i) in region" :key="i" class="region" :d="ring(part)" fill-rule="evenodd" data-testid="region" />
    <text
      v-if="labelled"
      class="region-label"
      :x="Math.max(...labelled.outline.map((p) => view.x(p.sMm))) + 7"
      :y="Math.max(...labelled.outline.map((p) => view.y(p.tMm))) - 4"
    >
      {{ t('drawing.mayLie') }}
    </text>
    <g
      class="fitting"
      :class="{ bad: (judged && !feasible) || crossed, held: grip }"
      data-draggable
      data-testid="fitting"
      @pointerdown="down"
      @pointermove="drag"
      @pointerup="up"
      @pointercancel="up"
    >
      <rect class="flange" v-bind="rect(flange)" />
      <rect class="cut" v-bind="rect(cut)" />
      <path :d="`M${view.x(centre.sMm) - 8} ${view.y(centre.tMm)}h16M${view.x(centre.sMm)} ${view.y(centre.tMm) - 8}v16`" />
      <text :x="view.x(centre.sMm)" :y="view.y(centre.tMm) + 26">{{ label }}</text>
    </g>
    <DimensionLine
      v-for="gap in gaps"
      :key="gap.side"
      :data-gap="gap.side"
      :x1="view.x(gap.from.sMm)"
      :y1="view.y(gap.from.tMm)"
      :x2="view.x(gap.to.sMm)"
      :y2="view.y(gap.to.tMm)"
      :text="lengthNumber(gap.mm, lengths)"
      :wrong="gap.mm < wanted[gap.side] - 0.06"
    />
    <g
      v-for="p in pins"
      :key="p.rank"
      class="pin"
      data-draggable
      role="button"
      :aria-label="`${p.rank}`"
      @click="emit('move', p.centre)"
    >
      <circle :cx="view.x(p.centre.sMm)" :cy="view.y(p.centre.tMm)" r="11" />
      <text :x="view.x(p.centre.sMm)" :y="view.y(p.centre.tMm) + 4.5">{{ p.rank }}</text>
    </g>
  </g>
</template>

<style scoped>
.region {
  fill: color-mix(in srgb, var(--teal) 18%, transparent);
  stroke: var(--teal);
  stroke-dasharray: 4 3;
  pointer-events: none;
}
.region-label {
  font-size: 12.5px;
  fill: var(--teal);
  paint-order: stroke;
  stroke: color-mix(in srgb, var(--sheet) 90%, transparent);
  stroke-width: 3px;
}
.fitting {
  cursor: grab;
  touch-action: none;
}
.fitting.held {
  cursor: grabbing;
}
.flange {
  fill: color-mix(in srgb, var(--white) 35%, transparent);
  stroke: var(--ink);
  stroke-dasharray: 6 4;
}
.cut {
  fill: color-mix(in srgb, var(--white) 85%, transparent);
  stroke: var(--rust);
  stroke-width: 2.6;
}
.fitting path {
  stroke: var(--rust);
  stroke-width: 1.6;
  fill: none;
}
.fitting text {
  font-size: 12.5px;
  text-anchor: middle;
  fill: var(--ink);
}
.fitting.bad .cut {
  fill: color-mix(in srgb, var(--stop-soft) 85%, transparent);
  stroke: var(--stop);
  stroke-dasharray: 10 4;
}
.pin {
  cursor: pointer;
}
.pin circle {
  fill: var(--white);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.pin text {
  font-size: 13px;
  font-weight: 600;
  text-anchor: middle;
  fill: var(--ink);
}
</style>
