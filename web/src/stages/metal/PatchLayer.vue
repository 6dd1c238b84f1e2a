<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Point, Schemas } from '@/api/client'
import DimensionLine from '@/drawing/DimensionLine.vue'
import { boxOf, turned } from '@/drawing/geometry'
import type { Viewport } from '@/drawing/viewport'
import { lengthNumber } from '@/app/length'
import { useState } from '@/app/state'

/** A patch on its panel: the damage, what is cut out, the edge of the patch, its rivets or its spots of weld in their order. */
const props = defineProps<{
  view: Viewport
  damage: readonly Point[]
  patch: Schemas['PatchPlan']
  /** Whether spots of weld are numbered and rivets drawn large. */
  fasteners?: boolean
}>()
const { t } = useI18n()
const { lengths } = useState()
const hole = computed(() => (props.patch.rivets?.rivet.holeMm ?? 0) / 2)
const L = (mm: number) => lengthNumber(mm, lengths.value)
/** Its own length and width, beside two of its sides, turned as it is. */
const measures = computed(() => {
  const { x, y } = props.view
  const turn = props.patch.turnDeg
  const b = boxOf(props.patch.patch.map((p) => turned(p, -turn)))
  const at = (sMm: number, tMm: number) => {
    const p = turned({ sMm, tMm }, turn)
    return { x: x(p.sMm), y: y(p.tMm) }
  }
  const middle = at((b.s1 + b.s2) / 2, (b.t1 + b.t2) / 2)
  const sides = [
    { a: at(b.s1, b.t1), b: at(b.s2, b.t1), mm: b.s2 - b.s1 },
    { a: at(b.s2, b.t1), b: at(b.s2, b.t2), mm: b.t2 - b.t1 },
  ]
  return sides.map((side) => {
    const out = { x: (side.a.x + side.b.x) / 2 - middle.x, y: (side.a.y + side.b.y) / 2 - middle.y }
    const far = 28 / (Math.hypot(out.x, out.y) || 1)
    const by = { x: out.x * far, y: out.y * far }
    return { x1: side.a.x + by.x, y1: side.a.y + by.y, x2: side.b.x + by.x, y2: side.b.y + by.y, mm: side.mm }
  })
})
</script>

<template>
  <g class="patch">
    <path class="sheet" :d="view.path(patch.patch)" />
    <path v-for="(s, i) in patch.strip" :key="`s${i}`" class="strip" :d="view.path(s)" />
    <path v-for="(h, i) in patch.holes" :key="i" class="hole" :d="view.path(h)">
      <title>{{ t('metal.hole') }}</title>
    </path>
    <path v-if="damage.length > 2" class="damage" :d="view.path(damage)" />
    <g v-for="(p, i) in patch.rivets?.places ?? []" :key="`r${i}`" :transform="`translate(${view.x(p.sMm)} ${view.y(p.tMm)})`">
      <circle v-if="fasteners" class="head" :r="Math.max(3, hole * 2 * view.scale.value)" />
      <circle class="rivet" :r="Math.max(1.6, hole * view.scale.value)" />
    </g>
    <g
      v-for="(p, i) in patch.weld?.spots ?? []"
      :key="`w${i}`"
      class="weld"
      :transform="`translate(${view.x(p.sMm)} ${view.y(p.tMm)})`"
    >
      <circle :r="fasteners ? 9 : 3" />
      <text v-if="fasteners" y="4">{{ i + 1 }}</text>
    </g>
    <DimensionLine v-for="(m, i) in measures" :key="`m${i}`" :x1="m.x1" :y1="m.y1" :x2="m.x2" :y2="m.y2" :text="L(m.mm)" />
  </g>
</template>

<style scoped>
.sheet {
  fill: color-mix(in srgb, var(--teal) 14%, transparent);
  stroke: var(--teal);
  stroke-width: 2;
}
.strip {
  fill: none;
  stroke: var(--teal);
  stroke-width: 1.2;
  stroke-dasharray: 6 3;
}
.hole {
  fill: var(--white);
  stroke: var(--rust);
  stroke-width: 1.8;
}
.damage {
  fill: color-mix(in srgb, var(--rust) 55%, transparent);
  stroke: none;
}
.rivet {
  fill: var(--ink);
}
.head {
  fill: var(--white);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.weld circle {
  fill: var(--amber);
  stroke: var(--white);
}
.weld text {
  font-size: 11px;
  font-weight: 600;
  text-anchor: middle;
  fill: var(--white);
}
</style>
