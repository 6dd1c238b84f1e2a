<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Point, Schemas } from '@/api/client'

/** The frame from inside with its screws, numbered in the order in which they are tightened; the next one can be tapped. */
const props = defineProps<{
  outline: Schemas['RoundedRectangle']
  cutOut: Schemas['RoundedRectangle']
  places: readonly Point[]
  order: readonly number[]
  tight: readonly number[]
}>()
const emit = defineEmits<{ tap: [turn: number] }>()
const { t } = useI18n()
const radius = computed(() => Math.max(props.outline.widthMm, props.outline.heightMm) / 22)
// Seen from inside, what lies to the right outside lies to the left.
const screws = computed(() =>
  props.order.map((screw, turn) => ({ turn, x: -props.places[screw]!.sMm, y: -props.places[screw]!.tMm })),
)
const next = computed(() => props.tight.length)
const box = computed(() => {
  const m = radius.value * 1.6
  const { widthMm: w, heightMm: h } = props.outline
  return `${-w / 2 - m} ${-h / 2 - m} ${w + 2 * m} ${h + 2 * m}`
})
</script>

<template>
  <svg class="screws" :viewBox="box" role="group" :aria-label="t('clamp.order')" data-testid="screws">
    <rect
      :x="-outline.widthMm / 2"
      :y="-outline.heightMm / 2"
      :width="outline.widthMm"
      :height="outline.heightMm"
      :rx="outline.cornerRadiusMm"
      class="frame"
    />
    <rect
      :x="-cutOut.widthMm / 2"
      :y="-cutOut.heightMm / 2"
      :width="cutOut.widthMm"
      :height="cutOut.heightMm"
      :rx="cutOut.cornerRadiusMm"
      class="hole"
    />
    <g
      v-for="s in screws"
      :key="s.turn"
      class="screw"
      :class="{ tight: s.turn < next, next: s.turn === next }"
      :transform="`translate(${s.x} ${s.y})`"
      :tabindex="s.turn === next ? 0 : undefined"
      :role="s.turn === next ? 'button' : undefined"
      :aria-label="s.turn === next ? t('clamp.next', { n: s.turn + 1 }) : undefined"
      @click="s.turn === next && emit('tap', s.turn)"
      @keydown.enter.stop="s.turn === next && emit('tap', s.turn)"
    >
      <!-- A finger in a glove needs more than the circle. -->
      <circle class="reach" :r="radius * 1.8" />
      <circle :r="radius" />
      <text :y="radius * 0.38" :font-size="radius * 1.05">{{ s.turn + 1 }}</text>
    </g>
  </svg>
</template>

<style scoped>
.screws {
  display: block;
  flex: none;
  width: 100%;
  max-width: 700px;
  height: 380px;
}
.frame {
  fill: var(--teal-soft);
  stroke: var(--teal);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.hole {
  fill: var(--sheet);
  stroke: var(--rust);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.screw circle:not(.reach) {
  fill: var(--white);
  stroke: var(--ink);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.screw .reach {
  fill: transparent;
  stroke: none;
}
.screw text {
  font-weight: 600;
  text-anchor: middle;
}
.screw.tight circle:not(.reach) {
  fill: var(--teal);
}
.screw.tight text {
  fill: var(--white);
}
.screw.next {
  cursor: pointer;
}
.screw.next circle:not(.reach) {
  fill: var(--amber-soft);
  stroke: var(--rust);
  stroke-width: 4;
}
</style>
