<script setup lang="ts">
import { computed } from 'vue'
import type { Panel, Schemas } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import type { Viewport } from '@/drawing/viewport'

/** The relief of a panel as a tint on its drawing: dark in the hollows, light on the ridges, lit from one side so that ribs stand out. */
const props = defineProps<{ relief: Schemas['Relief']; panel: Panel; view: Viewport }>()
const { lengths } = useState()

const image = computed(() => {
  const { columns, rows, area } = props.relief.grid
  const canvas = document.createElement('canvas')
  canvas.width = columns
  canvas.height = rows
  const context = canvas.getContext('2d')
  if (!context) return null
  const pixels = context.createImageData(columns, rows)
  const z = props.relief.heightsMm
  const range = Math.max(1, props.relief.highestMm - props.relief.lowestMm)
  for (let c = 0; c < columns; c++)
    for (let r = 0; r < rows; r++) {
      const here = z[c * rows + r]!
      const lit = here - (z[c * rows + Math.max(0, r - 1)] ?? here) + (here - (z[Math.max(0, c - 1) * rows + r] ?? here))
      const up = (here - props.relief.lowestMm) / range
      const shade = Math.max(-1, Math.min(1, lit / 6))
      // s runs with the columns; t up the picture, turned by the view below.
      const at = ((rows - 1 - r) * columns + c) * 4
      pixels.data[at] = 120 + 118 * up + 26 * shade
      pixels.data[at + 1] = 132 + 108 * up + 26 * shade
      pixels.data[at + 2] = 138 + 94 * up + 26 * shade
      pixels.data[at + 3] = 235
    }
  context.putImageData(pixels, 0, 0)
  return { href: canvas.toDataURL(), area }
})
const sign = computed(() => props.view.sign.value)
const place = computed(() => {
  const a = image.value!.area
  const [x1, x2] = [props.view.x(a.sMinMm), props.view.x(a.sMaxMm)]
  const [y1, y2] = [props.view.y(a.tMinMm), props.view.y(a.tMaxMm)]
  const w = Math.abs(x2 - x1)
  const h = Math.abs(y2 - y1)
  const x = Math.min(x1, x2)
  const y = Math.min(y1, y2)
  const flip = `translate(${sign.value.s < 0 ? 2 * x + w : 0} ${sign.value.t < 0 ? 2 * y + h : 0}) scale(${sign.value.s} ${sign.value.t})`
  return { x, y, width: w, height: h, transform: flip }
})
const id = `clip-${Math.random().toString(36).slice(2)}`
const legendY = computed(() => props.view.height.value - 54)
</script>

<template>
  <g v-if="image" class="relief" pointer-events="none">
    <clipPath :id="id">
      <path :d="view.path(panel.outline)" />
    </clipPath>
    <g :clip-path="`url(#${id})`">
      <image :href="image.href" v-bind="place" preserveAspectRatio="none" />
    </g>
    <g :transform="`translate(50 ${legendY})`">
      <rect class="plate" x="-6" y="-8" width="222" height="30" />
      <defs>
        <linearGradient :id="`${id}-ramp`">
          <stop offset="0" stop-color="rgb(120,132,138)" />
          <stop offset="1" stop-color="rgb(238,240,232)" />
        </linearGradient>
      </defs>
      <rect x="56" y="0" width="90" height="12" :fill="`url(#${id}-ramp)`" stroke="#8b867b" />
      <text x="50" y="11" text-anchor="end">{{ lengthText(relief.lowestMm, lengths) }}</text>
      <text x="152" y="11">{{ lengthText(relief.highestMm, lengths) }}</text>
    </g>
  </g>
</template>

<style scoped>
.plate {
  fill: #f7f5f0e6;
}
text {
  font-size: 12px;
  fill: var(--ink);
}
</style>
