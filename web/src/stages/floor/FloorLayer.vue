<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Point, Schemas, Stored } from '@/api/client'
import { boxOf } from '@/drawing/geometry'
import type { Viewport } from '@/drawing/viewport'

/** Boards, probes and cuts on the drawing of a floor. A probe has a shape for what was probed and a colour and letter for how it is. */
const props = defineProps<{
  view: Viewport
  probes: readonly Stored<Schemas['Probe']>[]
  boards: readonly Stored<Schemas['Board']>[]
  cuts: readonly { id: string; name: string; state: string; cut: readonly (readonly Point[])[] }[]
  /** Whether probes only lie there, and nothing is opened. */
  still?: boolean
}>()
const emit = defineEmits<{ probe: [id: string]; cut: [id: string] }>()
const { t } = useI18n()
/** How much of the floor a probe stands for in the picture, mm. */
const reachMm = 90
const letter = { sound: '', spongy: '~', soft: '!', through: '×' }
/** Names stand at the foot of their cut: above lie its probes, below it the names of bearers. */
const foot = (outline: readonly Point[]) => {
  const b = boxOf(outline)
  return { x: props.view.x((b.s1 + b.s2) / 2), y: Math.max(props.view.y(b.t1), props.view.y(b.t2)) - 8 }
}
const said = (p: Schemas['Probe']) =>
  [t(`floor.ofs.${p.of}`), t(`floor.woods.${p.wood}`), p.moisturePercent === null ? '' : `${p.moisturePercent} %`]
    .filter((part) => part)
    .join(', ')
</script>

<template>
  <path v-for="b in boards" :key="b.id" class="plank" :d="view.path(b.value.outline)">
    <title>{{ b.value.name }}</title>
  </path>
  <circle
    v-for="p in probes"
    :key="`r${p.id}`"
    class="reach"
    :class="p.value.wood"
    :cx="view.x(p.value.at.sMm)"
    :cy="view.y(p.value.at.tMm)"
    :r="reachMm * view.scale.value"
  />
  <g
    v-for="c in cuts"
    :key="c.id"
    class="cut"
    :class="c.state"
    data-draggable
    tabindex="0"
    role="button"
    :aria-label="c.name"
    @click.stop="emit('cut', c.id)"
    @keydown.enter.stop="emit('cut', c.id)"
  >
    <path v-for="(outline, i) in c.cut" :key="i" :d="view.path(outline)" />
    <text v-if="c.cut[0]" :x="foot(c.cut[0]).x" :y="foot(c.cut[0]).y">{{ c.name }}</text>
  </g>
  <g
    v-for="p in probes"
    :key="p.id"
    class="probe"
    :class="p.value.wood"
    data-draggable
    data-testid="probe"
    :tabindex="still ? undefined : 0"
    :role="still ? 'img' : 'button'"
    :aria-label="said(p.value)"
    :transform="`translate(${view.x(p.value.at.sMm).toFixed(1)} ${view.y(p.value.at.tMm).toFixed(1)})`"
    @click.stop="emit('probe', p.id)"
    @keydown.enter.stop="emit('probe', p.id)"
  >
    <title>{{ said(p.value) }}</title>
    <rect v-if="p.value.of === 'member'" x="-7" y="-7" width="14" height="14" rx="1" />
    <circle v-else r="7" />
    <text y="4">{{ letter[p.value.wood] }}</text>
  </g>
</template>

<style scoped>
.plank {
  fill: none;
  stroke: var(--metal-5);
  stroke-width: 1.2;
  stroke-dasharray: 9 4;
  pointer-events: none;
}
.reach {
  pointer-events: none;
  fill: color-mix(in srgb, var(--rust) 38%, transparent);
}
.reach.sound {
  fill: color-mix(in srgb, var(--teal) 16%, transparent);
}
.reach.spongy {
  fill: color-mix(in srgb, var(--amber) 34%, transparent);
}
.probe {
  cursor: pointer;
  outline: none;
}
.probe circle,
.probe rect {
  fill: var(--rust);
  stroke: var(--white);
  stroke-width: 1.5;
}
.probe.sound circle,
.probe.sound rect {
  fill: var(--teal);
}
.probe.spongy circle,
.probe.spongy rect {
  fill: var(--amber);
}
.probe.through circle,
.probe.through rect {
  fill: var(--stop);
}
.probe text {
  font-size: 11px;
  font-weight: 700;
  text-anchor: middle;
  fill: var(--white);
  pointer-events: none;
}
.probe:focus-visible circle,
.probe:focus-visible rect,
.cut:focus-visible path {
  stroke: var(--ink);
  stroke-width: 3;
}
.cut {
  cursor: pointer;
  outline: none;
}
.cut path {
  fill: color-mix(in srgb, var(--rust) 8%, transparent);
  stroke: var(--rust);
  stroke-width: 2;
  stroke-dasharray: 7 4;
}
.cut.done path {
  fill: color-mix(in srgb, var(--teal) 10%, transparent);
  stroke: var(--teal);
  stroke-dasharray: none;
}
.cut text {
  font-size: 13px;
  font-weight: 600;
  text-anchor: middle;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--white);
  stroke-width: 3;
}
</style>
