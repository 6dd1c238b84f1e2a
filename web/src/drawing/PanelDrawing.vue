<script setup lang="ts">
import ArrowHead from './ArrowHead.vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LengthFormat, Member, Panel, Point, Schemas, Zone } from '@/api/client'
import { lengthNumber } from '@/app/length'
import DimensionLine from './DimensionLine.vue'
import { boxOf, footprintOutline, type Box } from './geometry'
import { firstFree } from './labels'
import { rulerMarks } from './ruler'
import { facingOf, isLevel, seenFrom, viewSigns, type ViewedFrom } from './facing'
import { useViewport } from './viewport'
import ZoomButtons from './ZoomButtons.vue'
import { zoneBox } from './zones'

/** A panel to scale with rulers, members, bays and zones; what lies on it is drawn in the slot by the screen that shows it. */
const props = defineProps<{
  panel: Panel
  members: readonly Member[]
  zones?: readonly Zone[]
  bays?: readonly Schemas['Bay'][]
  from: ViewedFrom
  lengths: LengthFormat
  marks?: readonly Schemas['Mark'][]
  hide?: { swages?: boolean; zones?: boolean; bays?: boolean }
  label?: string
  /** Whether members can be dragged. */
  movable?: boolean
  /** Whether a click says a place, and not only a double click. */
  picking?: boolean
  /** What the drawing opens on; the whole panel when left out. */
  focus?: Box
}>()
const emit = defineEmits<{ member: [index: number]; moved: [index: number, ds: number, dt: number]; place: [at: Point] }>()
const { t } = useI18n()
const svg = ref<SVGSVGElement | null>(null)
const facing = computed(() => facingOf(props.panel))
const view = useViewport(
  svg,
  () => props.focus ?? boxOf(props.panel.outline),
  () => viewSigns(facing.value, props.from),
)
const { x, y, path, scale, width, height, toPanel, fit, zoomBy } = view
defineExpose({ fit, zoomBy })

/** A member in hand, and how far it was carried, px. */
const held = ref<{ i: number; x: number; y: number; dx: number; dy: number } | null>(null)
function grip(event: PointerEvent, i: number) {
  if (!props.movable || event.button !== 0) return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = { i, x: event.clientX, y: event.clientY, dx: 0, dy: 0 }
}
function drag(event: PointerEvent) {
  if (held.value) held.value = { ...held.value, dx: event.clientX - held.value.x, dy: event.clientY - held.value.y }
}
function drop() {
  const h = held.value
  held.value = null
  if (!h || Math.hypot(h.dx, h.dy) < 4) return
  const { s, t: up } = view.sign.value
  emit('moved', h.i, Math.round((h.dx / scale.value) * s), Math.round((-h.dy / scale.value) * up))
}
function placed(event: MouseEvent) {
  const box = svg.value!.getBoundingClientRect()
  const p = toPanel(event.clientX - box.left, event.clientY - box.top)
  emit('place', { sMm: Math.round(p.sMm), tMm: Math.round(p.tMm) })
}
/** Width of a letter of a name, px. */
const letter = 6.6
const outlines = computed(() => props.members.map((m) => footprintOutline(m.footprint)))
const swages = computed(() => props.members.flatMap((m, i) => (m.role === 'pressed' && !props.hide?.swages ? [i] : [])))
const solid = computed(() => props.members.flatMap((m, i) => (m.role === 'pressed' ? [] : [i])))
const corner = computed(() => [toPanel(0, 0), toPanel(width.value, height.value)] as const)
const along = computed(() =>
  rulerMarks(
    Math.min(corner.value[0].sMm, corner.value[1].sMm),
    Math.max(corner.value[0].sMm, corner.value[1].sMm),
    scale.value,
    props.lengths,
  ),
)
const across = computed(() =>
  rulerMarks(
    Math.min(corner.value[0].tMm, corner.value[1].tMm),
    Math.max(corner.value[0].tMm, corner.value[1].tMm),
    scale.value,
    props.lengths,
    40,
  ),
)

/**
 * Names of upright members stand below the panel; those of other members beside their middle, further along where one stands already.
 * A name for which there is no room is left to the pointer.
 */
