<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Point, Schemas } from '@/api/client'
import DimensionLine from '@/drawing/DimensionLine.vue'
import { boxOf } from '@/drawing/geometry'
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
const box = computed(() => boxOf(props.patch.patch))
const edges = computed(() => {
  const { x, y } = props.view
  const b = box.value
  return {
    left: Math.min(x(b.s1), x(b.s2)),
    right: Math.max(x(b.s1), x(b.s2)),
    top: Math.min(y(b.t1), y(b.t2)),
    bottom: Math.max(y(b.t1), y(b.t2)),
  }
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
    <DimensionLine
      :x1="edges.left"
      :y1="edges.bottom + 28"
      :x2="edges.right"
      :y2="edges.bottom + 28"
      :text="lengthNumber(box.s2 - box.s1, lengths)"
    />
    <DimensionLine
      :x1="edges.right + 28"
      :y1="edges.bottom"
      :x2="edges.right + 28"
      :y2="edges.top"
      :text="lengthNumber(box.t2 - box.t1, lengths)"
    />
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
