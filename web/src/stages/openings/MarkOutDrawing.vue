<script setup lang="ts">
import ArrowHead from '@/drawing/ArrowHead.vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fitting, LengthFormat, Panel, Point, Schemas } from '@/api/client'
import { lengthNumber } from '@/app/length'
import DimensionLine from '@/drawing/DimensionLine.vue'
import { facingOf, isLevel, seenFrom, sideWord, viewSigns } from '@/drawing/facing'
import { boxOf, turnedShape, type Box } from '@/drawing/geometry'
import { useViewport } from '@/drawing/viewport'

/** What is marked on the metal, to scale: cut lines, centre lines, edges to measure from, holes, the blade's path. */
const props = defineProps<{
  sheet: Schemas['SettingOutSheet']
  fitting: Fitting
  turnDeg: number
  lengths: LengthFormat
  panel: Panel
}>()
const { t } = useI18n()
const svg = ref<SVGSVGElement | null>(null)

/** Edges further away than this are named at the margin instead of drawn in place, mm. */
const nearMm = 260

const near = (line: Schemas['CutLine']) => line.tapeFromMm <= nearMm && line.tapeToMm <= nearMm
const bounds = computed<Box>(() => {
  const f = turnedShape(props.fitting.flange, props.turnDeg)
  const c = props.sheet.centre
  const corners: Point[] = [
    { sMm: c.sMm - f.widthMm / 2 - 60, tMm: c.tMm - f.heightMm / 2 - 60 },
    { sMm: c.sMm + f.widthMm / 2 + 60, tMm: c.tMm + f.heightMm / 2 + 60 },
  ]
  return boxOf([...corners, ...props.sheet.cutLines.filter(near).flatMap((l) => [l.datumFrom, l.datumTo])])
})
const view = useViewport(
  svg,
  () => bounds.value,
  () => viewSigns(facingOf(props.panel), props.sheet.view),
  { left: 70, top: 40, right: 70, bottom: 56 },
)
const { x, y, scale, width, height } = view

const rect = (shape: Schemas['RoundedRectangle']) => ({
  x: x(props.sheet.centre.sMm) - (shape.widthMm * scale.value) / 2,
  y: y(props.sheet.centre.tMm) - (shape.heightMm * scale.value) / 2,
  width: shape.widthMm * scale.value,
  height: shape.heightMm * scale.value,
  rx: shape.cornerRadiusMm * scale.value,
})
const facing = computed(() => facingOf(props.panel))
const towards = computed(() => t(facing.value === 'rear' || facing.value === 'front' ? 'drawing.right' : 'drawing.front'))
/** What lies above and below on the drawing. */
const edges = computed(() => {
  const names = isLevel(facing.value)
    ? [t('drawing.left'), t('drawing.right')]
    : [sideWord(facing.value, 'top'), sideWord(facing.value, 'bottom')]
  return view.sign.value.t > 0 ? names : names.toReversed()
})
/** A name whose middle is here stays on the drawing, px. */
const within = (at: number, name: string) => {
  const half = name.length * 3.2 + 4
  return Math.min(Math.max(at, half), width.value - half)
}
const middle = (a: Point, b: Point) => ({ sMm: (a.sMm + b.sMm) / 2, tMm: (a.tMm + b.tMm) / 2 })
const lines = computed(() =>
  props.sheet.cutLines.map((line) => {
    const shift =
      line.side === 'front' || line.side === 'rear'
        ? { s: 0, t: (line.to.tMm - line.from.tMm) * 0.22 }
        : { s: (line.to.sMm - line.from.sMm) * 0.22, t: 0 }
    const at = middle(line.from, line.to)
    const datum = middle(line.datumFrom, line.datumTo)
    const far = !near(line)
    const out = { front: [-1, 0], rear: [1, 0], top: [0, 1], bottom: [0, -1] }[line.side] as [number, number]
    const reach = 78 / scale.value
    const end = far ? { sMm: at.sMm + out[0] * reach, tMm: at.tMm + out[1] * reach } : datum
    return {
      line,
      far,
      from: { sMm: at.sMm + shift.s, tMm: at.tMm + shift.t },
      to: { sMm: end.sMm + shift.s, tMm: end.tMm + shift.t },
      text:
        line.tapeFromMm === line.tapeToMm || far
          ? lengthNumber(line.tapeFromMm, props.lengths)
          : `${lengthNumber(line.tapeFromMm, props.lengths)} / ${lengthNumber(line.tapeToMm, props.lengths)}`,
    }
  }),
)
</script>

