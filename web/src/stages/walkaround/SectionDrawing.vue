<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LengthFormat, Schemas } from '@/api/client'
import { lengthNumber } from '@/app/length'

/** A panel cut across at a station: as drawn and as measured, heights drawn larger than widths, and said so. */
const props = defineProps<{
  section: Schemas['Section']
  readings: readonly Schemas['DepthReading'][]
  edgeMm: number
  lengths: LengthFormat
}>()
const { t } = useI18n()
const width = 300
const height = 120
const pad = 14

const frame = computed(() => {
  const all = [...props.section.drawnMm, ...(props.section.measuredMm ?? [])]
  const [low, high] = [Math.min(...all), Math.max(...all, 1)]
  const [first, last] = [props.section.tMm[0]!, props.section.tMm.at(-1)!]
  const kx = (width - 2 * pad) / (last - first)
  const ky = Math.min((height - 2 * pad) / Math.max(4, high - low), kx * 12)
  return {
    x: (t: number) => pad + (t - first) * kx,
    y: (z: number) => pad + (high - z) * ky,
    times: ky / kx,
    low,
    high,
  }
})
const line = (z: readonly number[]) =>
  'M' + props.section.tMm.map((at, i) => `${frame.value.x(at).toFixed(1)} ${frame.value.y(z[i]!).toFixed(1)}`).join('L')
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="t('surface.section')">
      <path v-if="section.measuredMm" class="measured" :d="line(section.measuredMm)" />
      <path class="drawn" :d="line(section.drawnMm)" />
      <circle v-for="r in readings" :key="r.tMm" :cx="frame.x(r.tMm)" :cy="frame.y(edgeMm - r.depthMm)" r="2.6" />
      <text :x="pad" :y="height - 2">{{ lengthNumber(section.tMm[0]!, lengths) }}</text>
      <text :x="width - pad" :y="height - 2" text-anchor="end">{{ lengthNumber(section.tMm.at(-1)!, lengths) }}</text>
    </svg>
    <figcaption class="soft">
      <span class="key-drawn" /> {{ t('surface.drawn') }}
      <template v-if="section.measuredMm"><span class="key-measured" /> {{ t('surface.measured') }}</template>
      <span class="times">{{ t('surface.times', { n: Math.round(frame.times) }) }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
path {
  fill: none;
  stroke-width: 1.6;
}
.drawn {
  stroke: var(--ink);
}
.measured {
  stroke: var(--rust);
  stroke-dasharray: 5 3;
}
circle {
  fill: var(--white);
  stroke: var(--rust);
  stroke-width: 1.4;
}
text {
  font-size: 10px;
  fill: var(--soft);
}
figcaption {
  display: flex;
  gap: 6px;
  align-items: center;
}
.key-drawn,
.key-measured {
  width: 18px;
  border-top: 2px solid var(--ink);
}
.key-measured {
  border-top: 2px dashed var(--rust);
}
.times {
  margin-left: auto;
}
</style>
