<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'

/** A patch to scale with its rivets, and the distances to set the dividers to. */
const props = defineProps<{ patch: Schemas['RoundedRectangle']; plan: Schemas['RivetPlan'] }>()
const { t } = useI18n()
const { lengths } = useState()
const L = (mm: number) => lengthText(mm, lengths.value)
const text = computed(() => Math.max(props.patch.widthMm, props.patch.heightMm) * 0.035)
const view = computed(() => {
  const { widthMm: w, heightMm: h } = props.patch
  const pad = text.value * 3
  return `${-w / 2 - pad} ${-h / 2 - pad} ${w + 2 * pad} ${h + 2 * pad}`
})
/** The first two rivets of the lower edge and of the right one: between them the distance is written. */
const along = computed(() => props.plan.places.slice(0, 2))
const across = computed(() => {
  const right = Math.max(...props.plan.places.map((p) => p.sMm))
  return props.plan.places
    .filter((p) => Math.abs(p.sMm - right) < 1e-6)
    .sort((a, b) => a.tMm - b.tMm)
    .slice(0, 2)
})
const apart = (two: readonly Schemas['PanelPoint'][]) => Math.hypot(two[1]!.sMm - two[0]!.sMm, two[1]!.tMm - two[0]!.tMm)
</script>

<template>
  <svg class="rivets" :viewBox="view" role="img" :aria-label="t('figures.rivets')">
    <rect
      :x="-patch.widthMm / 2"
      :y="-patch.heightMm / 2"
      :width="patch.widthMm"
      :height="patch.heightMm"
      :rx="patch.cornerRadiusMm"
      class="patch"
      vector-effect="non-scaling-stroke"
    />
    <g v-for="(p, i) in plan.places" :key="i" :transform="`translate(${p.sMm} ${-p.tMm})`">
      <circle :r="plan.diameterMm" class="head" vector-effect="non-scaling-stroke" />
      <circle :r="plan.holeMm / 2" class="hole" />
    </g>
    <text :x="(along[0]!.sMm + along[1]!.sMm) / 2" :y="patch.heightMm / 2 + text * 1.4" :font-size="text" text-anchor="middle">
      {{ L(apart(along)) }}
    </text>
    <text
      :transform="`translate(${patch.widthMm / 2 + text * 1.4} ${-(across[0]!.tMm + across[1]!.tMm) / 2}) rotate(-90)`"
      :font-size="text"
      text-anchor="middle"
    >
      {{ L(apart(across)) }}
    </text>
    <text x="0" y="0" :font-size="text * 1.2" text-anchor="middle">{{ L(patch.widthMm) }} × {{ L(patch.heightMm) }}</text>
  </svg>
</template>

<style scoped>
.rivets {
  width: 100%;
  max-width: 620px;
  max-height: 340px;
}
.patch {
  fill: var(--metal-1);
  stroke: var(--metal-7);
  stroke-width: 1.4;
}
.head {
  fill: var(--white);
  stroke: var(--rust);
  stroke-width: 1.2;
}
.hole {
  fill: var(--rust);
}
text {
  fill: var(--label);
  font-weight: 500;
}
</style>