<template>
  <div class="board">
    <svg ref="svg" class="drawing" role="img" :aria-label="t('openings.tab.mark-out')">
      <defs>
        <ArrowHead />
      </defs>
      <rect class="flange" v-bind="rect(turnedShape(fitting.flange, turnDeg))" />
      <rect class="cut" v-bind="rect(sheet.cutOut)" />
      <rect class="path" v-bind="rect(sheet.cutPath.path)" />
      <line
        class="centre"
        :x1="x(sheet.acrossLine.from.sMm)"
        :x2="x(sheet.acrossLine.to.sMm)"
        :y1="y(sheet.acrossLine.from.tMm) + 30 * view.sign.value.t"
        :y2="y(sheet.acrossLine.to.tMm) - 30 * view.sign.value.t"
      />
      <line
        class="centre"
        :x1="x(sheet.alongLine.from.sMm) - 30"
        :x2="x(sheet.alongLine.to.sMm) + 30"
        :y1="y(sheet.alongLine.from.tMm)"
        :y2="y(sheet.alongLine.to.tMm)"
      />
      <line
        class="diagonal"
        :x1="x(sheet.throughHoles[0]!.centre.sMm)"
        :y1="y(sheet.throughHoles[0]!.centre.tMm)"
        :x2="x(sheet.throughHoles[2]!.centre.sMm)"
        :y2="y(sheet.throughHoles[2]!.centre.tMm)"
      />
      <g v-for="l in lines" :key="l.line.side">
        <template v-if="!l.far">
          <line
            class="datum"
            :x1="x(l.line.datumFrom.sMm)"
            :y1="y(l.line.datumFrom.tMm)"
            :x2="x(l.line.datumTo.sMm)"
            :y2="y(l.line.datumTo.tMm)"
          />
        </template>
        <DimensionLine :x1="x(l.to.sMm)" :y1="y(l.to.tMm)" :x2="x(l.from.sMm)" :y2="y(l.from.tMm)" :text="l.text" />
        <text
          class="datum-name"
          :x="within(x(l.to.sMm), l.line.datum)"
          :y="y(l.to.tMm) + (l.line.side === 'front' || l.line.side === 'rear' ? 22 : y(l.to.tMm) > y(l.from.tMm) ? 16 : -8)"
          text-anchor="middle"
        >
          {{ l.line.datum }}
        </text>
      </g>
      <circle
        v-for="(h, i) in sheet.startHoles"
        :key="`s${i}`"
        class="start"
        :cx="x(h.centre.sMm)"
        :cy="y(h.centre.tMm)"
        :r="Math.max(3, (h.diameterMm / 2) * scale)"
      />
      <g
        v-for="(h, i) in sheet.throughHoles"
        :key="`t${i}`"
        class="through"
        :transform="`translate(${x(h.centre.sMm)} ${y(h.centre.tMm)})`"
      >
        <circle r="3" />
        <path d="M-9 0h18M0 -9v18" />
      </g>
      <circle
        v-for="(h, i) in sheet.screwHoles"
        :key="`p${i}`"
        class="screw"
        :cx="x(h.centre.sMm)"
        :cy="y(h.centre.tMm)"
        r="2.4"
      />
      <text class="size" :x="x(sheet.centre.sMm)" :y="y(sheet.centre.tMm) - 12" text-anchor="middle">
        {{ lengthNumber(sheet.cutOut.widthMm, lengths) }} x {{ lengthNumber(sheet.cutOut.heightMm, lengths) }}
      </text>
      <g :transform="`translate(0 ${height})`" class="foot">
        <rect x="0" y="-28" :width="width" height="28" />
        <path :d="view.sign.value.s > 0 ? 'M16 -13h46M16 -13l9-5M16 -13l9 5' : 'M16 -13h46M62 -13l-9-5M62 -13l-9 5'" />
        <text x="70" y="-8.5">{{ towards }}</text>
        <text :x="width - 14" y="-8.5" text-anchor="end">{{ seenFrom(panel, sheet.view) }}</text>
      </g>
      <text class="edge-name" :x="width / 2" y="20" text-anchor="middle">{{ edges[0] }}</text>
      <text class="edge-name" :x="width / 2" :y="height - 36" text-anchor="middle">{{ edges[1] }}</text>
    </svg>
  </div>
</template>

<style scoped>
.board {
  min-width: 0;
  min-height: 0;
  height: 100%;
}
.drawing {
  display: block;
  width: 100%;
  height: 100%;
  background: var(--sheet);
  touch-action: none;
}
.flange {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 6 4;
}
.cut {
  fill: var(--white);
  stroke: var(--rust);
  stroke-width: 2.6;
}
.path {
  fill: none;
  stroke: var(--rust);
  stroke-dasharray: 3 3;
}
.centre {
  stroke: var(--soft);
  stroke-dasharray: 12 3 2 3;
}
.diagonal {
  stroke: var(--metal-3);
}
.datum {
  stroke: var(--ink);
  stroke-width: 3;
}
.datum-name,
.edge-name {
  font-size: 12.5px;
  fill: var(--label);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.edge-name {
  fill: var(--soft);
}
.start {
  fill: color-mix(in srgb, var(--rust) 20%, transparent);
  stroke: var(--rust);
}
.through circle {
  fill: var(--ink);
}
.through path {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.screw {
  fill: none;
  stroke: var(--ink);
}
.size {
  font-size: 14px;
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--white);
  stroke-width: 4px;
}
.foot rect {
  fill: var(--primer);
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
@media (max-width: 1000px) {
  .board {
    height: 60vh;
  }
}
</style>
