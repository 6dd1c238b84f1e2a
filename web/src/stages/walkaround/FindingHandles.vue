<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Finding, Point } from '@/api/client'
import ShapeHandles from '@/drawing/ShapeHandles.vue'
import { dragged, nudged, whole } from './findingShape'

/** The finding in hand where it lies: its size is dragged. */
const props = defineProps<{ at: (p: Point) => { x: number; y: number }; back: (x: number, y: number) => Point }>()
const finding = defineModel<Finding>({ required: true })
const { t } = useI18n()
const put = (i: number, to: Point) => (finding.value.points = dragged(finding.value.points, i, to))
const move = (i: number, to: Point) => put(i, whole(to))
const nudge = (i: number, way: readonly [number, number], by: number) =>
  put(i, nudged(finding.value.points[i]!, way, by, props.at))
</script>

<template>
  <ShapeHandles
    :points="finding.points"
    :is-area="finding.shape === 'area'"
    :at="at"
    :back="back"
    :label="(i) => t('findings.handle', { n: i + 1 })"
    @move="move"
    @nudge="nudge"
  />
</template>
