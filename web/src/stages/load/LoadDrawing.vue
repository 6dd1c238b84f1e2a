<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import { floorMm, picture, type Ball, type Place } from './picture'
import type { LoadCase, LoadLine, LoadOfVehicle } from './useLoad'

/** The vehicle from the left and from above, with everything it carries at its place and what its axles take. */
const props = defineProps<{
  load: LoadOfVehicle
  of: LoadCase
  masses: { floorHeightMm?: number | null } | null
  on: string | null
}>()
const emit = defineEmits<{
  point: [id: string | null]
  open: [line: LoadLine]
  move: [line: LoadLine, to: Place]
  drop: [byKey: boolean]
}>()
const { t } = useI18n()
const { lengths } = useState()
const root = ref<HTMLElement | null>(null)
const size = ref({ width: 800, height: 520 })
let watcher: ResizeObserver | undefined
onMounted(() => {
  watcher = new ResizeObserver(([entry]) => (size.value = entry!.contentRect))
  watcher.observe(root.value!)
})
onBeforeUnmount(() => watcher?.disconnect())
const drawn = computed(() => picture(props.load, props.of, size.value, floorMm(props.masses)))
const path = (points: readonly (readonly [number, number])[]) => points.map(([x, y]) => `${x},${y}`).join(' ')
const said = (b: Ball) =>
  `${b.number}: ${b.line.item.name}, ${Math.round(b.line.item.kg * 10) / 10} kg, ${lengthText(b.line.item.at.xMm, lengths.value)}`

/** A mass that somebody holds: on the side it moves along and up, from above along and across. */
let held: { ball: Ball; view: 'side' | 'above' } | null = null
function down(event: PointerEvent, ball: Ball, view: 'side' | 'above') {
  if (event.button !== 0 || ball.line.source !== 'own') return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held = { ball, view }
}
function drag(event: PointerEvent) {
  if (!held) return
  const box = root.value!.getBoundingClientRect()
  emit(
    'move',
    held.ball.line,
    drawn.value.placeAt(held.view, held.ball.line.item.at, event.clientX - box.left, event.clientY - box.top),
  )
}
function release() {
  if (held) emit('drop', false)
  held = null
}
function nudge(event: KeyboardEvent, ball: Ball, view: 'side' | 'above') {
  if (event.key === 'Enter') return emit('open', ball.line)
  const by = event.shiftKey ? 100 : 10
  const step = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] }[event.key]
  if (!step || ball.line.source !== 'own') return
  event.preventDefault()
  const at = ball.line.item.at
  const along = { ...at, xMm: at.xMm + step[0]! }
  emit('move', ball.line, view === 'side' ? { ...along, zMm: at.zMm + step[1]! } : { ...along, yMm: at.yMm - step[1]! })
  emit('drop', true)
}
</script>

