<script setup lang="ts">
import ArrowHead from '@/drawing/ArrowHead.vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fitting } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'

/** Edge of a fitting on the skin, cut through, with the figures of its seat where they are measured. */
const fitting = defineModel<Fitting>({ required: true })
const { t } = useI18n()
const figures = [
  ['leastLapMm', 'leastLap'],
  ['beddingMostMm', 'bedding'],
  ['flatnessMm', 'flatness'],
  ['toleranceMinusMm', 'minus'],
  ['tolerancePlusMm', 'plus'],
] as const
type Figure = (typeof figures)[number][0]
const typed = ref<Figure | null>(null)

/** The drawing, px: the skin's upper face, and the edge of the cut-out as the sheet asks for it. */
const skin = { y: 118, thick: 9, edge: 200 }
/** One scale for all figures, so that the largest still fits. */
const scale = computed(() => {
  const f = fitting.value
  return Math.min(
    7,
    150 / Math.max(f.leastLapMm, 1),
    52 / Math.max(f.beddingMostMm, 1),
    70 / Math.max(f.toleranceMinusMm, f.tolerancePlusMm, 1),
  )
})
const drawn = computed(() => {
  const k = scale.value
  const f = fitting.value
  return {
    lap: skin.edge - f.leastLapMm * k,
    under: skin.y - Math.max(f.beddingMostMm * k, 2),
    low: Math.min(f.flatnessMm * k, 30),
    smaller: skin.edge + f.toleranceMinusMm * k,
    larger: skin.edge - f.tolerancePlusMm * k,
  }
})
/** Upper face of the skin, hollow by what the fitting takes. */
const face = computed(() => `Q${skin.edge / 2} ${skin.y + 2 * drawn.value.low} ${skin.edge} ${skin.y}`)
/** Shorter than its two heads an arrow is a line. */
const isShort = (px: number) => Math.abs(px) < 16
</script>

<template>
  <div class="seat">
    <svg viewBox="0 0 330 190" role="img" :aria-label="t('fittings.section')">
      <defs>
        <ArrowHead />
      </defs>
      <path
        class="skin"
        :class="{ on: typed === 'flatnessMm' }"
        :d="`M8 ${skin.y}${face}v${skin.thick}Q${skin.edge / 2} ${skin.y + 2 * drawn.low + skin.thick} 8 ${skin.y + skin.thick}Z`"
      />
      <clipPath id="seat-lap"><rect :x="drawn.lap" y="0" :width="skin.edge - drawn.lap" height="190" /></clipPath>
      <path class="hollow" clip-path="url(#seat-lap)" :d="`M8 ${skin.y}${face}Z`" />
      <rect
        class="bedding"
        :class="{ on: typed === 'beddingMostMm' }"
        :x="drawn.lap"
        :y="drawn.under"
        :width="skin.edge - drawn.lap"
        :height="skin.y - drawn.under"
      />
      <path class="frame" :d="`M${drawn.lap - 6} ${drawn.under - 12}H236V${skin.y + 52}h-12V${drawn.under}H${drawn.lap - 6}Z`" />
      <text v-if="skin.edge - drawn.lap > 70" :x="drawn.lap + 8" :y="skin.y - 5">{{ t('fittings.beddingOf') }}</text>
      <text x="14" :y="skin.y + skin.thick + 30">{{ t('fittings.skinOf') }}</text>
      <text x="250" :y="drawn.under - 2">{{ t('fittings.frameOf') }}</text>
      <g :class="{ on: typed === 'leastLapMm' }">
        <path
          class="reach"
          :d="`M${drawn.lap} ${drawn.under - 14}V${drawn.under - 30}M${skin.edge} ${skin.y}V${drawn.under - 30}`"
        />
        <line class="dimension" :x1="drawn.lap" :x2="skin.edge" :y1="drawn.under - 26" :y2="drawn.under - 26" />
      </g>
      <g :class="{ on: typed === 'beddingMostMm' }">
        <line class="dimension" :x1="drawn.lap - 16" :x2="drawn.lap - 16" :y1="drawn.under" :y2="skin.y" />
      </g>
      <g :class="{ on: typed === 'toleranceMinusMm' }">
        <line
          class="dimension"
          :class="{ short: isShort(drawn.smaller - skin.edge) }"
          :x1="skin.edge"
          :x2="drawn.smaller"
          :y1="skin.y + 34"
          :y2="skin.y + 34"
        />
      </g>
      <g :class="{ on: typed === 'tolerancePlusMm' }">
        <line
          class="dimension"
          :class="{ short: isShort(drawn.larger - skin.edge) }"
          :x1="skin.edge"
          :x2="drawn.larger"
          :y1="skin.y + 48"
          :y2="skin.y + 48"
        />
      </g>
      <path class="cut" :d="`M${skin.edge} ${skin.y - 6}V${skin.y + 60}`" />
    </svg>
    <div v-for="[key, name] in figures" :key="key" @focusin="typed = key" @focusout="typed = null">
      <LengthInput v-model="fitting[key]" :label="t(`fittings.${name}`)" />
    </div>
  </div>
</template>

<style scoped>
.seat {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  align-items: end;
  gap: 8px 12px;
}
svg {
  grid-column: 1 / -1;
  width: 100%;
  max-height: 240px;
}
.skin {
  fill: var(--metal-3);
  stroke: var(--metal-6);
}
.bedding {
  fill: var(--amber-soft);
  stroke: var(--amber);
}
.hollow {
  fill: var(--amber-soft);
}
.dimension.short {
  marker-start: none;
  marker-end: none;
  stroke-width: 3;
}
.frame {
  fill: var(--metal-1);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.cut {
  stroke: var(--rust);
  stroke-dasharray: 4 3;
}
.dimension {
  stroke: var(--ink);
  stroke-width: 1.2;
  marker-start: url(#arrow);
  marker-end: url(#arrow);
}
.reach {
  stroke: var(--ink);
  stroke-width: 0.6;
}
.on .dimension,
.skin.on,
.bedding.on {
  stroke: var(--rust);
  stroke-width: 2.4;
}
text {
  font-size: 13px;
  fill: var(--label);
}
</style>
