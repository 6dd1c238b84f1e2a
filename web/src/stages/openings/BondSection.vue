<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { LengthFormat } from '@/api/client'
import { lengthText } from '@/app/length'

/** The bond cut across: pane, squeezed bead on its land, skin; five times as large as it is. */
const props = defineProps<{ landMm: number; thickMm: number; skinMm: number; lengths: LengthFormat }>()
const { t } = useI18n()
const paneMm = 4
const past = 14
const L = (mm: number) => lengthText(mm, props.lengths)
const top = computed(() => paneMm + props.thickMm)
const box = computed(() => `-34 -10 ${props.landMm + 2 * past + 78} ${top.value + props.skinMm + 26}`)
</script>

<template>
  <svg class="section" :viewBox="box" role="img" :aria-label="t('bond.section')">
    <rect class="pane" :x="-6" y="0" :width="landMm + past + 6" :height="paneMm" />
    <rect class="skin" :x="-past" :y="top" :width="landMm + past + 4" :height="Math.max(1, skinMm)" />
    <rect class="bead" x="0" :y="paneMm" :width="landMm" :height="thickMm" rx="1" />
    <g class="dimension">
      <path :d="`M0 ${top + skinMm + 4}H${landMm}M0 ${top + skinMm + 2}v4M${landMm} ${top + skinMm + 2}v4`" />
      <text :x="landMm / 2" :y="top + skinMm + 9.5">{{ L(landMm) }}</text>
      <path :d="`M${landMm + 6} ${paneMm}V${top}M${landMm + 4} ${paneMm}h4M${landMm + 4} ${top}h4`" />
      <text class="start" :x="landMm + 10" :y="paneMm + thickMm / 2 + 1.3">{{ L(thickMm) }}</text>
      <text class="start" :x="-32" y="3.4">{{ t('bond.pane') }}</text>
      <text class="start" :x="-32" :y="top + skinMm + 1">{{ t('bond.skin') }}</text>
    </g>
    <text class="note" x="-32" :y="top + skinMm + 14">{{ t('bond.section') }}</text>
  </svg>
</template>

<style scoped>
.section {
  width: 100%;
  max-width: 560px;
  max-height: 240px;
}
.pane {
  fill: #cfe3e2;
  stroke: var(--teal);
  stroke-width: 0.3;
}
.skin {
  fill: #8f938f;
}
.bead {
  fill: var(--night);
}
.dimension path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.25;
}
.dimension text {
  font-size: 4px;
  text-anchor: middle;
}
.dimension text.start {
  text-anchor: start;
}
.note {
  font-size: 3.2px;
  fill: var(--soft);
}
</style>
