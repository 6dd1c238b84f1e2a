<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Stored, Zone } from '@/api/client'
import { useState } from '@/app/state'
import { boxOf } from '@/drawing/geometry'

/** What stands inside, from above and from the left, to one scale with the shell's outline round it. */
const props = defineProps<{ zones: readonly Stored<Zone>[] }>()
const emit = defineEmits<{ open: [row: Stored<Zone>] }>()
const { t } = useI18n()
const { shell } = useState()
const edge = (kind: 'roof' | 'left') => {
  const panel = shell.value?.panels.find((p) => p.value.kind === kind)
  return panel ? boxOf(panel.value.outline) : null
}
const body = computed(() => {
  const z = props.zones.map((r) => r.value)
  const roof = edge('roof')
  const left = edge('left')
  return {
    x1: roof?.s1 ?? Math.min(...z.map((v) => v.xMinMm)),
    x2: roof?.s2 ?? Math.max(...z.map((v) => v.xMaxMm)),
    y1: roof?.t1 ?? Math.min(...z.map((v) => v.yMinMm)),
    y2: roof?.t2 ?? Math.max(...z.map((v) => v.yMaxMm)),
    z2: left?.t2 ?? Math.max(...z.map((v) => v.zMaxMm)),
  }
})
const gap = 260
const frame = computed(() => {
  const b = body.value
  const plan = b.y2 - b.y1
  return { plan, width: b.x2 - b.x1, height: plan + gap + b.z2, sideFoot: plan + gap + b.z2 }
})
/** From above, front at the left: the vehicle's left lies at the foot. */
const plan = (z: Zone) => ({
  x: z.xMinMm - body.value.x1,
  y: z.yMinMm - body.value.y1,
  width: z.xMaxMm - z.xMinMm,
  height: z.yMaxMm - z.yMinMm,
})
const side = (z: Zone) => ({
  x: z.xMinMm - body.value.x1,
  y: frame.value.sideFoot - z.zMaxMm,
  width: z.xMaxMm - z.xMinMm,
  height: z.zMaxMm - z.zMinMm,
})
</script>

<template>
  <svg
    class="zones"
    :viewBox="`-40 -190 ${frame.width + 80} ${frame.height + 230}`"
    role="img"
    :aria-label="t('walkaround.zonesDrawing')"
  >
    <text x="0" y="-60">{{ t('walkaround.fromAbove') }}</text>
    <rect class="body" x="0" y="0" :width="frame.width" :height="frame.plan" />
    <text x="0" :y="frame.plan + gap - 60">{{ t('walkaround.fromLeft') }}</text>
    <rect class="body" x="0" :y="frame.plan + gap" :width="frame.width" :height="body.z2" />
    <g v-for="row in zones" :key="row.id" class="zone" @click="emit('open', row)">
      <title>{{ row.value.name }}</title>
      <rect v-bind="plan(row.value)" />
      <rect v-bind="side(row.value)" />
    </g>
  </svg>
</template>

<style scoped>
.zones {
  width: 100%;
  background: var(--sheet);
}
rect {
  vector-effect: non-scaling-stroke;
}
.body {
  fill: none;
  stroke: var(--metal-6);
}
.zone {
  cursor: pointer;
}
.zone rect {
  fill: color-mix(in srgb, var(--rust) 10%, transparent);
  stroke: var(--rust);
}
.zone:hover rect {
  fill: color-mix(in srgb, var(--rust) 25%, transparent);
}
text {
  font-size: 150px;
  fill: var(--soft);
}
</style>
