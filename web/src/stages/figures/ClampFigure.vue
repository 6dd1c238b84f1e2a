<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import { useState } from '@/app/state'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** A frame that clamps the wall: what goes off the lugs, in which order the screws are tightened, and how far. */
const { t } = useI18n()
const { lengths } = useState()
const stack = reactive({
  layers: [45, 8] as (number | null)[],
  nominalGapMm: 60 as number | null,
  leastMm: 25 as number | null,
  mostMm: 60 as number | null,
  lugs: 8 as number | null,
})
const clamped = useFigure('clamp-stack', () => {
  const { nominalGapMm, leastMm, mostMm, lugs } = stack
  const layers = stack.layers.flatMap((mm, i) => (mm === null ? [] : [{ name: t('figures.layer', { n: i + 1 }), thickMm: mm }]))
  if (nominalGapMm === null || leastMm === null || mostMm === null || lugs === null || layers.length === 0) return null
  return { layers, nominalGapMm, range: { leastMm, mostMm }, lugs, screws: [], lengths: lengths.value }
})
const gaps = reactive([
  { before: 8 as number | null, after: 4.5 as number | null },
  { before: 8 as number | null, after: 4 as number | null },
])
const squeezed = useFigure('gasket', () => {
  const typed = gaps.filter((g) => g.before !== null && g.after !== null)
  return typed.length === 0
    ? null
    : { beforeMm: typed.map((g) => g.before!), afterMm: typed.map((g) => g.after!), lengths: lengths.value }
})
const frame = reactive({
  widthMm: 700 as number | null,
  heightMm: 500 as number | null,
  along: 3 as number | null,
  across: 2 as number | null,
})
/** Screws along the top and the bottom, corners included, and between them at both ends. */
const screws = computed(() => {
  const { widthMm: w, heightMm: h, along: a, across: b } = frame
  if (w === null || h === null || a === null || b === null || a < 2 || b < 0 || a > 30 || b > 30) return null
  const top = Array.from({ length: a }, (_, i) => (w * i) / (a - 1))
  const side = Array.from({ length: b }, (_, i) => (h * (i + 1)) / (b + 1))
  return [
    ...top.map((s) => ({ sMm: s, tMm: h })),
    ...side.map((y) => ({ sMm: w, tMm: h - y })),
    ...top.map((s) => ({ sMm: w - s, tMm: 0 })),
    ...side.map((y) => ({ sMm: 0, tMm: y })),
  ]
})
const order = useFigure('tightening-order', () => (screws.value ? { screws: screws.value } : null))
const numbered = computed(
  () => order.answer.value?.result.order.map((screw, turn) => ({ ...screws.value![screw]!, turn: turn + 1 })) ?? [],
)
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.clamp') }}</h2>
    <div class="form">
      <LengthInput
        v-for="(_, i) in stack.layers"
        :key="i"
        v-model="stack.layers[i]!"
        :label="t('figures.layer', { n: i + 1 })"
        optional
      />
      <LengthInput v-model="stack.nominalGapMm" :label="t('figures.nominalGap')" />
      <LengthInput v-model="stack.leastMm" :label="t('figures.thinnest')" />
      <LengthInput v-model="stack.mostMm" :label="t('figures.thickest')" />
      <NumberInput v-model="stack.lugs" :label="t('figures.lugs')" />
    </div>
    <button class="btn" type="button" @click="stack.layers.push(null)">{{ t('figures.addLayer') }}</button>
    <Verdict :verdict="clamped.answer.value?.result.verdict" :wrong="clamped.wrong.value" data-testid="clamp" />
    <h2>{{ t('figures.order') }}</h2>
    <div class="form">
      <LengthInput v-model="frame.widthMm" :label="t('figures.screwWidth')" />
      <LengthInput v-model="frame.heightMm" :label="t('figures.screwHeight')" />
      <NumberInput v-model="frame.along" :label="t('figures.alongTop')" />
      <NumberInput v-model="frame.across" :label="t('figures.between')" />
    </div>
    <p v-if="order.wrong.value" class="wrong" role="alert">{{ order.wrong.value }}</p>
    <svg
      v-if="numbered.length > 0"
      class="screws"
      :viewBox="`-60 -60 ${frame.widthMm! + 120} ${frame.heightMm! + 120}`"
      role="img"
      :aria-label="t('figures.order')"
      data-testid="order"
    >
      <rect x="0" y="0" :width="frame.widthMm!" :height="frame.heightMm!" rx="30" />
      <g v-for="s in numbered" :key="s.turn" :transform="`translate(${s.sMm} ${frame.heightMm! - s.tMm})`">
        <circle r="28" />
        <text y="11">{{ s.turn }}</text>
      </g>
    </svg>
    <p class="soft">{{ t('figures.orderMore') }}</p>
    <h2>{{ t('figures.gasket') }}</h2>
    <div v-for="(g, i) in gaps" :key="i" class="form pair">
      <LengthInput v-model="g.before" :label="t('figures.before', { n: i + 1 })" optional />
      <LengthInput v-model="g.after" :label="t('figures.afterwards', { n: i + 1 })" optional />
    </div>
    <button class="btn" type="button" @click="gaps.push({ before: gaps.at(-1)!.before, after: null })">
      {{ t('figures.addPlace') }}
    </button>
    <Verdict :verdict="squeezed.answer.value?.result.verdict" :wrong="squeezed.wrong.value" data-testid="gasket" />
  </div>
  <aside>
    <FigureSteps :title="t('figures.clamp')" :worked="clamped.answer.value" />
    <FigureSteps :title="t('figures.gasket')" :worked="squeezed.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
.pair {
  grid-template-columns: 1fr 1fr;
  margin-bottom: 8px;
}
h2:not(:first-child) {
  margin-top: 18px;
}
.screws {
  display: block;
  max-width: 460px;
  margin: 10px 0;
}
.screws rect {
  fill: var(--teal-soft);
  stroke: var(--teal);
  stroke-width: 5;
}
.screws circle {
  fill: var(--white);
  stroke: var(--ink);
  stroke-width: 4;
}
.screws text {
  font-size: 32px;
  font-weight: 600;
  text-anchor: middle;
}
</style>
