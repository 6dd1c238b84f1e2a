<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LengthFormat, Point, Schemas } from '@/api/client'
import { lengthNumber } from '@/app/length'
import FindingMark from './FindingMark.vue'
import { facingOf, isLevel, panelName, type ViewedFrom } from './facing'
import { noseMm } from './bodyHints'
import { boxAround, footprintOutline, middleOf, turnedShape, type Box } from './geometry'
import { overlap, placeLabels } from './labels'
import ShellHints from './ShellHints.vue'
import { rulerMarks } from './ruler'
import { unfolded, type LaidPanel } from './unfolded'
import { useViewport } from './viewport'
import ZoomButtons from './ZoomButtons.vue'
import { zoneBox } from './zones'
import { useAllBays } from './useAllBays'

/** The whole shell, unfolded to scale, with what is on it. Layers are drawn in the order in which one would paint them. */
const props = defineProps<{
  shell: Schemas['WholeShell']
  fittings: readonly { id: string; value: Schemas['Fitting'] }[]
  from: ViewedFrom
  lengths: LengthFormat
  layers: { members: boolean; findings: boolean; openings: boolean; zones: boolean; bays: boolean }
  /** Numbers of the findings in the order of work, by id. */
  numbers: Record<string, number>
  shown: string | null
  /** Places of marks that the caller draws: no name covers them. */
  marks?: readonly { panelId: string; at: Point }[]
  /** The finding that is being written down, and drawn by its editor instead. */
  hidden?: string | null
  /** Whether a click on a panel says a place on it, instead of opening it. */
  picking?: boolean
}>()
const emit = defineEmits<{
  panel: [id: string]
  finding: [id: string]
  opening: [id: string]
  hover: [id: string | null]
  place: [panelId: string, at: Point]
}>()
defineSlots<{
  default(props: {
    at: (panelId: string, p: Point) => { x: number; y: number } | null
    /** From the drawing back to a panel, also beyond its edge. */
    back: (panelId: string, x: number, y: number) => Point
    scale: number
  }): unknown
}>()
const { t } = useI18n()
const svg = ref<SVGSVGElement | null>(null)
const laid = computed(() => unfolded(props.shell.panels as LaidPanel['row'][], props.from))
const bounds = computed<Box>(() => ({
  s1: Math.min(0, ...laid.value.map((l) => l.box.x1)) - noseMm(props.shell.vehicle.value.kind),
  s2: Math.max(1000, ...laid.value.map((l) => l.box.x2)),
  t1: Math.min(0, ...laid.value.map((l) => l.box.y1)),
  t2: Math.max(1000, ...laid.value.map((l) => l.box.y2)),
}))
const view = useViewport(
  svg,
  () => bounds.value,
  () => ({ s: 1, t: -1 }),
  { left: 14, top: 42, right: 12, bottom: 10 },
)
const { x, y, scale, width, height, toPanel, fit, zoomBy } = view
defineExpose({ fit, zoomBy })

const on = (l: LaidPanel, p: Point) => {
  const spot = l.at(p)
  return { x: x(spot.x), y: y(spot.y) }
}
/** What a caller lays over the shell is placed by panel and point. */
function atPanel(panelId: string, p: Point) {
  const l = laid.value.find((one) => one.row.id === panelId)
  return l ? on(l, p) : null
}
function fromDrawing(l: LaidPanel, px: number, py: number): Point {
  const spot = toPanel(px, py)
  // A panel is laid by turning and shifting, so that its own axes give the place back.
  const [o, s, up] = [l.at({ sMm: 0, tMm: 0 }), l.at({ sMm: 1, tMm: 0 }), l.at({ sMm: 0, tMm: 1 })]
  const [dx, dy] = [spot.sMm - o.x, spot.tMm - o.y]
  return {
    sMm: Math.round(dx * (s.x - o.x) + dy * (s.y - o.y)),
    tMm: Math.round(dx * (up.x - o.x) + dy * (up.y - o.y)),
  }
}
const back = (panelId: string, px: number, py: number) =>
  fromDrawing(
    laid.value.find((l) => l.row.id === panelId)!,
    px,
    py,
  )
