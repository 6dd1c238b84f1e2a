<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { clockText, dayText, hourOfDay, hoursBetween, momentText } from '@/app/moment'

/** The weather over time: rain as bars, temperature as a line, night shaded, and when one may cut; narrow on the strip, tall on its own screen. */
const props = defineProps<{
  hours: readonly Schemas['ForecastHour'][]
  windows: readonly Schemas['CutWindow'][]
  open?: readonly Schemas['TimedStep'][]
  now: string
  label: string
  compact?: boolean
}>()
const { t } = useI18n()
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
const height = computed(() => (props.compact ? 64 : 210))
/** Room for the days above, for windows below. */
const top = computed(() => (props.compact ? 15 : 24))
const foot = computed(() => (props.compact ? 7 : 40))
const from = computed(() => props.hours[0]!.at)
const step = computed(() => (props.hours.length > 0 ? width.value / props.hours.length : 0))
const x = (at: string) => hoursBetween(from.value, at) * step.value
const plot = computed(() => height.value - top.value - foot.value)
const yOfShare = (percent: number) => top.value + plot.value * (1 - percent / 100)
const range = computed(() => {
  const all = props.hours.map((h) => h.hour.airC)
  const [low, high] = [Math.min(...all), Math.max(...all)]
  return { low: low - 2, high: Math.max(high + 2, low + 8) }
})
const yOfAir = (c: number) => top.value + plot.value * (1 - (c - range.value.low) / (range.value.high - range.value.low))
const line = computed(() =>
  props.hours
    .map((h, i) => `${i === 0 ? 'M' : 'L'}${((i + 0.5) * step.value).toFixed(1)} ${yOfAir(h.hour.airC).toFixed(1)}`)
    .join(''),
)
/** Stretches of hours for which something holds, from and to as indices. */
function stretches(is: (h: Schemas['ForecastHour']) => boolean): { from: number; to: number }[] {
  const found: { from: number; to: number }[] = []
  props.hours.forEach((h, i) => {
    if (!is(h)) return
    const last = found.at(-1)
    if (last && last.to === i) last.to = i + 1
    else found.push({ from: i, to: i + 1 })
  })
  return found
}
const nights = computed(() => stretches((h) => h.isDark))
const untrusted = computed(() => stretches((h) => !h.isTrusted))
const days = computed(() =>
  props.hours.flatMap((h, i) => (i === 0 || hourOfDay(h.at) === 0 ? [{ at: h.at, i, first: i === 0 }] : [])),
)
/** A day's name stands where there is room for it before the next one: in full, short, or not at all. */
const named = computed(() =>
  days.value
    .map((d, i) => ({ ...d, room: ((days.value[i + 1]?.i ?? props.hours.length) - d.i) * step.value }))
    .filter((d) => d.room > 34)
    .map((d) => ({ ...d, text: dayText(d.at, props.compact || d.room < 130 ? 'short' : 'long') })),
)
/** A window is never so narrow that one cannot see it. */
const shown = computed(() =>
  props.windows
    .map((w) => ({ ...w, x: Math.max(0, x(w.from)), to: x(w.until) }))
    .filter((w) => w.to >= 0 && w.x <= width.value)
    .map((w) => ({ ...w, wide: Math.max(3, Math.min(w.to, width.value) - w.x) })),
)
/** When the plan leaves the shell open, as far as the band goes. */
const opened = computed(() =>
  (props.open ?? [])
    .map((o) => ({ ...o, x: Math.max(0, x(o.from)), end: Math.min(width.value, x(o.to)) }))
    .filter((o) => o.end > 0 && o.x < width.value)
    .map((o) => ({ ...o, wide: Math.max(3, o.end - o.x) })),
)
/** Highest and lowest of each day, where they stand. */
const extremes = computed(() => {
  if (props.compact) return []
  return days.value.flatMap((d, k) => {
    const end = days.value[k + 1]?.i ?? props.hours.length
    const own = props.hours.slice(d.i, end).map((h, j) => ({ i: d.i + j, c: h.hour.airC }))
    if (own.length < 12) return []
    const high = own.reduce((a, b) => (b.c > a.c ? b : a))
    return [{ ...high, above: true }]
  })
})
const hover = ref<number | null>(null)
const told = computed(() => {
  const h = hover.value === null ? undefined : props.hours[hover.value]
  if (!h) return ''
  const roof = h.roofC !== null && !h.isDark ? `, ${t('days.roofOf', { c: h.roofC })}` : ''
  return (
    t('days.hourOf', {
      at: momentText(h.at, props.now),
      c: h.hour.airC,
      p: h.hour.rainPercent,
      wind: t('days.windOf', { ms: h.hour.windMs }),
    }) + roof
  )
})
const point = (event: PointerEvent) => {
  const box = root.value!.getBoundingClientRect()
  hover.value = Math.max(0, Math.min(props.hours.length - 1, Math.floor((event.clientX - box.left) / step.value)))
}
</script>

