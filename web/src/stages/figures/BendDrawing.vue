<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'

/** A bend seen from its end, to scale: both flanges as short as they may be, the inside radius marked. */
const props = defineProps<{ thickMm: number; radiusMm: number; degrees: number; flangeMm: number }>()
const { t } = useI18n()
const { lengths } = useState()
/** Length of the straight parts that are drawn, mm. */
const straight = computed(() => Math.max(props.flangeMm, 4 * props.thickMm + props.radiusMm))
const shape = computed(() => {
  const { thickMm: T, radiusMm: R } = props
  const a = (props.degrees * Math.PI) / 180
  const S = straight.value
  // The lower flange lies along x; the bend turns it upwards round a centre above its end.
  const at = (r: number, turn: number) => [S + r * Math.sin(turn), R + T - r * Math.cos(turn)] as const
  const along = (p: readonly [number, number]) => [p[0] + S * Math.cos(a), p[1] + S * Math.sin(a)] as const
  const outer = at(R + T, a)
  const inner = at(R, a)
  const [o2, i2] = [along(outer), along(inner)]
  const large = props.degrees > 180 ? 1 : 0
  const path = `M0 0H${S}A${R + T} ${R + T} 0 ${large} 1 ${outer}L${o2}L${i2}L${inner}A${R} ${R} 0 ${large} 0 ${S} ${T}H0Z`
  const xs = [0, S, outer[0], o2[0], i2[0], inner[0], at(R + T, Math.min(a, Math.PI / 2))[0]]
  const ys = [0, T, o2[1], i2[1], outer[1], inner[1]]
  const box = {
    x: Math.min(...xs),
    y: Math.min(...ys),
    w: Math.max(...xs) - Math.min(...xs),
    h: Math.max(...ys) - Math.min(...ys),
  }
  const pad = Math.max(box.w, box.h) * 0.12
  return { path, centre: at(0, 0), arm: at(R, a / 2), pad, ...box }
})
const view = computed(() => {
  const s = shape.value
  return `${s.x - s.pad} ${-(s.y + s.h + s.pad)} ${s.w + 2 * s.pad} ${s.h + 2 * s.pad}`
})
const text = computed(() => Math.max(shape.value.w, shape.value.h) * 0.07)
</script>

<template>
  <svg class="bend" :viewBox="view" role="img" :aria-label="t('figures.bend')">
    <g transform="scale(1 -1)">
      <path :d="shape.path" class="sheet" vector-effect="non-scaling-stroke" />
      <line
        :x1="shape.centre[0]"
        :y1="shape.centre[1]"
        :x2="shape.arm[0]"
        :y2="shape.arm[1]"
        class="radius"
        vector-effect="non-scaling-stroke"
      />
      <circle :cx="shape.centre[0]" :cy="shape.centre[1]" :r="text * 0.12" class="centre" />
    </g>
    <text :x="shape.centre[0] - text * 0.4" :y="-shape.centre[1] - text * 0.4" :font-size="text" text-anchor="end">
      R {{ lengthText(radiusMm, lengths) }}
    </text>
    <text x="0" :y="text * 1.2" :font-size="text">{{ lengthText(thickMm, lengths) }}</text>
  </svg>
</template>

<style scoped>
.bend {
  width: 100%;
  max-height: 240px;
}
.sheet {
  fill: var(--metal-3);
  stroke: var(--metal-7);
  stroke-width: 1.2;
}
.radius {
  stroke: var(--rust);
  stroke-width: 1.4;
}
.centre {
  fill: var(--rust);
}
text {
  fill: var(--label);
  font-weight: 500;
}
</style>
