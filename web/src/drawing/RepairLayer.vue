<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Point, Schemas, Stored } from '@/api/client'

/** Repairs where they lie on the unfolded shell: planned ones dashed, what is done in teal. */
const props = defineProps<{
  repairs: readonly { row: Stored<Schemas['Repair']>; outline: readonly Point[] }[]
  at: (panelId: string, p: Point) => { x: number; y: number } | null
  chosen?: string | null
}>()
const emit = defineEmits<{ choose: [id: string] }>()
const { t } = useI18n()
const drawn = computed(() =>
  props.repairs.flatMap((r) => {
    const spots = r.outline.flatMap((p) => props.at(r.row.ownerId!, p) ?? [])
    if (spots.length === 0) return []
    const area = spots.length > 2 && r.row.value.kind !== 'plug'
    const xs = spots.map((p) => p.x)
    const ys = spots.map((p) => p.y)
    return [
      {
        row: r.row,
        dots: r.row.value.kind === 'plug' || spots.length === 1 ? spots : [],
        d: `M${spots.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}${area ? 'Z' : ''}`,
        area,
        x: (Math.min(...xs) + Math.max(...xs)) / 2,
        y: (Math.min(...ys) + Math.max(...ys)) / 2,
      },
    ]
  }),
)
</script>

<template>
  <g
    v-for="r in drawn"
    :key="r.row.id"
    class="repair"
    :class="[r.row.value.state, { chosen: chosen === r.row.id }]"
    data-draggable
    tabindex="0"
    role="button"
    :aria-label="`${r.row.value.name}, ${t(`metal.state.${r.row.value.state}`)}`"
    @click="emit('choose', r.row.id)"
    @keydown.enter.stop="emit('choose', r.row.id)"
  >
    <title>{{ r.row.value.name }}</title>
    <path class="reach" :d="r.d" />
    <path class="edge" :class="{ area: r.area }" :d="r.d" />
    <circle v-for="(p, i) in r.dots" :key="i" :cx="p.x" :cy="p.y" r="4" class="dot" />
    <g :transform="`translate(${r.x.toFixed(1)} ${r.y.toFixed(1)})`">
      <rect x="-8" y="-8" width="16" height="16" rx="3" class="mark" />
      <path v-if="r.row.value.state === 'done' || r.row.value.state === 'watch'" class="sign" d="M-4 0l3 3l5-6" />
      <path v-else class="sign" d="M-4 0h8M0 -4v8" />
    </g>
  </g>
</template>

<style scoped>
.repair {
  cursor: pointer;
  outline: none;
}
.reach {
  fill: none;
  stroke: transparent;
  stroke-width: 20;
}
.edge {
  fill: none;
  stroke: var(--rust);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
.edge.area {
  fill: color-mix(in srgb, var(--rust) 12%, transparent);
}
.dot,
.mark {
  fill: var(--rust);
  stroke: var(--white);
  stroke-width: 1.5;
}
.sign {
  fill: none;
  stroke: var(--white);
  stroke-width: 2;
}
.doing .edge {
  stroke: var(--amber);
}
.doing .mark {
  fill: var(--amber);
}
.done .edge,
.watch .edge {
  stroke: var(--teal);
  stroke-dasharray: none;
}
.done .mark,
.watch .mark,
.done .dot,
.watch .dot {
  fill: var(--teal);
}
.chosen .mark,
.repair:focus-visible .mark {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