<template>
  <div ref="root" class="band" :class="{ compact }">
    <svg
      v-if="hours.length > 0 && width > 0"
      :viewBox="`0 0 ${width} ${height}`"
      :width="width"
      :height="height"
      role="img"
      :aria-label="label"
      @pointermove="point"
      @pointerleave="hover = null"
    >
      <rect
        v-for="n in nights"
        :key="`n${n.from}`"
        class="night"
        :x="n.from * step"
        :y="top"
        :width="(n.to - n.from) * step"
        :height="plot"
      />
      <line v-for="d in days" :key="d.at" class="day" :x1="d.i * step" :x2="d.i * step" :y1="0" :y2="height - foot" />
      <text v-for="d in named" :key="d.at" class="name" :x="d.i * step + 4" :y="compact ? 11 : 16">
        {{ d.text }}
      </text>
      <rect
        v-for="(h, i) in hours"
        :key="h.at"
        class="rain"
        :class="{ wet: h.hour.rainPercent > 50 }"
        :x="i * step + 0.5"
        :y="yOfShare(h.hour.rainPercent)"
        :width="Math.max(0.5, step - 1)"
        :height="(plot * h.hour.rainPercent) / 100"
      />
      <rect
        v-for="u in untrusted"
        :key="`u${u.from}`"
        class="untrusted"
        :x="u.from * step"
        :y="top"
        :width="(u.to - u.from) * step"
        :height="plot"
      />
      <path class="air" :d="line" />
      <text v-for="e in extremes" :key="e.i" class="degrees" :x="(e.i + 0.5) * step" :y="yOfAir(e.c) - 6">
        {{ Math.round(e.c) }}°
      </text>
      <line class="ground" x1="0" :x2="width" :y1="height - foot" :y2="height - foot" />
      <template v-for="w in shown" :key="w.from">
        <rect class="window" :x="w.x" :y="height - foot + (compact ? 2 : 6)" :width="w.wide" :height="compact ? 4 : 8" />
        <text v-if="!compact && w.wide > 66" class="until" :x="w.x + w.wide / 2" :y="height - foot + 28">
          {{ clockText(w.from) }}–{{ clockText(w.until) }}
        </text>
      </template>
      <rect
        v-for="o in opened"
        :key="`o${o.from}`"
        class="opened"
        :x="o.x"
        :y="top - (compact ? 1 : 6)"
        :width="o.wide"
        :height="compact ? 3 : 6"
      >
        <title>{{ o.title }}: {{ momentText(o.from, now) }}–{{ momentText(o.to, now) }}</title>
      </rect>
      <line v-if="x(now) >= 0" class="now" :x1="x(now)" :x2="x(now)" :y1="top - 3" :y2="height - foot + 3" />
      <line
        v-if="hover !== null && !compact"
        class="hover"
        :x1="(hover + 0.5) * step"
        :x2="(hover + 0.5) * step"
        :y1="top"
        :y2="height - foot"
      />
    </svg>
    <p v-if="!compact" class="told" aria-live="polite">{{ told }}</p>
    <ul v-if="!compact" class="keys">
      <li><i class="k rainKey" />{{ t('days.rainKey') }}</li>
      <li><i class="k airKey" />{{ t('days.tempKey') }}</li>
      <li v-if="nights.length > 0"><i class="k nightKey" />{{ t('days.nightKey') }}</li>
      <li v-if="untrusted.length > 0"><i class="k untrustedKey" />{{ t('days.untrustedKey') }}</li>
      <li v-if="opened.length > 0"><i class="k openedKey" />{{ t('days.plan.open') }}</li>
      <li v-if="windows.length > 0"><i class="k windowKey" />{{ t('days.windowKey') }}</li>
    </ul>
  </div>
</template>

<style scoped>
.band {
  min-width: 0;
}
svg {
  display: block;
}
.night {
  fill: var(--metal-2);
}
.compact .night {
  fill: var(--night-hover);
}
.opened {
  fill: var(--rust);
}
.compact .opened {
  fill: var(--night-open);
}
.openedKey {
  background: var(--rust);
}
.day,
.ground {
  stroke: var(--line);
}
.compact .day,
.compact .ground {
  stroke: var(--night-edge);
}
.name {
  fill: var(--label);
  font: 500 13px 'Source Sans 3';
}
.compact .name {
  fill: var(--night-soft);
  font-size: 11.5px;
}
.rain {
  fill: var(--water);
  opacity: 0.55;
}
.compact .rain {
  fill: var(--night-water);
}
.rain.wet {
  opacity: 0.95;
}
.untrusted {
  fill: var(--primer);
  opacity: 0.65;
}
.compact .untrusted {
  fill: var(--night);
}
.air {
  fill: none;
  stroke: var(--rust);
  stroke-width: 2;
}
.compact .air {
  stroke: var(--night-open);
  stroke-width: 1.5;
}
.degrees {
  fill: var(--rust);
  font: 600 13px 'Source Sans 3';
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--primer);
  stroke-width: 3px;
}
.window {
  fill: var(--teal);
}
.compact .window {
  fill: var(--night-good);
}
.until {
  fill: var(--teal-deep);
  font: 600 12.5px 'Source Sans 3';
  text-anchor: middle;
}
.now,
.hover {
  stroke: var(--label);
  stroke-width: 2;
}
.compact .now {
  stroke: var(--night-ink);
}
.hover {
  stroke-width: 1;
  stroke-dasharray: 2 3;
}
.told {
  min-height: 20px;
  margin: 2px 0;
  color: var(--label);
  font: 500 13.5px 'Source Sans 3';
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 0;
  padding: 0;
  list-style: none;
  color: var(--soft);
  font-size: 13px;
}
.keys li {
  display: flex;
  align-items: center;
  gap: 6px;
}
.k {
  width: 16px;
  height: 10px;
}
.rainKey {
  background: var(--water);
}
.airKey {
  height: 2px;
  background: var(--rust);
}
.nightKey {
  background: var(--metal-2);
}
.untrustedKey {
  border: 1px dashed var(--edge);
}
.windowKey {
  height: 6px;
  background: var(--teal);
}
</style>
