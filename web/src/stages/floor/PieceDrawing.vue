<script setup lang="ts">
import ArrowHead from '@/drawing/ArrowHead.vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import DimensionLine from '@/drawing/DimensionLine.vue'
import { boxOf } from '@/drawing/geometry'

/** A new board to scale, seen from above with its front at the left; corner by corner where it is no rectangle. */
const props = defineProps<{ piece: Schemas['FloorPiece'] }>()
const { t } = useI18n()
const { lengths } = useState()
const box = computed(() => boxOf(props.piece.outline))
const left = 70
const scale = computed(() => Math.min(520 / props.piece.lengthMm, 260 / props.piece.widthMm))
// From above the vehicle's left lies at the foot of the paper.
const x = (s: number) => left + (s - box.value.s1) * scale.value
const y = (tt: number) => 10 + (tt - box.value.t1) * scale.value
const d = computed(
  () => props.piece.outline.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.sMm).toFixed(1)} ${y(p.tMm).toFixed(1)}`).join('') + 'Z',
)
const wide = computed(() => props.piece.lengthMm * scale.value)
const high = computed(() => props.piece.widthMm * scale.value)
const isBox = computed(() =>
  props.piece.outline.every((p) => onEdge(p.sMm, box.value.s1, box.value.s2) && onEdge(p.tMm, box.value.t1, box.value.t2)),
)
const onEdge = (v: number, a: number, b: number) => Math.abs(v - a) < 0.01 || Math.abs(v - b) < 0.01
const corners = computed(() =>
  isBox.value
    ? []
    : props.piece.outline.map((p, i) => ({
        n: i + 1,
        x: x(p.sMm),
        y: y(p.tMm),
        s: p.sMm - box.value.s1,
        t: box.value.t2 - p.tMm,
      })),
)
/** Lines of grain across the board. */
const grain = computed(() =>
  [0.2, 0.4, 0.6, 0.8].map((share) =>
    props.piece.grain === 'lengthways'
      ? { x1: left + wide.value * 0.08, x2: left + wide.value * 0.92, y1: 10 + high.value * share, y2: 10 + high.value * share }
      : { x1: left + wide.value * share, x2: left + wide.value * share, y1: 10 + high.value * 0.08, y2: 10 + high.value * 0.92 },
  ),
)
</script>

<template>
  <figure>
    <figcaption>
      {{ piece.name }}
      <span class="soft">
        {{ lengthNumber(piece.lengthMm, lengths) }} × {{ lengthText(piece.widthMm, lengths) }},
        {{ t('floor.grainRuns', { way: t(`floor.grains.${piece.grain}`) }) }}
      </span>
    </figcaption>
    <svg :viewBox="`0 0 ${left + 560} ${high + 56}`" role="img" :aria-label="t('floor.pieceDrawing', { name: piece.name })">
      <defs>
        <ArrowHead />
      </defs>
      <path class="board" :d="d" />
      <line v-for="(g, i) in grain" :key="i" class="grain" v-bind="g" />
      <g v-for="c in corners" :key="c.n">
        <circle :cx="c.x" :cy="c.y" r="9" />
        <text :x="c.x" :y="c.y + 4">{{ c.n }}</text>
      </g>
      <DimensionLine :x1="left" :y1="high + 32" :x2="left + wide" :y2="high + 32" :text="lengthNumber(piece.lengthMm, lengths)" />
      <DimensionLine :x1="left - 30" :y1="10 + high" :x2="left - 30" :y2="10" :text="lengthNumber(piece.widthMm, lengths)" />
    </svg>
    <template v-if="corners.length > 0">
      <p class="soft">{{ t('floor.corners') }}</p>
      <table class="figures">
        <tbody>
          <tr v-for="c in corners" :key="c.n">
            <td>{{ c.n }}</td>
            <td class="n">{{ lengthText(c.s, lengths) }}</td>
            <td class="n">{{ lengthText(c.t, lengths) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 0 22px;
  max-width: 680px;
}
figcaption {
  font-weight: 600;
}
svg {
  display: block;
  width: 100%;
}
.board {
  fill: var(--teal-soft);
  stroke: var(--teal);
  stroke-width: 1.8;
}
.grain {
  stroke: color-mix(in srgb, var(--teal) 35%, transparent);
}
circle {
  fill: var(--white);
  stroke: var(--rust);
}
text {
  text-anchor: middle;
  font-size: 12px;
  font-weight: 600;
}
</style>
