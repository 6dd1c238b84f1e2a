<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LengthFormat } from '@/api/client'
import { lengthText } from '@/app/length'

/** The bond cut across at the edge of the hole: pane, bead as laid and as pressed, skin; true to scale. */
const props = defineProps<{
  landMm: number
  lapMm: number
  thickMm: number
  skinMm: number
  /** The bead as the nozzle lays it. */
  laid: { baseMm: number; heightMm: number }
  lengths: LengthFormat
}>()
const { t } = useI18n()
const paneMm = 4
const L = (mm: number) => lengthText(mm, props.lengths)
// Pixels a millimetre; the skin ends at the hole, at 0, and lies to the left of it.
const k = computed(() => Math.min(9, 330 / (props.lapMm + 24)))
const edge = computed(() => 24 + (props.lapMm + 12) * k.value)
const ground = 132
const x = (mm: number) => edge.value + mm * k.value
const y = (mm: number) => ground - mm * k.value
const bead = computed(() => ({ from: -props.landMm, middle: -props.landMm / 2 }))
// From the top down, so that no line crosses another.
const parts = computed(() => [
  {
    text: t('bond.laid', { base: L(props.laid.baseMm), height: L(props.laid.heightMm) }),
    at: [x(bead.value.middle), y(props.laid.heightMm)],
  },
  { text: t('bond.pane'), at: [x(10), y(props.thickMm + paneMm / 2)] },
  { text: t('bond.pressed', { mm: L(props.thickMm) }), at: [x(-1), y(props.thickMm / 2)] },
  { text: t('bond.skinTo'), at: [x(-0.5), y(-props.skinMm / 2)] },
])
const labelX = computed(() => x(22) + 26)
const width = computed(() => labelX.value + 200)
</script>

<template>
  <svg class="section" :width="width" height="206" :viewBox="`0 0 ${width} 206`" role="img" :aria-label="t('bond.section')">
    <rect class="pane" :x="x(-lapMm)" :y="y(thickMm + paneMm)" :width="(lapMm + 22) * k" :height="paneMm * k" :rx="0.6 * k" />
    <rect
      class="bead"
      :x="x(bead.from)"
      :y="y(thickMm)"
      :width="landMm * k"
      :height="thickMm * k"
      :rx="Math.min(1, thickMm / 3) * k"
    />
    <path
      class="laid"
      :d="`M${x(bead.middle - laid.baseMm / 2)} ${y(0)}L${x(bead.middle)} ${y(laid.heightMm)}L${x(bead.middle + laid.baseMm / 2)} ${y(0)}`"
    />
    <rect class="skin" x="0" :y="ground" :width="edge" :height="Math.max(4, skinMm * k)" />
    <g class="dimension">
      <path :d="`M${x(-landMm)} ${ground + 24}H${x(0)}M${x(-landMm)} ${ground + 18}v12M${x(0)} ${ground + 18}v12`" />
      <text :x="x(-landMm / 2)" :y="ground + 43">{{ t('bond.land', { mm: L(landMm) }) }}</text>
    </g>
    <g v-for="(p, i) in parts" :key="p.text" class="named">
      <path :d="`M${p.at[0]} ${p.at[1]}L${labelX - 6} ${26 + i * 30}`" />
      <circle :cx="p.at[0]" :cy="p.at[1]" r="2.5" />
      <text :x="labelX" :y="30 + i * 30">{{ p.text }}</text>
    </g>
    <text class="note" x="0" y="200">{{ t('bond.section') }}</text>
    <text class="note end" :x="x(20)" :y="ground + 16">{{ t('bond.hole') }}</text>
  </svg>
</template>

<style scoped>
.section {
  max-width: 100%;
  height: auto;
}
.pane {
  fill: var(--teal-soft);
  stroke: var(--teal);
}
.skin {
  fill: var(--metal-5);
}
.bead {
  fill: var(--night);
}
.laid {
  fill: none;
  stroke: var(--rust);
  stroke-width: 1.5;
  stroke-dasharray: 5 3;
}
.dimension path,
.named path {
  fill: none;
  stroke: var(--ink);
}
.named path {
  stroke: var(--soft);
}
.named circle {
  fill: var(--sheet);
  stroke: var(--ink);
}
text {
  font-size: 13.5px;
}
.dimension text {
  font-weight: 600;
  text-anchor: middle;
}
.note {
  fill: var(--soft);
  font-size: 12.5px;
}
.note.end {
  text-anchor: end;
}
</style>
