<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { clockText, dayText, hourOfDay, momentText } from '@/app/moment'
import { daysOf, hoursShown, nearest, startsOf, type PlanBar, type PlanDay, type Start } from './planDays'
import { keyText, type PlanLine, type TaskKey } from './usePlan'

/** The plan: a row a day with a lane for each person, the weather behind it, and above it when the shell stands open. A task is held and moved. */
const props = defineProps<{
  lines: readonly PlanLine[]
  hours: readonly Schemas['ForecastHour'][]
  people: readonly string[]
  now: string
  chosen: TaskKey | null
  starts: (key: TaskKey) => Promise<Schemas['StartWindow'][]>
}>()
const emit = defineEmits<{ choose: [key: TaskKey]; move: [key: TaskKey, at: string] }>()
const { t } = useI18n()
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
const lane = 26
const head = 10
const gutter = 114
const lanes = computed(() => Math.max(1, props.people.length))
const days = computed(() => daysOf(props.lines, props.people, props.now))
const shown = computed(() => hoursShown(days.value))
const each = computed(() => Math.max(1, (width.value - gutter) / (shown.value.to - shown.value.from)))
const x = (hour: number) => (Math.min(Math.max(hour, shown.value.from), shown.value.to) - shown.value.from) * each.value
const ticks = computed(() =>
  Array.from({ length: shown.value.to - shown.value.from }, (_, i) => shown.value.from + i).filter((h) => h % 2 === 0),
)
const high = computed(() => head + lanes.value * lane + 4)
const weatherOf = (day: string) => props.hours.filter((h) => h.at.slice(0, 10) === day)
/** The hours of a day that may be wet, of those that are shown. */
const wetOf = (day: string) =>
  weatherOf(day).filter((h) => {
    const hour = hourOfDay(h.at)
    return h.isTrusted && h.hour.rainPercent >= 5 && hour >= shown.value.from && hour < shown.value.to
  })
const isKnown = (day: PlanDay) => weatherOf(day.day).some((h) => h.isTrusted)
const isShort = (bar: PlanBar) => (bar.to - bar.from) * each.value < 34
const told = (bar: PlanBar) =>
  [
    `${clockText(bar.line.kept!.from)}–${momentText(bar.line.kept!.until, bar.line.kept!.from)} ${bar.line.title}`,
    bar.line.kept!.hands.map((h) => h.name).join(', '),
    bar.line.trouble ?? '',
  ]
    .filter((part) => part)
    .join('. ')

/** What is held, where it may begin, and where it would. */
const held = ref<{ bar: PlanBar; x: number; y: number; moved: boolean; starts: Start[]; to: Start | null } | null>(null)
/** So far a finger trembles, px. */
const still = 6
async function hold(bar: PlanBar, event: PointerEvent) {
  if (bar.line.mark?.kind === 'done') return
  held.value = { bar, x: event.clientX, y: event.clientY, moved: false, starts: [], to: null }
  const windows = await props.starts(bar.line.key).catch(() => [])
  if (held.value && keyText(held.value.bar.line.key) === keyText(bar.line.key)) held.value.starts = startsOf(windows)
}
function drag(event: PointerEvent) {
  const h = held.value
  if (!h) return
  h.moved ||= Math.hypot(event.clientX - h.x, event.clientY - h.y) > still
  if (!h.moved) return
  const row = document
    .elementsFromPoint(event.clientX, event.clientY)
    .map((e) => (e as HTMLElement).closest<HTMLElement>('[data-day]'))
    .find((e) => e !== null)
  if (!row) return
  const grabbed = (h.x - event.clientX) / each.value
  h.to = nearest(h.starts, row.dataset.day!, h.bar.from - grabbed)
}
function drop() {
  const h = held.value
  held.value = null
  if (!h) return
  if (!h.moved) emit('choose', h.bar.line.key)
  else if (h.to) emit('move', h.bar.line.key, h.to.at)
}
const mayBegin = (day: string) => (held.value?.moved ? held.value.starts.filter((s) => s.day === day) : [])
</script>

