<script setup lang="ts">
import ArrowHead from '@/drawing/ArrowHead.vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Panel, Point, Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import DimensionLine from '@/drawing/DimensionLine.vue'
import { facingOf, viewSigns } from '@/drawing/facing'
import { boxOf } from '@/drawing/geometry'

/** A board of a lining to scale with its holes, the seen face up: as somebody in the vehicle sees it. */
const props = defineProps<{ panel: Panel; plan: Schemas['LiningPlan']; board: Schemas['LiningBoard'] }>()
const { t } = useI18n()
const { lengths } = useState()
const left = 70
const top = 24
const sign = computed(() => viewSigns(facingOf(props.panel), 'inside'))
const scale = computed(() => Math.min(600 / props.board.lengthMm, 330 / props.board.widthMm))
const wide = computed(() => props.board.lengthMm * scale.value)
const high = computed(() => props.board.widthMm * scale.value)
/** Of a place from the board's own front and lower (on a roof, right) edge. */
const x = (s: number) => left + (sign.value.s > 0 ? s : props.board.lengthMm - s) * scale.value
const y = (up: number) => top + (sign.value.t > 0 ? props.board.widthMm - up : up) * scale.value
const outline = computed(() => {
  const own = boxOf(props.board.outline)
  return (
    props.board.outline
      .map((p: Point, i) => `${i === 0 ? 'M' : 'L'}${x(p.sMm - own.s1).toFixed(1)} ${y(p.tMm - own.t1).toFixed(1)}`)
      .join('') + 'Z'
  )
})
const rect = (b: Schemas['PanelBox']) => ({
  x: Math.min(x(b.sMinMm), x(b.sMaxMm)),
  y: Math.min(y(b.tMinMm), y(b.tMaxMm)),
  width: Math.max(1, (b.sMaxMm - b.sMinMm) * scale.value),
  height: Math.max(1, (b.tMaxMm - b.tMinMm) * scale.value),
})
const holes = computed(() =>
  props.board.holes.map((h) => ({
    n: h.hole + 1,
    final: { ...rect(h.box), rx: h.isNotch ? 0 : props.plan.holes[h.hole]!.cornerMm * scale.value },
    first: { ...rect(h.first), rx: h.isNotch ? 0 : props.plan.holes[h.hole]!.firstCornerMm * scale.value },
  })),
)
const level = computed(() => ['up', 'down', 'left', 'right'].includes(facingOf(props.panel)))
</script>

<template>
  <figure>
    <figcaption>
      {{ board.name }}
      <span class="soft">{{ lengthNumber(board.lengthMm, lengths) }} × {{ lengthText(board.widthMm, lengths) }}</span>
    </figcaption>
    <svg :viewBox="`0 0 ${left + 640} ${high + top + 50}`" role="img" :aria-label="t('lining.board', { name: board.name })">
      <defs>
        <ArrowHead />
      </defs>
      <path class="board" :d="outline" />
      <g v-for="h in holes" :key="h.n">
        <rect class="final" v-bind="h.final" />
        <rect class="first" v-bind="h.first" />
        <text :x="h.final.x + h.final.width / 2" :y="h.final.y + h.final.height / 2 + 5">{{ h.n }}</text>
      </g>
      <text
        v-if="level"
        class="front"
        :x="sign.s > 0 ? left : left + wide"
        :y="top - 8"
        :text-anchor="sign.s > 0 ? 'start' : 'end'"
      >
        {{ sign.s > 0 ? `◂ ${t('lining.front')}` : `${t('lining.front')} ▸` }}
      </text>
      <DimensionLine
        :x1="left"
        :y1="top + high + 24"
        :x2="left + wide"
        :y2="top + high + 24"
        :text="lengthNumber(board.lengthMm, lengths)"
      />
      <DimensionLine :x1="left - 32" :y1="top + high" :x2="left - 32" :y2="top" :text="lengthNumber(board.widthMm, lengths)" />
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 0 8px;
}
figcaption {
  font-weight: 600;
}
svg {
  display: block;
  width: 100%;
}
.board {
  fill: var(--amber-soft);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.final {
  fill: var(--sheet);
  stroke: var(--rust);
  stroke-width: 1.8;
}
.first {
  fill: none;
  stroke: var(--rust);
  stroke-dasharray: 5 4;
}
text {
  text-anchor: middle;
  font-weight: 600;
  font-size: 14px;
}
.front {
  font-size: 12px;
  text-transform: uppercase;
  fill: var(--metal-6);
}
</style>
