<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Point, Schemas } from '@/api/client'
import DragHandle from '@/drawing/DragHandle.vue'
import { sideWord, type Facing } from '@/drawing/facing'
import { turned } from '@/drawing/geometry'
import type { Viewport } from '@/drawing/viewport'
import { ownSide, sideNames, withSide } from './sides'

/** Handles on the sides of the hole and of the patch: dragged, they move that side alone. */
const props = defineProps<{ view: Viewport; damage: readonly Point[]; patch: Schemas['PatchPlan']; facing: Facing }>()
const design = defineModel<Schemas['PatchDesign']>({ required: true })
const { t } = useI18n()

/** Boxes of damage and patch in the frame of the patch. */
const frame = computed(() => {
  const own = (points: readonly Point[]) => {
    const all = points.map((p) => turned(p, -props.patch.turnDeg))
    const [s, tt] = [all.map((p) => p.sMm), all.map((p) => p.tMm)]
    return { front: Math.min(...s), rear: Math.max(...s), bottom: Math.min(...tt), top: Math.max(...tt) }
  }
  return { damage: own(props.damage), patch: own(props.patch.patch) }
})
const cutBack = (side: Schemas['Side']) => ownSide(design.value, side).cutBackMm ?? design.value.cutBackMm
const sign = { front: -1, rear: 1, bottom: -1, top: 1 } as const
const handles = computed(() =>
  sideNames.flatMap((side) => {
    const { damage, patch } = frame.value
    const along = side === 'front' || side === 'rear'
    const middle = along ? (patch.bottom + patch.top) / 2 : (patch.front + patch.rear) / 2
    const at = (value: number): Point =>
      turned(along ? { sMm: value, tMm: middle } : { sMm: middle, tMm: value }, props.patch.turnDeg)
    const hole = damage[side] + sign[side] * cutBack(side)
    const both = [{ what: 'lap' as const, side, at: at(patch[side]), from: hole }]
    return design.value.shape === 'noHole'
      ? both
      : [...both, { what: 'cutBack' as const, side, at: at(hole), from: damage[side] }]
  }),
)
function move(h: (typeof handles.value)[number], to: Point) {
  const own = turned(to, -props.patch.turnDeg)
  const value = h.side === 'front' || h.side === 'rear' ? own.sMm : own.tMm
  const { least, most } = h.what === 'lap' ? bounds.PatchSide.lapMm : bounds.PatchSide.cutBackMm
  const mm = Math.min(most, Math.max(least, Math.round((value - h.from) * sign[h.side])))
  design.value = withSide(design.value, h.side, h.what === 'lap' ? { lapMm: mm } : { cutBackMm: mm })
}
</script>

<template>
  <DragHandle
    v-for="h in handles"
    :key="h.what + h.side"
    :view="view"
    :at="h.at"
    :label="t(`metal.drag.${h.what}`, { side: sideWord(facing, h.side) })"
    @move="(to) => move(h, to)"
  />
</template>
