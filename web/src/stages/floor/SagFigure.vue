<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from '@/stages/figures/FigureSteps.vue'
import { useFigure } from '@/stages/figures/useFigure'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'

/** How far a sheet over bearers sags under a foot or a wheel, and how far apart bearers may be; of a floor its own deck is the start. */
const props = defineProps<{ start?: Schemas['Deck'] | null }>()
const { t } = useI18n()
const { lengths } = useState()
const L = (mm: number) => lengthText(mm, lengths.value)
const example = { thickMm: 18, modulusMPa: 7000, spacingMm: 457, loadN: 890, footMm: 0, limitMm: 1.5 }
const deck = reactive({ ...example, ...props.start })
const sag = useFigure('deflection', () => ({ deck: { ...deck }, lengths: lengths.value }))
const plan = computed(() => sag.answer.value?.result)

/** The chart: spacing to the right, sag downwards, as far as three times the limit. */
const size = { left: 52, top: 26, wide: 560, high: 240 }
const most = computed(() => Math.max(1, plan.value?.chart.at(-1)?.spacingMm ?? 1))
const deepest = computed(() => 3 * deck.limitMm)
const x = (mm: number) => size.left + (mm / most.value) * size.wide
const y = (mm: number) => size.top + Math.min(1, mm / deepest.value) * size.high
const curve = computed(() =>
  (plan.value?.chart ?? [])
    .filter((p) => p.sagMm <= deepest.value)
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.spacingMm).toFixed(1)} ${y(p.sagMm).toFixed(1)}`)
    .join(''),
)
const stations = computed(() => [0, 150, 300, 450, 600, 750, 900].filter((mm) => mm <= most.value))
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('floor.deckMore') }}</p>
    <div class="form">
      <LengthInput v-model="deck.thickMm" :bounds="bounds.Deck.thickMm" :label="t('floor.thick')" />
      <LengthInput v-model="deck.spacingMm" :bounds="bounds.Deck.spacingMm" :label="t('floor.spacing')" />
      <NumberInput v-model="deck.modulusMPa" :bounds="bounds.Deck.modulusMPa" :label="t('floor.modulus')" required />
      <NumberInput v-model="deck.loadN" :bounds="bounds.Deck.loadN" :label="t('floor.load')" required />
      <LengthInput v-model="deck.footMm" :bounds="bounds.Deck.footMm" :label="t('floor.foot')" />
      <NumberInput v-model="deck.limitMm" :bounds="bounds.Deck.limitMm" :label="t('floor.limit')" required />
    </div>
    <Verdict :verdict="plan?.verdict" :look="plan && !plan.holds" :wrong="sag.wrong.value" data-testid="sag" />
    <svg
      v-if="plan"
      class="chart"
      :viewBox="`0 0 ${size.left + size.wide + 20} ${size.top + size.high + 40}`"
      role="img"
      :aria-label="t('floor.chart')"
    >
      <g v-for="mm in stations" :key="mm">
        <line class="grid" :x1="x(mm)" :x2="x(mm)" :y1="size.top" :y2="size.top + size.high" />
        <text :x="x(mm)" :y="size.top + size.high + 18" text-anchor="middle">{{ lengthNumber(mm, lengths) }}</text>
      </g>
      <g v-for="n in [0, 1, 2, 3]" :key="n">
        <line class="grid" :x1="size.left" :x2="size.left + size.wide" :y1="y(n * deck.limitMm)" :y2="y(n * deck.limitMm)" />
        <text :x="size.left - 6" :y="y(n * deck.limitMm) + 4" text-anchor="end">{{ (n * deck.limitMm).toFixed(1) }}</text>
      </g>
      <line class="limit" :x1="size.left" :x2="size.left + size.wide" :y1="y(deck.limitMm)" :y2="y(deck.limitMm)" />
      <path class="curve" :d="curve" />
      <line
        v-if="plan.mostSpacingMm <= most"
        class="limit"
        :x1="x(plan.mostSpacingMm)"
        :x2="x(plan.mostSpacingMm)"
        :y1="size.top"
        :y2="y(deck.limitMm)"
      />
      <text v-if="plan.mostSpacingMm <= most" class="strong" :x="x(plan.mostSpacingMm) + 6" :y="size.top + 14">
        {{ L(plan.mostSpacingMm) }}
      </text>
      <circle class="here" :class="{ look: !plan.holds }" :cx="x(deck.spacingMm)" :cy="y(plan.sagMm)" r="6" />
      <text :x="size.left" :y="size.top + size.high + 36">{{ t('floor.spacing') }} →</text>
      <text :x="4" :y="12">{{ t('floor.chartSag') }}</text>
    </svg>
    <p v-for="w in sag.answer.value?.warnings ?? []" :key="w" class="warn">{{ w }}</p>
  </div>
  <aside>
    <FigureSteps :title="t('floor.tab.deck')" :worked="sag.answer.value" />
  </aside>
</template>

<style scoped>
.form,
.warn {
  max-width: 620px;
}
.chart {
  display: block;
  width: 100%;
  max-width: 640px;
}
.chart text {
  font-size: 12px;
  fill: var(--soft);
}
.chart .strong {
  font-weight: 700;
  fill: var(--ink);
}
.grid {
  stroke: var(--line);
}
.limit {
  stroke: var(--rust);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
.curve {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.here {
  fill: var(--teal);
  stroke: var(--white);
  stroke-width: 2;
}
.here.look {
  fill: var(--amber);
}
</style>
