<script setup lang="ts">
import ArrowHead from '@/drawing/ArrowHead.vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import DimensionLine from '@/drawing/DimensionLine.vue'

/** A sheet with its pieces, and below it cut after cut with the figure of the fence. */
const props = defineProps<{
  number: number
  stock: Schemas['CutStock']
  sheet: Schemas['CutSheet']
  pieces: readonly Pick<Schemas['BoardPiece'], 'name'>[]
  /** Address of the drawing for a machine. */
  dxf?: string
}>()
const { t } = useI18n()
const { lengths } = useState()
const L = (mm: number) => lengthNumber(mm, lengths.value)
const left = 70
const scale = computed(() => Math.min(600 / props.stock.lengthMm, 300 / props.stock.widthMm))
const high = computed(() => props.stock.widthMm * scale.value)
const wide = computed(() => props.stock.lengthMm * scale.value)
/** Across the sheet counts from its near side, at the foot of the drawing. */
const rect = (r: Schemas['CutOffcut']) => ({
  x: left + r.alongMm * scale.value,
  y: 10 + high.value - (r.acrossMm + r.widthMm) * scale.value,
  width: r.lengthMm * scale.value,
  height: r.widthMm * scale.value,
})
const name = (p: Schemas['CutPlace']) => props.pieces[p.piece]!.name
const line = (c: Schemas['SawCut']) => ({
  x1: left + c.alongMm * scale.value,
  y1: 10 + high.value - c.acrossMm * scale.value,
  x2: left + (c.alongMm + (c.isRip ? c.lengthMm : 0)) * scale.value,
  y2: 10 + high.value - (c.acrossMm + (c.isRip ? 0 : c.lengthMm)) * scale.value,
})
const title = computed(() => t('cuts.sheet', { n: props.number, name: props.stock.name }))
</script>

<template>
  <figure data-testid="cut-sheet">
    <figcaption>
      {{ title }} <span class="soft">{{ L(stock.lengthMm) }} × {{ lengthText(stock.widthMm, lengths) }}</span>
      <a v-if="dxf" :href="dxf" download>{{ t('cuts.dxf') }}</a>
    </figcaption>
    <svg :viewBox="`0 0 ${left + 640} ${high + 52}`" role="img" :aria-label="t('cuts.drawing', { n: number })">
      <defs>
        <ArrowHead />
      </defs>
      <rect class="stock" v-bind="rect({ alongMm: 0, acrossMm: 0, lengthMm: stock.lengthMm, widthMm: stock.widthMm })" />
      <rect v-for="(r, i) in sheet.offcuts" :key="`r${i}`" class="offcut" v-bind="rect(r)" />
      <g v-for="(p, i) in sheet.places" :key="i">
        <rect class="piece" v-bind="rect(p)">
          <title>{{ name(p) }}</title>
        </rect>
        <text :x="rect(p).x + rect(p).width / 2" :y="rect(p).y + rect(p).height / 2 + 5">{{ i + 1 }}</text>
      </g>
      <line v-for="c in sheet.cuts" :key="`c${c.number}`" class="cut" :class="{ shop: c.atShop }" v-bind="line(c)" />
      <DimensionLine :x1="left" :y1="high + 30" :x2="left + wide" :y2="high + 30" :text="L(stock.lengthMm)" />
      <DimensionLine :x1="left - 32" :y1="10 + high" :x2="left - 32" :y2="10" :text="L(stock.widthMm)" />
    </svg>
    <ol>
      <li v-for="(p, i) in sheet.places" :key="i">{{ name(p) }}, {{ L(p.lengthMm) }} × {{ lengthText(p.widthMm, lengths) }}</li>
    </ol>
    <table class="figures">
      <thead>
        <tr>
          <th>{{ t('cuts.cut') }}</th>
          <th>{{ t('cuts.of') }}</th>
          <th class="n">{{ t('cuts.fence') }}</th>
          <th>{{ t('cuts.gives') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="c in sheet.cuts" :key="c.number">
          <td>
            {{ c.number }} {{ t(c.isRip ? 'cuts.way.rip' : 'cuts.way.cross') }}
            <b v-if="c.atShop">{{ t('cuts.shop') }}</b>
          </td>
          <td>{{ c.of }}</td>
          <td class="n">
            <b>{{ lengthText(c.fenceMm, lengths) }}</b>
          </td>
          <td>{{ c.first }}; {{ c.second ?? t('cuts.waste') }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="(r, i) in sheet.offcuts" :key="i" class="soft">
      {{ t('cuts.offcut', { n: i + 1, size: `${L(r.lengthMm)} × ${lengthText(r.widthMm, lengths)}` }) }}
    </p>
  </figure>
</template>

<style scoped>
figure {
  max-width: 760px;
  margin: 0 0 24px;
}
figcaption {
  display: flex;
  gap: 8px;
  font-weight: 600;
}
svg {
  display: block;
  width: 100%;
}
.stock {
  fill: var(--metal-1);
  stroke: var(--metal-6);
}
.offcut {
  fill: none;
  stroke: var(--metal-5);
  stroke-dasharray: 6 4;
}
.piece {
  fill: var(--amber-soft);
  stroke: var(--amber);
}
.cut {
  stroke: var(--rust);
  stroke-width: 2;
}
.cut.shop {
  stroke-width: 4;
}
text {
  font-weight: 600;
  text-anchor: middle;
}
ol {
  margin: 4px 0;
  padding-left: 24px;
}
</style>
