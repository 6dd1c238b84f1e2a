<script setup lang="ts">
import { computed } from 'vue'
import type { Panel, Schemas } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import FieldImage from '@/drawing/FieldImage.vue'
import type { Viewport } from '@/drawing/viewport'

/** The relief of a panel as a tint on its drawing: dark in the hollows, light on the ridges, lit from one side so that ribs stand out. */
const props = defineProps<{ relief: Schemas['Relief']; panel: Panel; view: Viewport }>()
const { lengths } = useState()

const range = computed(() => Math.max(1, props.relief.highestMm - props.relief.lowestMm))
function colour(cell: number): [number, number, number, number] {
  const rows = props.relief.grid.rows
  const z = props.relief.heightsMm
  const here = z[cell]!
  const before = cell >= rows ? z[cell - rows]! : here
  const below = cell % rows > 0 ? z[cell - 1]! : here
  const shade = Math.max(-1, Math.min(1, (2 * here - before - below) / 6))
  const up = (here - props.relief.lowestMm) / range.value
  return [120 + 118 * up + 26 * shade, 132 + 108 * up + 26 * shade, 138 + 94 * up + 26 * shade, 235]
}
const id = `clip-${Math.random().toString(36).slice(2)}`
const legendY = computed(() => props.view.height.value - 54)
</script>

<template>
  <g class="relief" pointer-events="none">
    <clipPath :id="id">
      <path :d="view.path(panel.outline)" />
    </clipPath>
    <g :clip-path="`url(#${id})`">
      <FieldImage
        :view="view"
        :columns="relief.grid.columns"
        :rows="relief.grid.rows"
        :area="relief.grid.area"
        :colour="colour"
      />
    </g>
    <g :transform="`translate(50 ${legendY})`">
      <rect class="plate" x="-6" y="-8" width="222" height="30" />
      <defs>
        <linearGradient :id="`${id}-ramp`">
          <stop offset="0" stop-color="var(--relief-low)" />
          <stop offset="1" stop-color="var(--relief-high)" />
        </linearGradient>
      </defs>
      <rect x="56" y="0" width="90" height="12" :fill="`url(#${id}-ramp)`" stroke="var(--edge-strong)" />
      <text x="50" y="11" text-anchor="end">{{ lengthText(relief.lowestMm, lengths) }}</text>
      <text x="152" y="11">{{ lengthText(relief.highestMm, lengths) }}</text>
    </g>
  </g>
</template>

<style scoped>
.plate {
  fill: color-mix(in srgb, var(--paper) 90%, transparent);
}
text {
  font-size: 12px;
  fill: var(--ink);
}
</style>