const names = computed(() => {
  const edge = boxOf(props.panel.outline)
  const foot = Math.min(Math.max(y(edge.t1), y(edge.t2)), height.value - 46) + 15
  const all = solid.value.map((i) => {
    const box = boxOf(outlines.value[i]!)
    const half = (props.members[i]!.name.length * letter) / 2
    const upright = box.t2 - box.t1 > box.s2 - box.s1
    const [left, right] = [Math.min(x(box.s1), x(box.s2)), Math.max(x(box.s1), x(box.s2))]
    // What lies partly outside the drawing is named within it.
    const within = (at: number) => Math.min(Math.max(at, 40 + half), width.value - half - 4)
    const middle = upright ? foot : y((box.t1 + box.t2) / 2) + 4
    const at = upright
      ? right < 36 || left > width.value
        ? []
        : [within((left + right) / 2)]
      : [0, 1, 2, 3, 4].map((k) => within(Math.max(left, narrow.value ? 40 : 290) + 46 + half + k * 110))
    return { i, y: middle, half, at }
  })
  const places = firstFree(all.map((n) => n.at.map((at) => ({ x1: at - n.half, x2: at + n.half, y1: n.y - 11, y2: n.y + 3 }))))
  return all.flatMap((n, k) => (places[k] == null ? [] : [{ i: n.i, x: n.at[places[k]!]!, y: n.y }]))
})
const areas = computed(() =>
  (props.hide?.zones ? [] : (props.zones ?? [])).flatMap((zone) => {
    const box = zoneBox(zone, facing.value)
    return box ? [{ zone, box }] : []
  }),
)
/** Which way the front of the vehicle, or on its ends its right side, lies on the drawing. */
const ends = computed(() => facing.value === 'rear' || facing.value === 'front')
const frontLeft = computed(() => view.sign.value.s > 0)
/** On a phone there is no room in the foot for where the panel is seen from; the switch above says it. */
const narrow = computed(() => width.value < 560)
const sideAt = computed(() => (narrow.value ? width.value - 84 : width.value / 2 - 34))
const bayLabels = computed(() =>
  (props.hide?.bays ? [] : (props.bays ?? []))
    .filter((b) => b.clearWidthMm * scale.value > 26 && b.clearHeightMm * scale.value > 60)
    .map((b) => {
      const box = b.clearRectangle
      const top = Math.min(y(box.tMinMm), y(box.tMaxMm))
      const [x1, x2] = [x(box.sMinMm), x(box.sMaxMm)]
      return { bay: b, x1: Math.min(x1, x2), x2: Math.max(x1, x2), y: top + 22 }
    }),
)
</script>

<template>
  <div class="board">
    <svg
      ref="svg"
      class="drawing"
      :class="{ picking }"
      :aria-label="label ?? t('drawing.label')"
      role="application"
      tabindex="0"
      @click="(event) => picking && placed(event)"
    >
      <defs>
        <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--metal-2)" />
          <line x1="0" x2="0" y1="0" y2="7" stroke="var(--metal-4)" stroke-width="2.4" />
        </pattern>
        <pattern id="hatch-structural" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--metal-3)" />
          <path d="M0 0v7M0 0h7" stroke="var(--metal-6)" stroke-width="2.4" />
        </pattern>
        <pattern id="hatch-keep-out" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <rect width="8" height="8" fill="var(--stop-soft)" />
          <line x1="0" x2="0" y1="0" y2="8" stroke="var(--stop)" stroke-width="2" />
        </pattern>
        <ArrowHead />
      </defs>
      <path class="skin" :d="path(panel.outline)" @dblclick="(event) => !picking && placed(event)" />
      <g v-if="!hide?.swages">
        <path v-for="i in swages" :key="i" class="swage" :d="path(outlines[i]!)">
          <title>{{ members[i]!.name }}</title>
        </path>
      </g>
      <rect
        v-for="a in areas"
        :key="a.zone.name"
        class="zone"
        :x="Math.min(x(a.box.s1), x(a.box.s2))"
        :y="Math.min(y(a.box.t1), y(a.box.t2))"
        :width="(a.box.s2 - a.box.s1) * scale"
        :height="(a.box.t2 - a.box.t1) * scale"
      />
      <path
        v-for="i in solid"
        :key="i"
        class="member"
        :class="members[i]!.role"
        :d="path(outlines[i]!)"
        :transform="held?.i === i ? `translate(${held.dx} ${held.dy})` : undefined"
        :data-draggable="movable ? '' : undefined"
        @dblclick="emit('member', i)"
        @pointerdown="(event) => grip(event, i)"
        @pointermove="drag"
        @pointerup="drop"
        @pointercancel="held = null"
      >
        <title>{{ members[i]!.name }}, {{ t(`walkaround.roles.${members[i]!.role}`) }}</title>
      </path>
      <g v-if="!hide?.bays" class="bays">
        <g v-for="b in bayLabels" :key="b.bay.label">
          <text class="letter" :x="(b.x1 + b.x2) / 2" :y="b.y">{{ b.bay.label }}</text>
          <DimensionLine
            v-if="b.x2 - b.x1 > 46"
            :x1="b.x1"
            :y1="b.y + 16"
            :x2="b.x2"
            :y2="b.y + 16"
            :text="lengthNumber(b.bay.clearWidthMm, lengths)"
          />
        </g>
      </g>
      <g class="zone-names">
        <text
          v-for="a in areas"
          :key="a.zone.name"
          :x="Math.min(x(a.box.s1), x(a.box.s2)) + 5"
          :y="Math.max(y(a.box.t1), y(a.box.t2)) - 6"
        >
          {{ a.zone.name }}
        </text>
      </g>
      <slot :view="view" />
      <path
        v-for="(mark, i) in marks ?? []"
        :key="i"
        class="mark"
        :class="{ area: mark.isArea }"
        :d="mark.isArea ? path(mark.points) : path(mark.points).slice(0, -1)"
      />
      <g class="names">
        <text v-for="n in names" :key="n.i" :x="n.x" :y="n.y" text-anchor="middle">{{ members[n.i]!.name }}</text>
      </g>
      <g class="ruler">
        <rect x="0" y="0" :width="width" height="24" />
        <rect x="0" y="24" width="36" :height="height" />
        <g v-for="m in along" :key="m.mm">
          <line :x1="x(m.mm)" :x2="x(m.mm)" :y1="m.major ? 13 : 18" y2="24" />
          <text v-if="m.major" :x="x(m.mm) + 3" y="13">{{ lengthNumber(m.mm, lengths) }}</text>
        </g>
        <g v-for="m in across" :key="m.mm">
          <line x1="30" x2="36" :y1="y(m.mm)" :y2="y(m.mm)" />
          <text v-if="m.major && y(m.mm) > 40 && y(m.mm) < height - 30" x="2" :y="y(m.mm) - 2">
            {{ lengthNumber(m.mm, lengths) }}
          </text>
        </g>
      </g>
      <g class="foot" :transform="`translate(0 ${height})`">
        <rect x="0" y="-26" :width="width" height="26" />
        <path :d="frontLeft ? 'M50 -13h40M50 -13l8-4.5M50 -13l8 4.5' : 'M50 -13h40M90 -13l-8-4.5M90 -13l-8 4.5'" />
        <text x="98" y="-8.5">{{ t(ends ? 'drawing.right' : 'drawing.front') }}</text>
        <template v-if="isLevel(facing)">
          <path :d="`M${sideAt - 10} -22v17l-4 -6M${sideAt - 10} -5l4 -6`" />
          <text :x="sideAt" y="-8.5">{{ t(view.sign.value.t < 0 ? 'drawing.left' : 'drawing.right') }}</text>
        </template>
        <text v-if="!narrow" class="quiet" :x="width - 12" y="-8.5" text-anchor="end">{{ seenFrom(panel, from) }}</text>
      </g>
    </svg>
    <ZoomButtons :view="view" />
  </div>
