<script setup lang="ts">
import { computed } from 'vue'
import type { Viewport } from './viewport'

/** A grid of colours laid on a panel: one pixel a cell, column by column along s, each from the lowest t. */
const props = defineProps<{
  view: Viewport
  columns: number
  rows: number
  area: { sMinMm: number; sMaxMm: number; tMinMm: number; tMaxMm: number }
  /** Red, green, blue and cover of a cell, 0 to 255. */
  colour: (cell: number) => readonly [number, number, number, number]
}>()

const href = computed(() => {
  const canvas = document.createElement('canvas')
  canvas.width = props.columns
  canvas.height = props.rows
  const context = canvas.getContext('2d')
  if (!context) return ''
  const pixels = context.createImageData(props.columns, props.rows)
  for (let c = 0; c < props.columns; c++)
    for (let r = 0; r < props.rows; r++)
      // t runs up the picture; the view turns it.
      pixels.data.set(props.colour(c * props.rows + r), ((props.rows - 1 - r) * props.columns + c) * 4)
  context.putImageData(pixels, 0, 0)
  return canvas.toDataURL()
})
const place = computed(() => {
  const a = props.area
  const sign = props.view.sign.value
  const [x, y] = [
    Math.min(props.view.x(a.sMinMm), props.view.x(a.sMaxMm)),
    Math.min(props.view.y(a.tMinMm), props.view.y(a.tMaxMm)),
  ]
  const width = Math.abs(props.view.x(a.sMaxMm) - props.view.x(a.sMinMm))
  const height = Math.abs(props.view.y(a.tMaxMm) - props.view.y(a.tMinMm))
  const transform = `translate(${sign.s < 0 ? 2 * x + width : 0} ${sign.t < 0 ? 2 * y + height : 0}) scale(${sign.s} ${sign.t})`
  return { x, y, width, height, transform }
})
</script>

<template>
  <image v-if="href" :href="href" v-bind="place" preserveAspectRatio="none" pointer-events="none" />
</template>
