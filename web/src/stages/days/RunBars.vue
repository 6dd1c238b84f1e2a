<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { clockText, hoursBetween, momentText } from '@/app/moment'

/** The steps of an open shell over time, with what a cover has to bridge, until rain does no more harm. */
const props = defineProps<{ run: Schemas['OpenRun']; now: string }>()
const { t } = useI18n()
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
const row = 26
const from = computed(() => props.run.steps[0]!.from)
const span = computed(() => Math.max(0.5, hoursBetween(from.value, props.run.safeAt)))
/** Room for the last label. */
const room = computed(() => Math.max(60, width.value - 190))
const x = (at: string) => (hoursBetween(from.value, at) / span.value) * room.value
const height = computed(() => (props.run.steps.length + props.run.covered.length + 1) * row)
</script>

<template>
  <div ref="root" class="run">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="t('days.run')"
    >
      <g v-for="(s, i) in run.steps" :key="`s${i}`">
        <rect class="step" :x="x(s.from)" :y="i * row + 4" :width="Math.max(3, x(s.to) - x(s.from))" :height="row - 8" />
        <text :x="x(s.to) + 6" :y="i * row + 18">{{ momentText(s.from, now) }} {{ s.title }}</text>
      </g>
      <g v-for="(c, i) in run.covered" :key="`c${i}`">
        <rect
          class="cover"
          :x="x(c.from)"
          :y="(run.steps.length + i) * row + 4"
          :width="Math.max(3, x(c.to) - x(c.from))"
          :height="row - 8"
        />
        <text :x="x(c.to) + 6" :y="(run.steps.length + i) * row + 18">
          {{ clockText(c.from) }}–{{ momentText(c.to, c.from) }} {{ t('days.covered') }}
        </text>
      </g>
      <line class="safe" :x1="room" :x2="room" y1="0" :y2="height" />
      <text class="end" :x="room - 6" :y="height - 8">{{ t('days.safe', { at: momentText(run.safeAt, now) }) }}</text>
    </svg>
  </div>
</template>

<style scoped>
svg {
  display: block;
}
.step {
  fill: var(--rust);
}
.cover {
  fill: var(--metal-3);
}
.safe {
  stroke: var(--teal);
  stroke-width: 2;
}
text {
  fill: var(--ink);
  font: 500 13px 'Source Sans 3';
}
.end {
  fill: var(--teal-deep);
  text-anchor: end;
  font-weight: 600;
}
</style>
