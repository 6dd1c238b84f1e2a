<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'

/** A forecast beside what it turns out to be: temperatures as lines, the chance of rain, the courses of the rain, and the hours that are really wet. */
const props = defineProps<{ forecast: Schemas['Forecast']; truth: readonly Schemas['WeatherHour'][] }>()
const { t } = useI18n()
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
const left = 40
const airHeight = 150
const rainTop = airHeight + 24
const rainHeight = 90
const courseTop = rainTop + rainHeight + 24
const course = 6
const courses = computed(() => props.forecast.members ?? [])
const height = computed(() => courseTop + courses.value.length * course + 40)
const step = computed(() => (width.value - left) / props.forecast.hours.length)
const x = (i: number) => left + i * step.value
const range = computed(() => {
  const all = [...props.forecast.hours, ...props.truth].map((h) => h.airC)
  return { low: Math.floor(Math.min(...all)) - 1, high: Math.ceil(Math.max(...all)) + 1 }
})
const y = (c: number) => 8 + (airHeight - 8) * (1 - (c - range.value.low) / (range.value.high - range.value.low))
const line = (hours: readonly Schemas['WeatherHour'][]) =>
  hours.map((h, i) => `${i === 0 ? 'M' : 'L'}${(x(i) + step.value / 2).toFixed(1)} ${y(h.airC).toFixed(1)}`).join('')
</script>

<template>
  <div ref="root">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="t('simulated.chart')"
    >
      <g v-for="c in [range.low, range.high]" :key="c">
        <line class="grid" :x1="left" :x2="width" :y1="y(c)" :y2="y(c)" />
        <text class="scale" :x="left - 6" :y="y(c) + 4">{{ c }}°</text>
      </g>
      <path class="said" :d="line(forecast.hours)" />
      <path class="truth" :d="line(truth)" />
      <text :x="left" :y="rainTop - 6">{{ t('days.rainKey') }}</text>
      <rect
        v-for="(h, i) in forecast.hours"
        :key="i"
        class="chance"
        :x="x(i)"
        :y="rainTop + rainHeight * (1 - h.rainPercent / 100)"
        :width="Math.max(0.5, step - 0.5)"
        :height="(rainHeight * h.rainPercent) / 100"
      />
      <text :x="left" :y="courseTop - 6">{{ t('simulated.members') }}</text>
      <template v-for="(m, k) in courses" :key="k">
        <rect
          v-for="(wet, i) in [...m].map((c) => c === '1')"
          v-show="wet"
          :key="i"
          class="member"
          :x="x(i)"
          :y="courseTop + k * course"
          :width="step"
          :height="course - 1"
        />
      </template>
      <rect
        v-for="(h, i) in truth"
        v-show="h.rainPercent > 0"
        :key="`t${i}`"
        class="wet"
        :x="x(i)"
        :y="courseTop + courses.length * course + 4"
        :width="step"
        height="12"
      />
      <text :x="left" :y="height - 6">{{ t('simulated.truth') }}</text>
    </svg>
    <ul class="keys">
      <li><i class="said-key" />{{ t('simulated.forecast') }}</li>
      <li><i class="truth-key" />{{ t('simulated.truth') }}</li>
    </ul>
  </div>
</template>

<style scoped>
svg {
  display: block;
}
.grid {
  stroke: var(--rule);
}
text {
  fill: var(--soft);
  font: 500 12.5px 'Source Sans 3';
}
.scale {
  text-anchor: end;
}
.said,
.truth {
  fill: none;
  stroke-width: 2;
}
.said {
  stroke: var(--rust);
}
.truth {
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
.chance,
.member {
  fill: var(--water);
  opacity: 0.55;
}
.wet {
  fill: var(--ink);
}
.keys {
  display: flex;
  gap: 18px;
  margin: 6px 0;
  padding: 0;
  list-style: none;
  color: var(--soft);
}
.keys li {
  display: flex;
  align-items: center;
  gap: 6px;
}
.keys i {
  width: 18px;
  border-top: 2px solid var(--rust);
}
.keys .truth-key {
  border-top: 2px dashed var(--ink);
}
</style>