</template>

<style scoped>
.picking {
  cursor: crosshair;
}
.skin {
  fill: var(--sheet);
  stroke: var(--edge-strong);
}
.swage {
  fill: var(--metal-1);
  stroke: var(--metal-2);
}
.member {
  fill: url(#hatch);
  stroke: var(--metal-5);
}
.member[data-draggable] {
  cursor: grab;
}
.member.structural {
  fill: url(#hatch-structural);
  stroke: var(--metal-7);
}
.member.keepOut {
  fill: url(#hatch-keep-out);
  stroke: var(--stop);
}
.zone {
  fill: color-mix(in srgb, var(--rust) 5%, transparent);
  stroke: var(--rust);
  stroke-dasharray: 2 5;
}
.zone-names text {
  font-size: 12.5px;
  fill: var(--rust-deep);
  pointer-events: none;
  paint-order: stroke;
  stroke: color-mix(in srgb, var(--sheet) 80%, transparent);
  stroke-width: 3px;
}
.letter {
  font-size: 17px;
  font-weight: 600;
  fill: var(--soft);
  text-anchor: middle;
}
.names text {
  font-size: 12.5px;
  font-weight: 500;
  fill: var(--label);
  pointer-events: none;
  paint-order: stroke;
  stroke: color-mix(in srgb, var(--sheet) 85%, transparent);
  stroke-width: 3px;
}
.mark {
  fill: none;
  stroke: var(--rust);
  stroke-width: 3;
  pointer-events: none;
}
.mark.area {
  fill: color-mix(in srgb, var(--rust) 15%, transparent);
}
.ruler rect {
  fill: var(--metal-1);
}
.ruler line {
  stroke: var(--edge-strong);
}
.ruler text {
  font-size: 11.5px;
  fill: var(--soft);
}
.foot rect {
  fill: color-mix(in srgb, var(--primer) 90%, transparent);
}
.foot path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.foot text {
  font-size: 13px;
  font-weight: 500;
  fill: var(--ink);
}
.foot .quiet {
  fill: var(--soft);
  font-weight: 400;
}
</style>
