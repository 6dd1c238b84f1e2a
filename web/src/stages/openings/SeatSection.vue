<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LengthFormat, Schemas } from '@/api/client'
import { lengthText } from '@/app/length'

/** One side of a flange from the side: the skin, the flange where it rests, the gap, and the strips of tape below it. */
const props = defineProps<{
  side: Schemas['SeatSide']
  name: string
  /** What lies at its beginning and at its end. */
  ends: readonly string[]
  range: { low: number; high: number; longest: number }
  strips: readonly Schemas['TapeStrip'][]
  lengths: LengthFormat
}>()
const { t } = useI18n()
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box)
const pad = 12
const tall = 58
const kx = computed(() => Math.max(0.1, (width.value - 2 * pad) / props.range.longest))
const ky = computed(() => Math.min(kx.value * 8, tall / Math.max(2, props.range.high - props.range.low)))
const x = (mm: number) => pad + mm * kx.value
const y = (mm: number) => 20 + (props.range.high - mm) * ky.value
const foot = computed(() => y(props.range.low) + 10)
const skin = computed(() => 'M' + props.side.places.map((p) => `${x(p.alongMm).toFixed(1)} ${y(p.skinMm).toFixed(1)}`).join('L'))
const gap = computed(
  () =>
    skin.value +
    'L' +
    [...props.side.places]
      .reverse()
      .map((p) => `${x(p.alongMm).toFixed(1)} ${y(p.frameMm).toFixed(1)}`)
      .join('L') +
    'Z',
)
const edge = computed(() => ({ first: props.side.places[0]!, last: props.side.places.at(-1)! }))
const deepest = computed(() => props.side.places.reduce((a, b) => (b.frameMm - b.skinMm > a.frameMm - a.skinMm ? b : a)))
const layers = computed(() => Math.max(1, ...props.strips.map((s) => s.layer)))
</script>

<template>
  <figure ref="box">
    <figcaption>
      <b>{{ name }}</b>
      <span>{{ t('seat.gap', { mm: lengthText(side.maxGapMm, lengths) }) }}</span>
      <span class="soft">{{ t('surface.times', { n: Math.round(ky / kx) }) }}</span>
    </figcaption>
    <svg
      v-if="width > 0"
      :viewBox="`0 0 ${width} ${foot + 12 + 9 * layers}`"
      :height="foot + 12 + 9 * layers"
      role="img"
      :aria-label="name"
    >
      <path class="metal" :d="`${skin}L${x(side.lengthMm)} ${foot}L${x(0)} ${foot}Z`" />
      <path class="gap" :d="gap" />
      <path class="skin" :d="skin" />
      <path
        class="flange"
        :d="`M${x(0)} ${y(edge.first.frameMm)}L${x(side.lengthMm)} ${y(edge.last.frameMm)}v-9L${x(0)} ${y(edge.first.frameMm) - 9}Z`"
      />
      <g v-if="side.maxGapMm > 0.2" class="deepest">
        <line :x1="x(deepest.alongMm)" :x2="x(deepest.alongMm)" :y1="y(deepest.frameMm)" :y2="y(deepest.skinMm)" />
      </g>
      <text class="end" :x="x(0) + 4" :y="foot - 4">{{ ends[0] }}</text>
      <text class="end" :x="x(side.lengthMm) - 4" :y="foot - 4" text-anchor="end">{{ ends[1] }}</text>
      <rect
        v-for="(s, i) in strips"
        :key="i"
        class="tape"
        :x="x(s.fromMm)"
        :y="foot + 6 + 9 * (layers - s.layer)"
        :width="Math.max(2, s.lengthMm * kx)"
        height="6"
      >
        <title>{{ t('seat.layer', { n: s.layer }) }}: {{ lengthText(s.lengthMm, lengths) }}</title>
      </rect>
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
figcaption {
  display: flex;
  gap: 16px;
  padding: 0 12px;
}
figcaption b::first-letter {
  text-transform: uppercase;
}
svg {
  display: block;
  width: 100%;
}
.metal {
  fill: var(--line);
}
.skin {
  fill: none;
  stroke: var(--metal-7);
  stroke-width: 2;
}
.gap {
  fill: color-mix(in srgb, var(--rust) 25%, transparent);
}
.flange {
  fill: var(--teal-soft);
  stroke: var(--teal);
  stroke-width: 1.5;
}
.deepest line {
  stroke: var(--rust);
  stroke-width: 1.5;
}
.end {
  font-size: 11.5px;
  fill: var(--label);
}
.tape {
  fill: var(--night);
}
</style>
