<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Point } from '@/api/client'
import { nudgeMm } from '@/app/length'
import { useState } from '@/app/state'

/** The points of what is being written down, as handles on whatever drawing it lies: dragged by hand or pen, or moved by arrow keys. */
const props = defineProps<{
  points: readonly Point[]
  isArea: boolean
  /** From the panel to the drawing, px. */
  at: (p: Point) => { x: number; y: number }
  /** From the drawing back to the panel. */
  back: (x: number, y: number) => Point
  label: (i: number) => string
}>()
const emit = defineEmits<{ move: [i: number, to: Point]; nudge: [i: number, way: readonly [number, number], by: number] }>()
const held = ref<number | null>(null)
const { lengths } = useState()

/** Handles of what is small on the drawing stand off it, so that a finger can tell them apart, px. */
const apart = 24
const spots = computed(() => {
  const own = props.points.map(props.at)
  const middle = { x: own.reduce((sum, p) => sum + p.x, 0) / own.length, y: own.reduce((sum, p) => sum + p.y, 0) / own.length }
  return own.map((p) => {
    const [dx, dy] = [p.x - middle.x, p.y - middle.y]
    const far = Math.hypot(dx, dy)
    const out = own.length > 1 && far > 0 && far < apart ? apart / far : 1
    return { ...p, hx: middle.x + dx * out, hy: middle.y + dy * out }
  })
})
/** Where the finger holds a handle, as seen from the point that it moves, px. */
let grip = { x: 0, y: 0 }
const pointer = (event: PointerEvent) => {
  const box = (event.currentTarget as SVGGraphicsElement).ownerSVGElement!.getBoundingClientRect()
  return { x: event.clientX - box.left, y: event.clientY - box.top }
}
function down(event: PointerEvent, i: number) {
  if (event.button !== 0) return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  const p = pointer(event)
  grip = { x: spots.value[i]!.x - p.x, y: spots.value[i]!.y - p.y }
  held.value = i
}
function drag(event: PointerEvent, i: number) {
  if (held.value !== i) return
  const p = pointer(event)
  emit('move', i, props.back(p.x + grip.x, p.y + grip.y))
}
const ways: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function key(event: KeyboardEvent, i: number) {
  const way = ways[event.key]
  if (!way || event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  emit('nudge', i, way, nudgeMm(lengths.value, event.shiftKey))
}
const path = computed(
  () => 'M' + spots.value.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L') + (props.isArea ? 'Z' : ''),
)
</script>

<template>
  <g class="shape">
    <path :class="{ area: isArea }" :d="path" />
    <g
      v-for="(p, i) in spots"
      :key="i"
      class="handle"
      :class="{ held: held === i }"
      data-draggable
      tabindex="0"
      role="button"
      :aria-label="label(i)"
      @pointerdown="(event) => down(event, i)"
      @pointermove="(event) => drag(event, i)"
      @pointerup="held = null"
      @pointercancel="held = null"
      @keydown="(event) => key(event, i)"
      @click.stop
    >
      <line :x1="p.x" :y1="p.y" :x2="p.hx" :y2="p.hy" />
      <circle class="reach" :cx="p.hx" :cy="p.hy" r="20" />
      <circle :cx="p.hx" :cy="p.hy" :r="points.length === 1 ? 10 : 7" />
    </g>
  </g>
</template>

<style scoped>
.shape > path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.4;
  pointer-events: none;
}
.shape > .area {
  fill: color-mix(in srgb, var(--rust) 22%, transparent);
}
.handle {
  cursor: grab;
  outline: none;
  touch-action: none;
}
.held {
  cursor: grabbing;
}
circle {
  fill: var(--white);
  stroke: var(--ink);
  stroke-width: 2.4;
}
line {
  stroke: var(--ink);
}
/* As big as a thumb. */
.reach {
  fill: transparent;
  stroke: none;
}
.handle:focus-visible circle:not(.reach) {
  stroke: var(--rust);
  stroke-width: 4;
}
</style>
