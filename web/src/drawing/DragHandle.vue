<script setup lang="ts">
import { ref } from 'vue'
import type { Point } from '@/api/client'
import { nudgeMm } from '@/app/length'
import { useState } from '@/app/state'
import type { Viewport } from './viewport'

/** Something on a drawing that can be dragged to the millimetre, or moved by arrow keys: a corner, or a line across the panel. */
const props = defineProps<{ view: Viewport; at: Point; label: string; line?: boolean }>()
const emit = defineEmits<{ move: [to: Point] }>()
const held = ref(false)
const { lengths } = useState()

function drag(event: PointerEvent) {
  if (!held.value) return
  const box = (event.currentTarget as SVGGraphicsElement).ownerSVGElement!.getBoundingClientRect()
  const p = props.view.toPanel(event.clientX - box.left, event.clientY - box.top)
  emit('move', { sMm: Math.round(p.sMm), tMm: Math.round(p.tMm) })
}
function down(event: PointerEvent) {
  if (event.button !== 0) return
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = true
}
function nudge(event: KeyboardEvent) {
  const by = nudgeMm(lengths.value, event.shiftKey)
  const step = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] }[event.key]
  if (!step) return
  event.preventDefault()
  event.stopPropagation()
  const sign = props.view.sign.value
  emit('move', { sMm: props.at.sMm + step[0]! * sign.s, tMm: props.at.tMm + step[1]! * sign.t })
}
</script>

<template>
  <g
    class="handle"
    :class="{ held }"
    data-draggable
    tabindex="0"
    role="button"
    :aria-label="label"
    @pointerdown="down"
    @pointermove="drag"
    @pointerup="held = false"
    @pointercancel="held = false"
    @keydown="nudge"
  >
    <title>{{ label }}</title>
    <template v-if="line">
      <line class="wide" :x1="view.x(at.sMm)" :x2="view.x(at.sMm)" y1="24" :y2="view.height.value - 26" />
      <line :x1="view.x(at.sMm)" :x2="view.x(at.sMm)" y1="24" :y2="view.height.value - 26" />
    </template>
    <circle v-else :cx="view.x(at.sMm)" :cy="view.y(at.tMm)" r="9" />
  </g>
</template>

<style scoped>
.handle {
  cursor: grab;
  outline: none;
  touch-action: none;
}
.held {
  cursor: grabbing;
}
circle {
  fill: color-mix(in srgb, var(--white) 80%, transparent);
  stroke: var(--rust);
  stroke-width: 2.4;
}
line {
  stroke: var(--rust);
  stroke-width: 2;
}
.wide {
  stroke: transparent;
  stroke-width: 22;
}
.handle:focus-visible circle,
.handle:focus-visible line:not(.wide) {
  stroke: var(--ink);
  stroke-width: 3.5;
}
</style>
