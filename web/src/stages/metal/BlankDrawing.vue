<script setup lang="ts">
import ArrowHead from '@/drawing/ArrowHead.vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Point, Schemas } from '@/api/client'
import { lengthNumber } from '@/app/length'
import { useState } from '@/app/state'
import DimensionLine from '@/drawing/DimensionLine.vue'
import { facingOf, viewSigns } from '@/drawing/facing'
import { boxOf } from '@/drawing/geometry'
import { useViewport } from '@/drawing/viewport'
import ZoomButtons from '@/drawing/ZoomButtons.vue'

/** The blank, outside up: its edge, where it is folded and in which order, the holes in it. */
const props = defineProps<{ panel: Schemas['Panel']; patch: Schemas['PatchPlan'] }>()
const { t } = useI18n()
const { lengths } = useState()
const svg = ref<SVGSVGElement | null>(null)
const blank = computed(() => props.patch.blank)
const view = useViewport(
  svg,
  () => boxOf(blank.value.outline),
  () => viewSigns(facingOf(props.panel), 'outside'),
  { left: 60, top: 50, right: 70, bottom: 60 },
)
const { x, y, path, scale } = view
const hole = computed(() => (props.patch.rivets?.rivet.holeMm ?? 0) / 2)
const box = computed(() => boxOf(blank.value.outline))
const L = (mm: number) => lengthNumber(mm, lengths.value)
const folds = computed(() =>
  blank.value.foldLines.map((f) => {
    const [a, b] = [
      { x: x(f.from.sMm), y: y(f.from.tMm) },
      { x: x(f.to.sMm), y: y(f.to.tMm) },
    ]
    const upright = Math.abs(b.y - a.y) > Math.abs(b.x - a.x)
    return { f, a, b, upright, mx: (a.x + b.x) / 2, my: (a.y + b.y) / 2 }
  }),
)
const ends = computed(() => {
  const b = box.value
  return {
    left: Math.min(x(b.s1), x(b.s2)),
    right: Math.max(x(b.s1), x(b.s2)),
    top: Math.min(y(b.t1), y(b.t2)),
    bottom: Math.max(y(b.t1), y(b.t2)),
  }
})
const at = (p: Point) => `translate(${x(p.sMm)} ${y(p.tMm)})`
</script>

<template>
  <div class="board">
    <svg ref="svg" class="drawing" role="img" :aria-label="t('metal.blankDrawing')">
      <defs>
        <ArrowHead />
      </defs>
      <path class="sheet" :d="path(blank.outline)" />
      <text class="up" :x="(ends.left + ends.right) / 2" :y="(ends.top + ends.bottom) / 2">{{ t('metal.outsideUp') }}</text>
      <g v-for="(f, i) in folds" :key="i" class="fold">
        <line :x1="f.a.x" :y1="f.a.y" :x2="f.b.x" :y2="f.b.y" />
        <text
          :transform="f.upright ? `translate(${f.mx - 6} ${f.my}) rotate(-90)` : `translate(${f.mx} ${f.my - 6})`"
          text-anchor="middle"
        >
          {{ f.f.order ? `${f.f.order}: ` : '' }}{{ f.f.degrees }}° {{ t(`metal.foldTos.${f.f.towards}`) }}, R
          {{ L(f.f.radiusMm) }}
        </text>
      </g>
      <circle
        v-for="(p, i) in patch.blankHoles"
        :key="`h${i}`"
        class="hole"
        :transform="at(p)"
        :r="Math.max(1.5, hole * scale)"
      />
      <circle
        v-for="(r, i) in blank.reliefs"
        :key="`r${i}`"
        class="relief"
        :transform="at(r.centre)"
        :r="Math.max(2, (r.diameterMm / 2) * scale)"
      />
      <DimensionLine :x1="ends.left" :y1="ends.bottom + 24" :x2="ends.right" :y2="ends.bottom + 24" :text="L(blank.widthMm)" />
      <DimensionLine :x1="ends.right + 24" :y1="ends.bottom" :x2="ends.right + 24" :y2="ends.top" :text="L(blank.heightMm)" />
    </svg>
    <ZoomButtons :view="view" />
  </div>
</template>

<style scoped>
.sheet {
  fill: var(--metal-2);
  stroke: var(--rust);
  stroke-width: 1.8;
}
.fold line {
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-dasharray: 8 4;
}
.fold text {
  font-size: 13px;
  font-weight: 500;
  fill: var(--label);
}
.up {
  font-size: 14px;
  fill: var(--soft);
  text-anchor: middle;
}
.hole {
  fill: var(--white);
  stroke: var(--ink);
}
.relief {
  fill: var(--white);
  stroke: var(--rust);
}
</style>
