<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { api, got, type Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** A floor or ceiling layer by layer: how thick, how heavy, how warm, and where it gets damp; drawn to scale. */
type Layer = Schemas['BuildUpLayer']
const { t } = useI18n()
const { lengths } = useState()
const known = useAnswer(
  () => ['layer-materials'] as const,
  (_, signal) => got(api.GET('/api/calculators/layer-materials', { signal })),
)
const layers = ref<Layer[]>([])
const start = ['Vinyl', 'Plywood', 'Extruded foam', 'Steel skin']
watch(
  known.answer,
  (all) => {
    if (all && layers.value.length === 0)
      layers.value = start.flatMap((name) => all.filter((l) => l.name === name).map((l) => ({ ...l })))
  },
  { immediate: true },
)
const air = reactive({ insideC: 18, insidePercent: 60, outsideC: 0, outsidePercent: 80 })
const figure = useFigure('thermal', () =>
  layers.value.length === 0 ? null : { buildUp: { layers: layers.value, ...air }, lengths: lengths.value },
)
const plan = computed(() => figure.answer.value?.result)
const options = computed(() => (known.answer.value ?? []).map((l) => ({ value: l.name, text: l.name })))
const pick = (i: number, name: string) => {
  const one = known.answer.value!.find((l) => l.name === name)!
  layers.value = layers.value.map((l, j) => (j === i ? { ...one } : l))
}
const add = () => (layers.value = [...layers.value, { ...known.answer.value!.find((l) => l.name === 'Plywood')! }])
const drop = (i: number) => (layers.value = layers.value.filter((_, j) => j !== i))
const up = (i: number) => {
  const all = [...layers.value]
  ;[all[i - 1], all[i]] = [all[i]!, all[i - 1]!]
  layers.value = all
}

/** The section: inside at the top. A thin skin is still seen. */
const size = { left: 16, top: 22, wide: 300, high: 230, chart: 190 }
const scale = computed(() => size.high / (plan.value?.thickMm ?? 1))
const y = (depthMm: number) => size.top + depthMm * scale.value
const drawn = computed(() => {
  let depth = 0
  return layers.value.map((l) => {
    const from = depth
    depth += l.thickMm
    return { name: l.name, thick: l.thickMm, share: l.share, y: y(from), high: Math.max(2, l.thickMm * scale.value) }
  })
})
const chartLeft = size.left + size.wide + 130
/** The colder and the warmer side. */
const ends = computed(() => [air.outsideC, air.insideC].sort((a, b) => a - b) as [number, number])
const warm = computed(() => {
  const all = plan.value?.faces ?? []
  const [least, most] = ends.value
  const x = (c: number) => chartLeft + ((c - least) / Math.max(1, most - least)) * size.chart
  return all.map((f) => ({ f, x: x(f.temperatureC), y: y(f.depthMm) }))
})
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('buildUp.more') }}</p>
    <Verdict
      :verdict="plan?.verdict"
      :look="plan?.faces.some((f) => f.condenses)"
      :wrong="figure.wrong.value || known.wrong.value"
      data-testid="build-up"
    />
    <svg
      v-if="plan"
      class="section"
      :viewBox="`0 0 ${chartLeft + size.chart + 30} ${size.top + size.high + 34}`"
      role="img"
      :aria-label="t('buildUp.section')"
    >
      <text :x="size.left" y="14">{{ t('buildUp.inside') }}</text>
      <text :x="size.left" :y="size.top + size.high + 18">{{ t('buildUp.outside') }}</text>
      <g v-for="(l, i) in drawn" :key="i">
        <rect class="layer-shape" :class="`tone-${i % 3}`" :x="size.left" :y="l.y" :width="size.wide" :height="l.high" />
        <rect v-if="(l.share ?? 0) > 0" class="batten" :x="size.left + 60" :y="l.y" width="34" :height="l.high" />
        <text class="name" :x="size.left + size.wide + 8" :y="l.y + Math.max(4, l.high / 2 + 4)">
          {{ l.name }} {{ lengthNumber(l.thick, lengths) }}
        </text>
      </g>
      <text :x="chartLeft" y="14">{{ t('buildUp.temperature') }}</text>
      <line class="grid" :x1="chartLeft" :x2="chartLeft" :y1="size.top" :y2="size.top + size.high" />
      <line class="grid" :x1="chartLeft + size.chart" :x2="chartLeft + size.chart" :y1="size.top" :y2="size.top + size.high" />
      <text :x="chartLeft" :y="size.top + size.high + 18" text-anchor="middle">{{ ends[0] }} °C</text>
      <text :x="chartLeft + size.chart" :y="size.top + size.high + 18" text-anchor="middle">{{ ends[1] }} °C</text>
      <polyline class="warm" :points="warm.map((p) => `${p.x.toFixed(1)},${p.y.toFixed(1)}`).join(' ')" />
      <g v-for="(p, i) in warm" :key="`f${i}`">
        <circle v-if="!p.f.condenses" class="face" :cx="p.x" :cy="p.y" r="4" />
        <path v-else class="wet" :d="`M${p.x} ${p.y - 9}l7 11a7 7 0 1 1 -14 0Z`">
          <title>{{ t('buildUp.condenses') }}</title>
        </path>
      </g>
    </svg>
    <div v-for="(l, i) in layers" :key="i" class="layer">
      <Choice
        :model-value="l.name"
        :label="t('buildUp.layer', { n: i + 1 })"
        :options="options"
        @update:model-value="(name) => pick(i, name)"
      />
      <LengthInput v-model="l.thickMm" :bounds="bounds.BuildUpLayer.thickMm" :label="t('buildUp.thick')" />
      <NumberInput
        :model-value="Math.round((l.share ?? 0) * 100)"
        :bounds="{ least: 0, most: 90, label: t('buildUp.timberShare'), unit: '%' }"
        :label="t('buildUp.timberShare')"
        required
        @update:model-value="(n) => (l.share = (n ?? 0) / 100)"
      />
      <div class="keys">
        <button v-if="i > 0" class="btn plain" type="button" :aria-label="t('buildUp.layerUp', { n: i + 1 })" @click="up(i)">
          ↑
        </button>
        <button
          v-if="layers.length > 1"
          class="btn plain"
          type="button"
          :aria-label="t('buildUp.dropLayer', { n: i + 1 })"
          @click="drop(i)"
        >
          ×
        </button>
      </div>
    </div>
    <Action v-if="known.answer.value && layers.length < 20" @click="add">{{ t('buildUp.addLayer') }}</Action>
    <div class="form">
      <NumberInput v-model="air.insideC" :bounds="bounds.BuildUpQuestion.insideC" :label="t('buildUp.insideC')" required />
      <NumberInput
        v-model="air.insidePercent"
        :bounds="bounds.BuildUpQuestion.insidePercent"
        :label="t('buildUp.insidePercent')"
        required
      />
      <NumberInput v-model="air.outsideC" :bounds="bounds.BuildUpQuestion.outsideC" :label="t('buildUp.outsideC')" required />
      <NumberInput
        v-model="air.outsidePercent"
        :bounds="bounds.BuildUpQuestion.outsidePercent"
        :label="t('buildUp.outsidePercent')"
        required
      />
    </div>
    <table v-if="plan" class="figures narrow">
      <tbody>
        <tr>
          <td>{{ t('buildUp.thick') }}</td>
          <td class="n">{{ lengthText(plan.thickMm, lengths) }}</td>
        </tr>
        <tr>
          <td>{{ t('buildUp.massOf') }}</td>
          <td class="n">{{ plan.massKgM2.toFixed(1) }} kg/m²</td>
        </tr>
        <tr>
          <td>{{ t('buildUp.resistance') }}</td>
          <td class="n">{{ plan.resistanceM2KW.toFixed(2) }} m²K/W</td>
        </tr>
        <tr>
          <td>{{ t('buildUp.limits') }}</td>
          <td class="n">{{ plan.lowerM2KW.toFixed(2) }} / {{ plan.upperM2KW.toFixed(2) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="w in figure.answer.value?.warnings ?? []" :key="w" class="warn">{{ w }}</p>
  </div>
  <aside>
    <FigureSteps :title="t('figures.buildUp')" :worked="figure.answer.value" />
  </aside>
</template>

<style scoped>
.layer {
  display: grid;
  grid-template-columns: 2fr 1fr 1fr 88px;
  gap: 10px;
  align-items: start;
  max-width: 680px;
}
.keys {
  display: flex;
  justify-content: flex-end;
  padding-top: 20px;
}
.form,
.narrow,
.warn {
  max-width: 620px;
}
.form {
  grid-template-columns: 1fr 1fr;
}
.action {
  margin-bottom: 12px;
}
.section {
  display: block;
  width: 100%;
  max-width: 680px;
}
.section text {
  font-size: 12px;
  fill: var(--soft);
}
.section .name {
  fill: var(--ink);
}
.layer-shape {
  fill: var(--metal-1);
  stroke: var(--metal-6);
  stroke-width: 0.8;
}
.layer-shape.tone-1 {
  fill: var(--metal-2);
}
.layer-shape.tone-2 {
  fill: var(--teal-soft);
}
.batten {
  fill: color-mix(in srgb, var(--amber) 35%, transparent);
  stroke: var(--amber);
}
.grid {
  stroke: var(--line);
}
.warm {
  fill: none;
  stroke: var(--rust);
  stroke-width: 2;
}
.face {
  fill: var(--rust);
  stroke: var(--white);
}
.wet {
  fill: var(--teal);
  stroke: var(--white);
}
@media (max-width: 700px) {
  .layer {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