<template>
  <div ref="root" class="load-drawing">
    <svg :width="size.width" :height="size.height" role="group" :aria-label="t('load.drawing')">
      <text class="caption" :x="12" :y="18">{{ t('load.fromLeft') }}</text>
      <text class="caption" :x="12" :y="drawn.aboveTop + 14">{{ t('load.fromAbove') }}</text>
      <template v-if="drawn.cab">
        <polygon class="cab" :points="path(drawn.cab.side)">
          <title>{{ t('load.cab') }}</title>
        </polygon>
        <polygon class="cab" :points="path(drawn.cab.above)">
          <title>{{ t('load.cab') }}</title>
        </polygon>
      </template>
      <polygon class="shell" :points="path(drawn.side)" />
      <polygon class="shell" :points="path(drawn.above)" />
      <template v-if="drawn.gear">
        <line class="road" :x1="8" :x2="size.width - 8" :y1="drawn.gear.roadY" :y2="drawn.gear.roadY" />
        <line class="beam" :x1="drawn.gear.beam[0]" :x2="drawn.gear.beam[1]" :y1="drawn.gear.beamY" :y2="drawn.gear.beamY" />
        <template v-for="axle in drawn.gear.axles" :key="axle.key">
          <circle
            v-if="axle.wheel"
            class="wheel"
            :cx="axle.x"
            :cy="drawn.gear.roadY - drawn.gear.wheelR"
            :r="drawn.gear.wheelR"
          />
          <path v-else class="coupling" :d="`M${axle.x - 9} ${drawn.gear.beamY + 12} h18 l-9 -14 z`" />
          <line class="axis" :x1="axle.x" :x2="axle.x" :y1="drawn.gear.roadY" :y2="drawn.aboveBottom" />
          <g v-if="axle.kg !== null" class="carries" :class="axle.state" :data-axle="axle.key">
            <text :x="axle.x" :y="drawn.gear.roadY + 20">{{ `${axle.kg} kg` }}</text>
          </g>
        </template>
      </template>
      <template v-for="view in ['side', 'above'] as const" :key="view">
        <g
          v-for="b in drawn.balls[view]"
          :key="`${view}${b.line.source}${b.line.id}`"
          class="ball"
          :class="[b.look, { on: on === b.line.id, moves: b.line.source === 'own' }]"
          tabindex="0"
          role="button"
          :aria-label="said(b)"
          :data-ball="view === 'side' ? b.line.item.name : undefined"
          @pointerdown="down($event, b, view)"
          @pointermove="drag"
          @pointerup="release"
          @pointercancel="release"
          @mouseenter="emit('point', b.line.id)"
          @mouseleave="emit('point', null)"
          @focus="emit('point', b.line.id)"
          @blur="emit('point', null)"
          @dblclick="emit('open', b.line)"
          @keydown="nudge($event, b, view)"
        >
          <title>{{ said(b) }}</title>
          <circle :cx="b.x" :cy="b.y" :r="b.r" />
          <text :x="b.x" :y="b.y + 4">{{ b.number }}</text>
        </g>
        <g v-if="drawn.centre[view]" class="centre" :transform="`translate(${drawn.centre[view]})`">
          <title>{{ t('load.centre') }}</title>
          <circle r="10" />
          <path d="M0 0 V-10 A10 10 0 0 1 10 0 Z M0 0 V10 A10 10 0 0 1 -10 0 Z" />
        </g>
      </template>
    </svg>
  </div>
</template>

<style scoped>
.load-drawing {
  position: relative;
  min-height: 420px;
  overflow: hidden;
  background: var(--sheet);
}
svg {
  position: absolute;
  inset: 0;
}
.caption {
  fill: var(--soft);
  font: 500 13px 'Source Sans 3';
}
.shell {
  fill: var(--metal-1);
  stroke: var(--metal-6);
  stroke-width: 1.5;
}
.cab {
  fill: none;
  stroke: var(--metal-3);
  stroke-dasharray: 6 4;
}
.road {
  stroke: var(--edge-strong);
}
.beam {
  stroke: var(--metal-5);
  stroke-width: 5;
}
.wheel {
  fill: var(--metal-7);
  stroke: var(--paper);
  stroke-width: 3;
}
.coupling {
  fill: var(--metal-7);
}
.axis {
  stroke: var(--edge);
  stroke-dasharray: 8 3 2 3;
}
.carries text {
  fill: var(--teal-deep);
  font: 600 15px 'Source Sans 3';
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
.carries.needsWork text {
  fill: var(--amber);
}
.carries.blocked text {
  fill: var(--stop);
}
.ball {
  cursor: pointer;
  outline: none;
  touch-action: none;
}
.ball.moves {
  cursor: grab;
}
.ball circle {
  fill: var(--teal-soft);
  stroke: var(--teal);
  stroke-width: 1.5;
}
.ball text {
  fill: var(--ink);
  font: 600 11px 'Source Sans 3';
  text-anchor: middle;
  pointer-events: none;
}
.ball.planned circle {
  fill: var(--white);
  stroke-dasharray: 4 3;
}
.ball.out circle {
  fill: var(--paper);
  stroke: var(--faint);
  stroke-dasharray: 2 3;
}
.ball.aside {
  opacity: 0.35;
}
.ball.on circle,
.ball:focus-visible circle {
  stroke: var(--rust);
  stroke-width: 3;
}
.centre circle {
  fill: var(--white);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.centre path {
  fill: var(--ink);
}
.centre {
  pointer-events: none;
}
</style>
