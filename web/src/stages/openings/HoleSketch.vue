<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { isLevel, sideWord, viewSigns, type Facing } from '@/drawing/facing'

/** The hole and the frame in it, seen from outside; gaps are drawn ten times as wide. */
const props = defineProps<{ fit: Schemas['HoleFit']; frame: Schemas['Frame']; facing: Facing }>()
const { t } = useI18n()
const magnified = 10
const sign = computed(() => viewSigns(props.facing, 'outside'))
const neck = computed(() => props.frame.neck)

/** Corners of the hole about the frame's middle, their distance from the neck's corners magnified, as one sees them from outside. */
const hole = computed(() => {
  const signs = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ] as const
  return props.fit.hole.map((p, i) => {
    const [ss, st] = signs[i]!
    const corner = { s: (ss * neck.value.widthMm) / 2, t: (st * neck.value.heightMm) / 2 }
    const off = { s: p.sMm - props.fit.frameCentre.sMm - corner.s, t: p.tMm - props.fit.frameCentre.tMm - corner.t }
    return { s: sign.value.s * (corner.s + magnified * off.s), t: -sign.value.t * (corner.t + magnified * off.t) }
  })
})
const box = computed(() => {
  const s = hole.value.map((p) => p.s).concat(neck.value.widthMm / 2, -neck.value.widthMm / 2)
  const t1 = hole.value.map((p) => p.t).concat(neck.value.heightMm / 2, -neck.value.heightMm / 2)
  const pad = 70
  return `${Math.min(...s) - pad} ${Math.min(...t1) - pad} ${Math.max(...s) - Math.min(...s) + 2 * pad} ${Math.max(...t1) - Math.min(...t1) + 2 * pad}`
})
</script>

<template>
  <figure>
    <svg :viewBox="box" role="img" :aria-label="t('asCut.sketchLabel')">
      <polygon class="hole" :points="hole.map((p) => `${p.s},${p.t}`).join(' ')" />
      <rect
        class="neck"
        :x="-neck.widthMm / 2"
        :y="-neck.heightMm / 2"
        :width="neck.widthMm"
        :height="neck.heightMm"
        :rx="neck.cornerRadiusMm"
      />
      <text :x="0" :y="-neck.heightMm / 2 - 44">{{ sideWord(facing, isLevel(facing) ? 'bottom' : 'top') }}</text>
      <text :x="0" :y="neck.heightMm / 2 + 58">{{ sideWord(facing, isLevel(facing) ? 'top' : 'bottom') }}</text>
      <text class="front" :x="-neck.widthMm / 2 + 12" :y="6">← {{ sideWord(facing, sign.s > 0 ? 'front' : 'rear') }}</text>
    </svg>
    <figcaption class="soft">{{ t('asCut.sketch') }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  display: block;
  width: min(100%, 460px);
  max-height: 320px;
  background: var(--sheet);
}
.hole {
  fill: var(--white);
  stroke: var(--rust);
  stroke-width: 3;
  stroke-linejoin: round;
}
.neck {
  fill: color-mix(in srgb, var(--teal-soft) 50%, transparent);
  stroke: var(--teal);
  stroke-width: 3;
}
text {
  font-size: 20px;
  text-anchor: middle;
  fill: var(--soft);
}
.front {
  text-anchor: start;
}
</style>
