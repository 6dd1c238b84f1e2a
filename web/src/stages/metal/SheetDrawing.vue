<script setup lang="ts">
import ArrowHead from '@/drawing/ArrowHead.vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Point, Schemas } from '@/api/client'
import { lengthNumber } from '@/app/length'
import { useState } from '@/app/state'
import DimensionLine from '@/drawing/DimensionLine.vue'
import { boxOf } from '@/drawing/geometry'

/** A sheet or an offcut with the pieces that are cut out of it, and what is left to be kept. */
const props = defineProps<{
  name: string
  outline: readonly Point[]
  places: Schemas['NestPlace'][]
  pieces: Schemas['SheetPiece'][]
  offcuts: Schemas['NestOffcut'][]
}>()
const { t } = useI18n()
const { lengths } = useState()
const L = (mm: number) => lengthNumber(mm, lengths.value)
const box = computed(() => boxOf(props.outline))
const width = 600
const scale = computed(() => Math.min(width / (box.value.s2 - box.value.s1), 360 / (box.value.t2 - box.value.t1)))
const left = 84
const x = (s: number) => left + (s - box.value.s1) * scale.value
const y = (up: number) => 14 + (box.value.t2 - up) * scale.value
const path = (points: readonly Point[]) => points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.sMm)} ${y(p.tMm)}`).join('') + 'Z'
/** A number on each piece; its name and place stand in the list below. */
const numbered = computed(() =>
  props.places.map((p) => {
    const b = boxOf(p.outline)
    return { place: p, b, name: props.pieces[p.piece]!.name, mx: x((b.s1 + b.s2) / 2), my: y((b.t1 + b.t2) / 2) }
  }),
)
const high = computed(() => (box.value.t2 - box.value.t1) * scale.value)
const wide = computed(() => (box.value.s2 - box.value.s1) * scale.value)
</script>

<template>
  <figure>
    <figcaption>
      {{ name }} <span class="soft">{{ L(box.s2 - box.s1) }} × {{ L(box.t2 - box.t1) }}</span>
    </figcaption>
    <svg :viewBox="`0 0 ${width + left + 20} ${high + 56}`" role="img" :aria-label="t('metal.sheetDrawing', { name })">
      <defs>
        <ArrowHead />
      </defs>
      <path class="sheet" :d="path(outline)" />
      <path v-for="(o, i) in offcuts" :key="`o${i}`" class="offcut" :d="path(o.outline)">
        <title>{{ t('metal.kept') }}</title>
      </path>
      <g v-for="(n, i) in numbered" :key="i">
        <path class="piece" :d="path(n.place.outline)">
          <title>{{ n.name }}</title>
        </path>
        <text :x="n.mx" :y="n.my + 5">{{ i + 1 }}</text>
      </g>
      <DimensionLine :x1="left" :y1="high + 32" :x2="left + wide" :y2="high + 32" :text="L(box.s2 - box.s1)" />
      <DimensionLine :x1="left - 42" :y1="14 + high" :x2="left - 42" :y2="14" :text="L(box.t2 - box.t1)" />
    </svg>
    <ol>
      <li v-for="(n, i) in numbered" :key="i">
        {{
          t('metal.pieceAt', {
            name: n.name,
            wide: L(n.b.s2 - n.b.s1),
            high: L(n.b.t2 - n.b.t1),
            s: L(n.b.s1 - box.s1),
            t: L(n.b.t1 - box.t1),
          })
        }}<template v-if="n.place.turnDeg > 0">, {{ t('metal.turnedBy', { n: n.place.turnDeg }) }}</template>
      </li>
    </ol>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 0 20px;
}
figcaption {
  font-weight: 600;
}
svg {
  display: block;
  width: 100%;
  max-width: 680px;
}
.sheet {
  fill: var(--metal-1);
  stroke: var(--metal-6);
  stroke-width: 1.5;
}
.offcut {
  fill: none;
  stroke: var(--metal-5);
  stroke-dasharray: 6 4;
}
.piece {
  fill: var(--teal-soft);
  stroke: var(--teal);
  stroke-width: 1.8;
}
text {
  font-weight: 600;
  text-anchor: middle;
  fill: var(--teal-deep);
}
ol {
  margin: 4px 0 0;
  padding-left: 24px;
}
</style>
