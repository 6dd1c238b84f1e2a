<script setup lang="ts">
import { computed } from 'vue'
import type { Fitting, Point, Schemas, Stored } from '@/api/client'
import { boxAround, turnedShape } from '@/drawing/geometry'
import { stateOf, type ShownJoint } from './useSealing'

/** The joints over the unfolded shell: along what they belong to, by how far they have come. */
const props = defineProps<{
  joints: readonly ShownJoint[]
  shell: Schemas['WholeShell']
  fittings: readonly Stored<Fitting>[]
  at: (panelId: string, p: Point) => { x: number; y: number } | null
  chosen: string | null
}>()
const emit = defineEmits<{ choose: [key: string] }>()

/** Where a joint runs on its panel: the seam, the edge of the flange, or the finding. */
function line(j: ShownJoint): { points: Point[]; closed: boolean } | null {
  const of = j.value.of
  const member = of?.kind === 'member' && props.shell.members.find((m) => m.id === of.id)
  if (member) return { points: member.value.footprint.points, closed: member.value.footprint.shape === 'polygon' }
  const opening = of?.kind === 'opening' && props.shell.openings.find((o) => o.id === of.id)
  const fitting = opening && props.fittings.find((f) => f.id === opening.value.fittingId)?.value
  if (opening && fitting) {
    const flange = turnedShape(fitting.flange, opening.value.turnDeg)
    const b = boxAround(opening.value.centre, flange.widthMm, flange.heightMm)
    return {
      points: [
        { sMm: b.s1, tMm: b.t1 },
        { sMm: b.s2, tMm: b.t1 },
        { sMm: b.s2, tMm: b.t2 },
        { sMm: b.s1, tMm: b.t2 },
      ],
      closed: true,
    }
  }
  const repair = of?.kind === 'repair' && props.shell.repairs.find((r) => r.id === of.id)
  if (repair) return { points: repair.value.points, closed: repair.value.shape === 'area' }
  const finding = of?.kind === 'finding' && props.shell.findings.find((f) => f.id === of.id)
  return finding ? { points: finding.value.points, closed: finding.value.shape === 'area' } : null
}
const drawn = computed(() =>
  props.joints.flatMap((j) => {
    const found = line(j)
    if (!found) return []
    const spots = found.points.map((p) => props.at(j.panelId, p))
    if (spots.some((s) => s === null)) return []
    const d = `M${spots.map((s) => `${s!.x.toFixed(1)} ${s!.y.toFixed(1)}`).join('L')}${found.closed ? 'Z' : ''}`
    return [
      {
        key: j.key,
        name: j.value.name,
        state: stateOf(j),
        fault: j.faults.length > 0,
        d,
        dot: spots.length === 1 ? spots[0] : null,
      },
    ]
  }),
)
</script>

<template>
  <g class="joints">
    <g
      v-for="j in drawn"
      :key="j.key"
      class="joint"
      :class="[`is-${j.state}`, { chosen: chosen === j.key, fault: j.fault }]"
      data-draggable
      @click="emit('choose', j.key)"
    >
      <title>{{ j.name }}</title>
      <path class="hit" :d="j.d" />
      <path class="line" :d="j.d" />
      <circle v-if="j.dot" :cx="j.dot.x" :cy="j.dot.y" r="6" />
    </g>
  </g>
</template>

<style scoped>
.joint {
  cursor: pointer;
}
.hit {
  fill: none;
  stroke: transparent;
  stroke-width: 14;
}
.line {
  fill: none;
  stroke: var(--rust);
  stroke-width: 3;
  stroke-dasharray: 7 4;
}
.joint circle {
  fill: var(--sheet);
  stroke: var(--rust);
  stroke-width: 3;
}
.chosen .line {
  stroke-width: 6;
}
.joint.is-chosen .line {
  stroke: var(--amber);
  stroke-dasharray: 12 3;
}
.joint.fault .line {
  stroke: var(--stop);
}
.joint.is-sealed .line {
  stroke: var(--teal);
  stroke-dasharray: none;
}
.joint.is-sealed circle {
  stroke: var(--teal);
}
</style>
