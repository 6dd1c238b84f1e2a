<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Point, Vehicle } from '@/api/client'
import { bodyHints } from './bodyHints'
import { facingOf } from './facing'
import { boxOf } from './geometry'
import type { LaidPanel } from './unfolded'

/** What tells the front of an unfolded shell from its rear: cab or drawbar, wheels in the gap, hinges and handles of the doors. Nobody surveyed it. */
const props = defineProps<{
  laid: readonly LaidPanel[]
  vehicle: Vehicle
  on: (l: LaidPanel, p: Point) => { x: number; y: number }
}>()
const { t } = useI18n()
/** As far below the floor as there is room between two panels, mm. */
const belowMm = 120

const line = (l: LaidPanel, spots: readonly Point[], closed = true) =>
  'M' +
  spots
    .map((p) => props.on(l, p))
    .map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`)
    .join('L') +
  (closed ? 'Z' : '')
const point = ([sMm, tMm]: readonly [number, number]): Point => ({ sMm, tMm })
const hints = computed(() => {
  const side = props.laid.find((l) => l.row.value.kind === 'left' || l.row.value.kind === 'right')
  const b = side ? boxOf(side.row.value.outline) : null
  if (!b) return null
  const m = props.vehicle.masses
  return bodyHints(
    props.vehicle.kind,
    { frontMm: b.s1, lengthMm: b.s2 - b.s1, heightMm: b.t2 },
    { floorMm: m?.floorHeightMm ?? null },
  )
})
/** A wheel as far as it is seen between floor and gap. */
function wheel(alongMm: number, upMm: number, r: number): Point[] {
  const spots: Point[] = []
  for (let deg = 0; deg <= 180; deg += 6) {
    const a = (deg * Math.PI) / 180
    spots.push({ sMm: alongMm + r * Math.cos(a), tMm: Math.max(-belowMm, upMm + r * Math.sin(a)) })
  }
  return spots
}
const shapes = computed(() => {
  const h = hints.value
  if (!h) return []
  return props.laid.flatMap((l) => {
    const kind = l.row.value.kind
    if (kind === 'left' || kind === 'right')
      return [
        { key: `${l.row.id} cab`, look: 'cab', d: line(l, h.side.map(point)) },
        ...(h.glass.length > 0 ? [{ key: `${l.row.id} glass`, look: 'glass', d: line(l, h.glass.map(point)) }] : []),
        ...h.wheels.map((w, i) => ({ key: `${l.row.id} ${i}`, look: 'wheel', d: line(l, wheel(w.alongMm, w.upMm, w.radiusMm)) })),
      ]
    if (kind !== 'roof') return []
    const b = boxOf(l.row.value.outline)
    const [half, middle] = [(b.t2 - b.t1) / 2, (b.t1 + b.t2) / 2]
    return [
      {
        key: l.row.id,
        look: 'cab',
        d: line(
          l,
          h.above.map(([along, share]) => point([along, middle + share * half])),
        ),
      },
    ]
  })
})
/** Arches over the wheels and what is at the edges of the doors lie on the panels. */
const over = computed(() =>
  props.laid.flatMap((l) => {
    const { kind, outline } = l.row.value
    const b = boxOf(outline)
    if (kind === 'left' || kind === 'right')
      return (hints.value?.wheels ?? [])
        .filter((w) => w.alongMm > b.s1)
        .map((w, i) => ({
          key: `${l.row.id} arch ${i}`,
          d: line(
            l,
            wheel(w.alongMm, w.upMm, w.radiusMm * 1.2).filter((p) => p.tMm >= b.t1 && p.sMm >= b.s1 && p.sMm <= b.s2),
            false,
          ),
        }))
    if (facingOf(l.row.value) !== 'rear' || !/Door$/.test(kind)) return []
    const outer = Math.abs(b.s1) > Math.abs(b.s2) ? b.s1 : b.s2
    const inner = outer === b.s1 ? b.s2 : b.s1
    const to = Math.sign(outer - inner)
    const up = (share: number) => b.t1 + (b.t2 - b.t1) * share
    const hinge = (share: number) => line(l, [point([outer, up(share) - 60]), point([outer, up(share) + 60])], false)
    const handle = line(l, [point([inner + to * 60, up(0.45)]), point([inner + to * 180, up(0.45)])], false)
    return [hinge(0.15), hinge(0.8), handle].map((d, i) => ({ key: `${l.row.id} ${i}`, d, door: true }))
  }),
)
const front = computed(() => {
  const roof = props.laid.find((l) => l.row.value.kind === 'roof')
  if (!roof || !hints.value) return null
  const b = boxOf(roof.row.value.outline)
  return props.on(roof, { sMm: b.s1 - hints.value.noseMm * 0.45, tMm: (b.t1 + b.t2) / 2 })
})
</script>

<template>
  <g class="hints" aria-hidden="true">
    <path v-for="s in shapes" :key="s.key" :class="s.look" :d="s.d" />
    <text v-if="front" :x="front.x" :y="front.y + 4">◂ {{ t('drawing.frontShort') }}</text>
  </g>
  <!-- The panels, between what lies beside them and what lies on them. -->
  <slot />
  <g class="hints" aria-hidden="true">
    <path v-for="s in over" :key="s.key" :class="'door' in s ? 'fitted' : 'arch'" :d="s.d" />
  </g>
</template>

<style scoped>
.hints > path {
  pointer-events: none;
}
.cab {
  fill: var(--metal-1);
  stroke: var(--metal-3);
}
.glass {
  fill: var(--primer);
  stroke: var(--metal-3);
}
.wheel {
  fill: var(--metal-2);
  stroke: var(--metal-4);
}
.arch {
  fill: none;
  stroke: var(--metal-3);
  stroke-dasharray: 4 3;
}
.fitted {
  fill: none;
  stroke: var(--metal-6);
  stroke-width: 4;
}
text {
  font-size: 12.5px;
  font-weight: 500;
  fill: var(--soft);
  text-anchor: middle;
}
</style>
