<script setup lang="ts">
import { computed } from 'vue'
import type { Fitting, Point, Schemas } from '@/api/client'
import { turnedShape } from './geometry'
import { formWithin } from './labels'
import type { Viewport } from './viewport'

/** A fitting where it lies: cut-out and flange to scale, its name, and its state by fill. */
const props = defineProps<{
  view: Viewport
  fitting: Fitting
  centre: Point
  turnDeg: number
  name: string
  state: Schemas['OpeningState']
  link?: boolean
}>()
const emit = defineEmits<{ open: [] }>()
const cut = computed(() => turnedShape(props.fitting.cutOut, props.turnDeg))
const flange = computed(() => turnedShape(props.fitting.flange, props.turnDeg))
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

/** The name in lines that fit the flange, when there is room for them; otherwise in one line above it. */
const lines = computed(() => {
  const room = Math.floor((flange.value.widthMm * props.view.scale.value - 8) / 6.6)
  const words = props.name.split(' ')
  if (words.some((w) => w.length > room)) return null
  const wrapped: string[] = []
  for (const word of words) {
    const last = wrapped.at(-1)
    if (last !== undefined && last.length + 1 + word.length <= room) wrapped[wrapped.length - 1] = `${last} ${word}`
    else wrapped.push(word)
  }
  return wrapped.length * 15 < flange.value.heightMm * props.view.scale.value ? wrapped : null
})
/** Beside a small opening a long name would cover what lies next to it: it says what it is, the rest is left to the pointer. */
const short = computed(() => formWithin(props.name, Math.max(60, 2.6 * flange.value.widthMm * props.view.scale.value), 6.6))
</script>

<template>
  <g
    class="opening"
    :class="[state, { link }]"
    :tabindex="link ? 0 : undefined"
    :role="link ? 'link' : undefined"
    :aria-label="name"
    @click="emit('open')"
    @keydown.enter.stop="emit('open')"
  >
    <title>{{ name }}</title>
    <rect class="flange" v-bind="rect(flange)" />
    <rect class="cut" v-bind="rect(cut)" />
    <template v-if="lines">
      <text
        v-for="(line, i) in lines"
        :key="i"
        :x="view.x(centre.sMm)"
        :y="view.y(centre.tMm) + 4 + (i - (lines.length - 1) / 2) * 15"
        >{{ line }}</text
      >
    </template>
    <text v-else :x="view.x(centre.sMm)" :y="rect(flange).y - 5">{{ short }}</text>
  </g>
</template>

<style scoped>
.flange {
  fill: color-mix(in srgb, var(--teal-soft) 60%, transparent);
  stroke: var(--teal);
  stroke-dasharray: 6 4;
}
.opening > .cut {
  fill: var(--white);
  stroke: var(--teal);
  stroke-width: 2;
}
.opening.cut > .cut {
  fill: var(--night);
  stroke: var(--rust);
}
.opening.fitted > .cut {
  fill: var(--teal-soft);
}
.link {
  cursor: pointer;
}
text {
  font-size: 12.5px;
  font-weight: 500;
  fill: var(--teal-deep);
  text-anchor: middle;
  paint-order: stroke;
  stroke: color-mix(in srgb, var(--sheet) 90%, transparent);
  stroke-width: 3px;
}
</style>
