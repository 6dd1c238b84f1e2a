<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { api, got, type Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Ticks from '@/ui/Ticks.vue'

/** What the metal is like at a place, with drawn fields to compare the rust with. */
type Spot = Schemas['RustSpot']
const spot = defineModel<Spot>({ required: true })
const { t } = useI18n()
const fields = useQuery({
  queryKey: ['reference-fields'],
  queryFn: () => got(api.GET('/api/calculators/reference-fields')),
})
const flags = ['flakes', 'carries', 'structure', 'bothSides', 'pocket'] as const
const nearby = computed(
  () =>
    Object.fromEntries(enums.Nearby.map((n) => [n, spot.value.near.includes(n)])) as Record<
      (typeof enums.Nearby)[number],
      boolean
    >,
)
function setNear(what: (typeof enums.Nearby)[number], on: boolean) {
  spot.value.near = on ? [...spot.value.near, what] : spot.value.near.filter((n) => n !== what)
}
</script>

<template>
  <Choice
    v-model="spot.grade"
    class="wide"
    :label="t('figures.grade')"
    :options="enums.RustGrade.map((g) => ({ value: g, text: t(`figures.grades.${g}`) }))"
  />
  <div class="wide">
    <b id="how-much">{{ t('figures.howMuch') }}</b>
    <div class="fields" role="group" aria-labelledby="how-much">
      <button
        v-for="f in fields.data.value ?? []"
        :key="f.percent"
        type="button"
        :aria-pressed="spot.areaPercent === f.percent"
        @click="spot.areaPercent = f.percent"
      >
        <svg viewBox="0 0 1 1" aria-hidden="true">
          <circle v-for="(s, i) in f.spots" :key="i" :cx="s.x" :cy="1 - s.y" :r="s.radius" />
        </svg>
        {{ f.percent }} %
      </button>
    </div>
  </div>
  <NumberInput v-model="spot.areaPercent" :bounds="bounds.RustSpot.areaPercent" :label="t('figures.share')" required />
  <NumberInput v-model="spot.sheetMm" :bounds="bounds.RustSpot.sheetMm" :label="t('figures.sheetMm')" required />
  <NumberInput v-model="spot.leftMm" :bounds="bounds.RustSpot.leftMm" :label="t('figures.leftMm')" />
  <LengthInput v-model="spot.holeMm" :bounds="bounds.RustSpot.holeMm" :label="t('figures.holeMm')" />
  <slot />
  <Ticks
    class="wide"
    :of="spot"
    :choices="flags.map((f) => ({ key: f, text: t(`figures.${f}`) }))"
    @tick="(f, on) => (spot[f] = on)"
  />
  <fieldset class="wide near">
    <legend>{{ t('figures.near') }}</legend>
    <Ticks :of="nearby" :choices="enums.Nearby.map((n) => ({ key: n, text: t(`figures.nearby.${n}`) }))" @tick="setNear" />
  </fieldset>
</template>

<style scoped>
.near {
  margin: 0;
  padding: 0;
  border: 0;
}
.near legend {
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(84px, 1fr));
  gap: 8px;
  margin-top: 6px;
}
.fields button {
  padding: 4px;
  border: 2px solid var(--line);
  border-radius: 4px;
  background: var(--white);
  color: var(--ink);
  font: 500 13.5px 'Source Sans 3';
  cursor: pointer;
}
.fields button[aria-pressed='true'] {
  border-color: var(--rust);
}
.fields svg {
  display: block;
  width: 100%;
  background: var(--metal-1);
}
.fields circle {
  fill: var(--rust);
}
</style>