<template>
  <div ref="root" class="plan-days" data-testid="plan-board" @pointermove="drag" @pointerup="drop" @pointercancel="held = null">
    <div class="ticks" :style="{ paddingLeft: `${gutter}px` }" aria-hidden="true">
      <span v-for="h in ticks" :key="h" :style="{ left: `${gutter + x(h)}px` }">{{ h }}</span>
    </div>
    <div
      v-for="d in days"
      :key="d.day"
      class="day"
      :class="{ unknown: !isKnown(d) }"
      :style="{ height: `${d.bars.length > 0 || d.open.length > 0 ? high : 24}px` }"
      :data-day="d.day"
    >
      <span class="name" :class="{ today: d.day === now.slice(0, 10) }">
        {{ dayText(d.at) }} <b>{{ Number(d.day.slice(8)) }}</b>
      </span>
      <template v-if="d.bars.length > 0">
        <span v-for="(name, i) in people" :key="name" class="who soft" :style="{ top: `${head + i * lane + 4}px` }">{{
          name
        }}</span>
      </template>
      <div class="lanes" :style="{ left: `${gutter}px` }">
        <i
          v-for="h in wetOf(d.day)"
          :key="h.at"
          class="rain"
          :style="{ left: `${x(hourOfDay(h.at))}px`, width: `${each}px`, height: `${h.hour.rainPercent}%` }"
        />
        <i v-for="h in ticks" :key="`t${h}`" class="tick" :style="{ left: `${x(h)}px` }" />
        <i
          v-for="(o, i) in d.open.filter((o) => x(o.to) - x(o.from) >= 1)"
          :key="`o${i}`"
          class="open"
          :class="{ covered: o.covered }"
          :style="{ left: `${x(o.from)}px`, width: `${x(o.to) - x(o.from)}px` }"
        />
        <i v-if="d.day === now.slice(0, 10)" class="now" :style="{ left: `${x(hourOfDay(now))}px` }" />
        <i v-for="s in mayBegin(d.day)" :key="s.at" class="may" :style="{ left: `${x(s.hour)}px`, width: `${each / 2}px` }" />
        <button
          v-for="bar in d.bars"
          :key="`${keyText(bar.line.key)} ${bar.lane} ${bar.from}`"
          class="bar"
          type="button"
          :tabindex="bar.first ? 0 : -1"
          :title="told(bar)"
          :aria-label="told(bar)"
          :class="[
            bar.line.mark?.kind,
            {
              opens: bar.line.opensShell,
              wrong: bar.line.trouble !== null,
              guess: !bar.line.kept!.isForeseen,
              chosen: chosen !== null && keyText(chosen) === keyText(bar.line.key),
              short: isShort(bar),
            },
          ]"
          :style="{
            left: `${x(bar.from)}px`,
            width: `${Math.max(6, x(bar.to) - x(bar.from) - 1)}px`,
            top: `${head + bar.lane * lane}px`,
            height: `${lane - 3}px`,
          }"
          @pointerdown="hold(bar, $event)"
          @keydown.enter.prevent="emit('choose', bar.line.key)"
        >
          <span v-if="!isShort(bar)">{{ bar.line.name }}</span>
        </button>
        <i
          v-if="held?.moved && held.to?.day === d.day"
          class="ghost"
          :style="{
            left: `${x(held.to.hour)}px`,
            width: `${Math.max(6, (held.bar.to - held.bar.from) * each)}px`,
            top: `${head}px`,
            height: `${lanes * lane - 3}px`,
          }"
        />
      </div>
    </div>
    <div class="legend soft">
      <span><i class="bar opens" />{{ t('days.plan.opens') }}</span>
      <span><i class="bar" />{{ t('days.plan.task') }}</span>
      <span><i class="bar guess" />{{ t('days.plan.guess') }}</span>
      <span><i class="open" />{{ t('days.plan.open') }}</span>
      <span><i class="open covered" />{{ t('days.plan.covered') }}</span>
      <span><i class="rain" />{{ t('days.rainKey') }}</span>
    </div>
  </div>
</template>

<style scoped>
.plan-days {
  touch-action: pan-y;
  user-select: none;
}
.ticks {
  position: relative;
  height: 18px;
  color: var(--soft);
  font-size: 12px;
}
.ticks span {
  position: absolute;
  transform: translateX(-50%);
}
.day {
  position: relative;
  border-top: 1px solid var(--line);
}
.name {
  position: absolute;
  top: 4px;
  left: 0;
  font-size: 14px;
}
.who {
  position: absolute;
  left: 56px;
  overflow: hidden;
  width: 50px;
  font-size: 12px;
  text-align: right;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name.today {
  color: var(--rust);
}
.lanes {
  position: absolute;
  top: 0;
  right: 0;
  bottom: 0;
}
.lanes i {
  position: absolute;
}
.rain {
  bottom: 0;
  background: var(--water);
  opacity: 0.25;
}
.tick {
  top: 0;
  bottom: 0;
  border-left: 1px solid var(--line);
}
.now {
  top: 0;
  bottom: 0;
  border-left: 2px solid var(--ink);
}
.open {
  top: 2px;
  height: 5px;
  background: var(--rust);
}
.open.covered {
  background: var(--amber);
}
.may {
  top: 0;
  bottom: 0;
  background: var(--teal-soft);
}
.ghost {
  border: 2px dashed var(--teal);
  pointer-events: none;
}
.bar {
  position: absolute;
  overflow: hidden;
  padding: 0 5px;
  border: 1px solid var(--edge-strong);
  border-radius: 3px;
  background: var(--white);
  color: var(--ink);
  font: inherit;
  font-size: 13px;
  line-height: 1;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: grab;
}
.bar.short {
  padding: 0;
}
.bar.guess {
  border-style: dashed;
}
.bar.opens {
  border-color: var(--rust);
  background: var(--rust-soft);
}
.bar.fixed {
  border-width: 2px;
  border-color: var(--ink);
}
.bar.running {
  background: var(--teal-soft);
}
.bar.done {
  background: transparent;
  color: var(--soft);
  cursor: default;
}
.bar.wrong {
  border-color: var(--stop);
  background: var(--stop-soft);
}
.bar.chosen {
  outline: 2px solid var(--teal);
  outline-offset: 1px;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin-top: 8px;
  font-size: 13px;
}
.legend i {
  position: static;
  display: inline-block;
  width: 16px;
  height: 10px;
  margin-right: 5px;
}
.legend i.open {
  height: 5px;
  vertical-align: 2px;
}
</style>
