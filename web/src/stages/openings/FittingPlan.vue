<script setup lang="ts">
import ArrowHead from '@/drawing/ArrowHead.vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fitting, Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'

/** The plan of a fitting to scale, its figures where a maker's sheet has them: widths above, heights beside, radii below. */
const fitting = defineModel<Fitting>({ required: true })
const { t } = useI18n()
const parts = ['flange', 'cutOut', 'neck'] as const
type Part = (typeof parts)[number]
const figures = [
  ['widthMm', 'width', 'above'],
  ['heightMm', 'height', 'beside'],
  ['cornerRadiusMm', 'radius', 'below'],
] as const
/** The part whose figure is being typed. */
const typed = ref<Part | null>(null)

/** The drawing, px: the dimension lines lie above and beside the field of the parts. */
const side = 300
const field = { x: 12, y: 62, size: 226 }
const rung = (i: number) => 14 + i * 16
const scale = computed(() => {
  const most = Math.max(...parts.flatMap((part) => [fitting.value[part].widthMm, fitting.value[part].heightMm]))
  return most > 0 ? field.size / most : 0
})
const middle = { x: field.x + field.size / 2, y: field.y + field.size / 2 }
const drawn = computed(() =>
  parts.map((part, i) => {
    const shape: Schemas['RoundedRectangle'] = fitting.value[part]
    const [width, height] = [shape.widthMm * scale.value, shape.heightMm * scale.value]
    return {
      part,
      width,
      height,
      x: middle.x - width / 2,
      y: middle.y - height / 2,
      r: Math.min(shape.cornerRadiusMm * scale.value, width / 2, height / 2),
      above: rung(i),
      beside: side - rung(i),
    }
  }),
)
</script>

<template>
  <div class="plan">
    <div v-for="[key, name, where] in figures" :key="key" :class="where" role="group" :aria-label="t(`fittings.${name}`)">
      <b>{{ t(`fittings.${name}`) }}</b>
      <div v-for="part in parts" :key="part" :class="part" @focusin="typed = part" @focusout="typed = null">
        <LengthInput v-model="fitting[part][key]" :label="t(`fittings.${part}`)" />
      </div>
    </div>
    <svg :viewBox="`0 0 ${side} ${side}`" role="img" :aria-label="t('fittings.plan')">
      <defs>
        <ArrowHead />
      </defs>
      <g v-for="d in drawn" :key="d.part" :class="[d.part, { on: typed === d.part }]">
        <rect :x="d.x" :y="d.y" :width="d.width" :height="d.height" :rx="d.r" />
        <path class="reach" :d="`M${d.x} ${d.y + d.r}V${d.above}M${d.x + d.width} ${d.y + d.r}V${d.above}`" />
        <path
          class="reach"
          :d="`M${d.x + d.width - d.r} ${d.y}H${d.beside}M${d.x + d.width - d.r} ${d.y + d.height}H${d.beside}`"
        />
        <line class="dimension" :x1="d.x" :x2="d.x + d.width" :y1="d.above" :y2="d.above" />
        <line class="dimension" :x1="d.beside" :x2="d.beside" :y1="d.y" :y2="d.y + d.height" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(92px, 118px);
  gap: 6px 12px;
}
.above,
.below {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  grid-column: 1 / -1;
  gap: 2px 8px;
}
.above {
  grid-row: 1;
}
.above b,
.below b {
  grid-column: 1 / -1;
}
.below {
  grid-row: 3;
}
.beside {
  display: flex;
  flex-direction: column;
  grid-row: 2;
  grid-column: 2;
  justify-content: center;
  gap: 10px;
}
b {
  font-size: 13.5px;
}
svg {
  grid-row: 2;
  grid-column: 1;
  width: 100%;
  max-height: 340px;
}
/* Each part has a colour of its own, in the drawing and at its figures. */
div > .flange {
  border-color: var(--soft);
}
div > .cutOut {
  border-color: var(--rust);
}
div > .neck {
  border-color: var(--teal);
}
g.flange {
  color: var(--soft);
}
g.cutOut {
  color: var(--rust);
}
g.neck {
  color: var(--teal);
}
.above > div,
.beside > div,
.below > div {
  padding-left: 6px;
  border-left-width: 3px;
  border-left-style: solid;
}
rect {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.4;
}
.flange rect {
  fill: color-mix(in srgb, var(--metal-1) 70%, transparent);
}
.cutOut rect {
  fill: var(--white);
}
.neck rect {
  stroke-dasharray: 5 3;
}
.on rect {
  stroke-width: 3;
}
.dimension {
  stroke: currentColor;
  stroke-width: 1.2;
  marker-start: url(#arrow);
  marker-end: url(#arrow);
}
.on .dimension {
  stroke-width: 2.2;
}
.reach {
  fill: none;
  stroke: currentColor;
  stroke-width: 0.6;
  opacity: 0.6;
}
</style>
