<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { dayText, hourOfDay, momentText } from '@/app/moment'

/** How likely rain meets the open shell, by when it is begun; the best times marked. */
const props = defineProps<{ curve: Schemas['RiskCurve']; now: string }>()
const { t } = useI18n()
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
const height = 120
const left = 40
const foot = 20
const plot = height - foot - 8
const starts = computed(() => props.curve.starts)
const x = (i: number) => left + ((i + 0.5) * (width.value - left)) / starts.value.length
const y = (chance: number) => 8 + plot * (1 - chance)
const line = computed(() =>
  starts.value.map((s, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)} ${y(s.chance).toFixed(1)}`).join(''),
)
const area = computed(() => `${line.value}L${x(starts.value.length - 1)} ${y(0)}L${x(0)} ${y(0)}Z`)
const days = computed(() => starts.value.flatMap((s, i) => (hourOfDay(s.at) === 0 ? [{ at: s.at, i }] : [])))
const best = computed(() => props.curve.best.map((b) => ({ ...b, i: starts.value.findIndex((s) => s.at === b.at) })))
const percent = (chance: number) => Math.round(chance * 100)
</script>

<template>
  <div ref="root">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="t('days.riskChart')"
    >
      <g v-for="p in [0, 0.5, 1]" :key="p">
        <line class="grid" :x1="left" :x2="width" :y1="y(p)" :y2="y(p)" />
        <text class="scale" :x="left - 6" :y="y(p) + 4">{{ t('days.percent', { n: percent(p) }) }}</text>
      </g>
      <g v-for="d in days" :key="d.at">
        <line class="grid" :x1="x(d.i)" :x2="x(d.i)" y1="8" :y2="height - foot" />
        <text :x="x(d.i) + 4" :y="height - 5">{{ dayText(d.at) }}</text>
      </g>
      <path class="area" :d="area" />
      <path class="line" :d="line" />
      <circle v-for="b in best" :key="b.at" class="best" :cx="x(b.i)" :cy="y(b.chance)" r="5" />
    </svg>
    <p v-if="best.length === 0" class="soft">{{ t('days.noBest') }}</p>
    <p v-else class="bests">
      <b>{{ t('days.best') }}</b>
      <span v-for="b in best" :key="b.at">{{ t('days.bestOf', { at: momentText(b.at, now), p: percent(b.chance) }) }}</span>
    </p>
  </div>
</template>

<style scoped>
svg {
  display: block;
}
.grid {
  stroke: var(--rule);
}
.area {
  fill: var(--water);
  opacity: 0.18;
}
.line {
  fill: none;
  stroke: var(--water);
  stroke-width: 2;
}
.best {
  fill: var(--teal);
  stroke: var(--white);
  stroke-width: 2;
}
text {
  fill: var(--soft);
  font: 500 12.5px 'Source Sans 3';
}
.scale {
  text-anchor: end;
}
.bests {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 4px 0 0;
}
</style>