function clicked(l: LaidPanel, event: MouseEvent) {
  if (!props.picking) return emit('panel', l.row.id)
  const box = svg.value!.getBoundingClientRect()
  emit('place', l.row.id, fromDrawing(l, event.clientX - box.left, event.clientY - box.top))
}
const path = (l: LaidPanel, points: readonly Point[]) =>
  'M' +
  points
    .map((p) => on(l, p))
    .map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`)
    .join('L') +
  'Z'
const corners = (b: Box): Point[] => [
  { sMm: b.s1, tMm: b.t1 },
  { sMm: b.s2, tMm: b.t1 },
  { sMm: b.s2, tMm: b.t2 },
  { sMm: b.s1, tMm: b.t2 },
]
const members = (l: LaidPanel) => props.shell.members.filter((m) => m.ownerId === l.row.id)
const findings = computed(() =>
  laid.value.flatMap((l) => props.shell.findings.filter((f) => f.ownerId === l.row.id).map((row) => ({ l, row }))),
)
const allBays = useAllBays(
  () => props.shell,
  () => props.layers.bays,
)
const bays = computed(() =>
  laid.value.flatMap((l) =>
    (allBays.value[l.row.id] ?? []).map((bay) => {
      const b = bay.clearRectangle
      return {
        key: l.row.id + bay.label,
        label: bay.label,
        at: on(l, { sMm: (b.sMinMm + b.sMaxMm) / 2, tMm: (b.tMinMm + b.tMaxMm) / 2 }),
      }
    }),
  ),
)
const openings = computed(() =>
  laid.value.flatMap((l) =>
    props.shell.openings
      .filter((o) => o.ownerId === l.row.id)
      .flatMap((row) => {
        const fitting = props.fittings.find((f) => f.id === row.value.fittingId)?.value
        if (!fitting) return []
        const cut = turnedShape(fitting.cutOut, row.value.turnDeg)
        const box = corners(boxAround(row.value.centre, cut.widthMm, cut.heightMm))
        const spots = box.map((p) => on(l, p))
        return [{ l, row, d: path(l, box), spots }]
      }),
  ),
)
const zones = computed(() =>
  laid.value
    .filter((l) => ['left', 'right', 'roof', 'floor'].includes(l.row.value.kind))
    .flatMap((l) =>
      props.shell.zones.flatMap((z) => {
        const box = zoneBox(z.value, facingOf(l.row.value))
        return box ? [{ key: l.row.id + z.id, name: z.value.name, d: path(l, corners(box)) }] : []
      }),
    ),
)
/** Stations run along the vehicle through every panel that does: one ruler for all. */
const stations = computed(() => {
  const along = laid.value.filter(
    (l) => isLevel(facingOf(l.row.value)) || facingOf(l.row.value) === 'left' || facingOf(l.row.value) === 'right',
  )
  const roof = laid.value.filter((l) => ['roof', 'left', 'right', 'floor'].includes(l.row.value.kind))
  if (roof.length === 0 || along.length === 0) return []
  const [from, to] = [Math.min(...roof.map((l) => l.box.x1)), Math.max(...roof.map((l) => l.box.x2))]
  const [a, b] = [toPanel(0, 0).sMm, toPanel(width.value, 0).sMm]
  return rulerMarks(Math.max(from, Math.min(a, b)), Math.min(to, Math.max(a, b)), scale.value, props.lengths).filter(
    (m) => m.major,
  )
})
const rect = (l: LaidPanel) => {
  const [xs, ys] = [
    [x(l.box.x1), x(l.box.x2)],
    [y(l.box.y1), y(l.box.y2)],
  ]
  return { x1: Math.min(...xs), x2: Math.max(...xs), y1: Math.min(...ys), y2: Math.max(...ys) }
}
/** Boxes of the marks that no name may cover. */
const marked = computed(() =>
  [
    ...(props.layers.findings ? findings.value.map((f) => on(f.l, middleOf(f.row.value.points))) : []),
    ...(props.marks ?? []).flatMap((m) => atPanel(m.panelId, m.at) ?? []),
  ].map((p) => ({ x1: p.x - 13, x2: p.x + 13, y1: p.y - 13, y2: p.y + 13 })),
)
/** Names stand on the cab beside the net; of what stands apart from it, within, in as many lines as they need, and beside its marks. */
const labels = computed(() =>
  laid.value.flatMap((l) => {
    const name = panelName(l.row.value)
    const box = rect(l)
    if (['roof', 'left', 'right', 'floor'].includes(l.row.value.kind))
      return [
        {
          id: l.row.id,
          text: name,
          x: Math.max(8, box.x1 - 76),
          y: (box.y1 + box.y2) / 2 + (l.row.value.kind === 'roof' ? 24 : 5),
        },
      ]
    const [room, high] = [box.x2 - box.x1, box.y2 - box.y1]
    const lines = name.length * 7 < room ? [name] : name.split(' ')
    const wide = Math.max(...lines.map((word) => word.length)) * 7.4
    if (wide + 8 > room) return []
    const tall = 15 * lines.length
    const places = [box.y1 + 4, box.y1 + high * 0.3, (box.y1 + box.y2 - tall) / 2, box.y2 - tall - 4].flatMap((top) =>
      [box.x1 + 6, box.x2 - 6 - wide].map((left) => ({ x1: left, x2: left + wide, y1: top, y2: top + tall })),
    )
    const covers = (r: (typeof places)[number]) => marked.value.reduce((sum, m) => sum + overlap(r, m), 0)
    // A sliding door lies within its side, whose own things are at the top.
    if (l.row.value.kind === 'slidingDoor') places.reverse()
    // Where there is no room beside its marks the name would only hide them; hovering tells it.
    const best = places.find((r) => covers(r) === 0 && r.y1 >= box.y1 && r.y2 <= box.y2)
    if (!best) return []
    return lines.map((text, i) => ({ id: `${l.row.id} ${i}`, text, x: best.x1, y: best.y1 + 12 + 15 * i }))
  }),
)
/** Every opening has its name where no mark and no other name is. */
const openingNames = computed(() => {
  const around = (points: { x: number; y: number }[]) => ({
    x1: Math.min(...points.map((p) => p.x)),
    x2: Math.max(...points.map((p) => p.x)),
    y1: Math.min(...points.map((p) => p.y)),
    y2: Math.max(...points.map((p) => p.y)),
  })
  return placeLabels(
    openings.value.map((o) => ({ id: o.row.id, name: o.row.value.name, box: around(o.spots), home: rect(o.l) })),
    [...marked.value, ...labels.value.map((l) => ({ x1: l.x, x2: l.x + l.text.length * 7, y1: l.y - 12, y2: l.y + 3 }))],
    { x1: 0, x2: width.value, y1: 24, y2: height.value },
    { letter: 6.4, line: 15 },
  )
})
</script>

<template>
  <div class="board">
    <svg ref="svg" class="drawing" :class="{ picking }" :aria-label="t('walkaround.drawing')" role="application" tabindex="0">
      <defs>
        <pattern id="shell-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--ladder)" />
          <line x1="0" x2="0" y1="0" y2="6" stroke="var(--metal-3)" stroke-width="2" />
        </pattern>
      </defs>
      <template v-if="width > 0">
        <g class="stations">
          <line v-for="m in stations" :key="m.mm" :x1="x(m.mm)" :x2="x(m.mm)" y1="24" :y2="height" />
        </g>
        <ShellHints :laid="laid" :vehicle="shell.vehicle.value" :on="on">
          <g v-for="l in laid" :key="l.row.id" class="panel" data-testid="panel" @dblclick="!picking && emit('panel', l.row.id)">
            <path
              class="skin"
              tabindex="0"
              role="link"
              :aria-label="panelName(l.row.value)"
              :d="path(l, l.row.value.outline)"
              @click="clicked(l, $event)"
              @keydown.enter.stop="emit('panel', l.row.id)"
            >
              <title>{{ t('walkaround.openPanel', { panel: panelName(l.row.value) }) }}</title>
            </path>
            <template v-if="layers.members">
              <path
                v-for="m in members(l)"
                :key="m.id"
                class="member"
                :class="m.value.role"
                :d="path(l, footprintOutline(m.value.footprint))"
              >
                <title>{{ m.value.name }}, {{ t(`walkaround.roles.${m.value.role}`) }}</title>
              </path>
            </template>
          </g>
        </ShellHints>
        <template v-if="layers.zones">
          <path v-for="z in zones" :key="z.key" class="zone" :d="z.d">
            <title>{{ z.name }}</title>
          </path>
        </template>
        <g v-if="layers.bays" class="bays">
          <text v-for="b in bays" :key="b.key" :x="b.at.x" :y="b.at.y + 4">{{ b.label }}</text>
        </g>
        <template v-if="layers.openings">
          <g
            v-for="o in openings"
            :key="o.row.id"
            class="opening"
            :class="[o.row.value.state, { shown: shown === o.row.id }]"
            data-draggable
            tabindex="0"
            role="link"
            :aria-label="o.row.value.name"
            @click="emit('opening', o.row.id)"
            @keydown.enter.stop="emit('opening', o.row.id)"
            @mouseenter="emit('hover', o.row.id)"
            @mouseleave="emit('hover', null)"
          >
            <title>{{ o.row.value.name }}, {{ t(`openings.state.${o.row.value.state}`) }}</title>
            <path :d="o.d" />
          </g>
        </template>
        <g v-if="layers.openings" class="opening-names">
          <text v-for="label in openingNames" :key="label.id" :x="label.x" :y="label.y">{{ label.text }}</text>
        </g>
        <g class="names">
          <text v-for="label in labels" :key="label.id" :x="label.x" :y="label.y">{{ label.text }}</text>
        </g>
        <template v-if="layers.findings">
          <FindingMark
            v-for="f in findings.filter((one) => one.row.id !== hidden)"
            :key="f.row.id"
            :finding="f.row.value"
            :at="(p) => on(f.l, p)"
            :number="numbers[f.row.id]"
            :shown="shown === f.row.id"
            @open="emit('finding', f.row.id)"
            @mouseenter="emit('hover', f.row.id)"
            @mouseleave="emit('hover', null)"
          />
        </template>
        <slot :at="atPanel" :back="back" :scale="scale" />
        <g class="ruler">
          <rect x="0" y="0" :width="width" height="24" />
          <text class="quiet" x="8" y="16">{{ t('walkaround.stations') }}</text>
          <g v-for="m in stations" :key="m.mm">
            <line :x1="x(m.mm)" :x2="x(m.mm)" y1="17" y2="24" />
            <text :x="x(m.mm)" y="14" text-anchor="middle">{{ lengthNumber(m.mm, lengths) }}</text>
          </g>
        </g>
      </template>
    </svg>
    <ZoomButtons :view="view" />
  </div>
</template>

<style scoped>
.stations line {
  stroke: var(--line);
  stroke-dasharray: 2 4;
}
.skin {
  fill: var(--sheet);
  stroke: var(--metal-6);
  stroke-width: 1.4;
  cursor: pointer;
}
.picking .skin {
  cursor: crosshair;
}
.skin:hover {
  fill: var(--white);
}
.member {
  fill: url(#shell-hatch);
  stroke: var(--metal-4);
  stroke-width: 0.8;
  pointer-events: none;
}
.member.structural {
  fill: var(--metal-3);
  stroke: var(--metal-6);
}
.member.pressed {
  fill: var(--metal-1);
  stroke: var(--ladder);
}
.member.keepOut {
  fill: var(--stop-soft);
  stroke: var(--stop-line);
}
.zone {
  fill: color-mix(in srgb, var(--rust) 5%, transparent);
  stroke: var(--rust);
  stroke-dasharray: 2 5;
}
.opening {
  cursor: pointer;
}
.opening path {
  fill: var(--teal-soft);
  stroke: var(--teal);
  stroke-width: 1.8;
}
.opening.cut path {
  fill: var(--night);
  stroke: var(--rust);
}
.opening.shown path,
.opening:focus-visible path {
  stroke: var(--ink);
  stroke-width: 3;
}
.opening-names text {
  font-size: 12.5px;
  font-weight: 500;
  fill: var(--teal-deep);
  text-anchor: middle;
  pointer-events: none;
  paint-order: stroke;
  stroke: color-mix(in srgb, var(--sheet) 85%, transparent);
  stroke-width: 3px;
}
.bays text {
  font-size: 13px;
  font-weight: 600;
  fill: var(--faint);
  text-anchor: middle;
  pointer-events: none;
}
.names text {
  font-size: 13px;
  font-weight: 600;
  fill: var(--soft);
  pointer-events: none;
  paint-order: stroke;
  stroke: color-mix(in srgb, var(--primer) 80%, transparent);
  stroke-width: 3px;
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
</style>
