<script setup lang="ts">
import { computed } from 'vue'
import type { Point, Schemas } from '@/api/client'
import DropMark from './DropMark.vue'

/** What bears on water, over the unfolded shell: places that were looked at, drains, what was put on panels, and where water cannot get out. */
const props = defineProps<{
  shell: Schemas['WholeShell']
  at: (panelId: string, p: Point) => { x: number; y: number } | null
  shown?: number | null
}>()
const path = (panelId: string, points: readonly Point[], closed = true) =>
  'M' +
  points
    .map((p) => props.at(panelId, p))
    .map((p) => (p ? `${p.x.toFixed(1)} ${p.y.toFixed(1)}` : ''))
    .join('L') +
  (closed ? 'Z' : '')
const corners = (a: Schemas['PanelBox']) => [
  { sMm: a.sMinMm, tMm: a.tMinMm },
  { sMm: a.sMaxMm, tMm: a.tMinMm },
  { sMm: a.sMaxMm, tMm: a.tMaxMm },
  { sMm: a.sMinMm, tMm: a.tMaxMm },
]
const judged = computed(() =>
  props.shell.waysOut.flatMap((w, n) =>
    w.row.where.map((m, i) => ({
      key: `${n} ${i}`,
      n,
      state: w.row.state,
      title: w.row.title,
      d: path(w.panelId, m.points, m.isArea),
    })),
  ),
)
</script>

<template>
  <g class="water">
    <path v-for="c in shell.coverings" :key="c.id" class="covering" :d="path(c.ownerId!, corners(c.value.area))">
      <title>{{ c.value.name }}</title>
    </path>
    <path v-for="j in judged" :key="j.key" class="judged" :class="[j.state, { shown: shown === j.n }]" :d="j.d">
      <title>{{ j.title }}</title>
    </path>
    <template v-for="d in shell.drains" :key="d.id">
      <g
        v-if="at(d.ownerId!, d.value.place)"
        class="drain"
        :transform="`translate(${at(d.ownerId!, d.value.place)!.x.toFixed(1)} ${at(d.ownerId!, d.value.place)!.y.toFixed(1)})`"
      >
        <title>{{ d.value.name }}</title>
        <rect x="-7" y="-5" width="14" height="10" rx="5" />
        <path d="M0 -2V9M-3 6L0 9L3 6" />
      </g>
    </template>
    <DropMark
      v-for="o in shell.observations.filter((x) => x.value.kind !== 'waterTest')"
      :key="o.id"
      :at="at(o.ownerId!, o.value.place)"
      :wet="o.value.wet ?? (o.value.moisturePercent ?? 0) >= 20"
      :name="o.value.seenAt.slice(0, 10)"
    />
  </g>
</template>

<style scoped>
.water {
  pointer-events: none;
}
.covering {
  fill: color-mix(in srgb, var(--amber) 9%, transparent);
  stroke: var(--amber);
  stroke-dasharray: 6 3;
}
.judged {
  fill: color-mix(in srgb, var(--stop) 13%, transparent);
  stroke: var(--stop);
  stroke-width: 2;
}
.judged.needsWork {
  fill: color-mix(in srgb, var(--amber) 13%, transparent);
  stroke: var(--amber);
}
.judged.shown {
  stroke-width: 4;
}
.drain rect {
  fill: var(--white);
  stroke: var(--water);
  stroke-width: 2;
}
.drain path {
  fill: none;
  stroke: var(--water);
  stroke-width: 2;
}
</style>
