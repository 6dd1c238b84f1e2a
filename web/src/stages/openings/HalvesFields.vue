<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import RectangleFields from './RectangleFields.vue'

/** How the two halves of a clamped fitting meet: lugs, gasket, screws, the frame inside. */
const props = defineProps<{ cutOut: Schemas['RoundedRectangle'] }>()
const halves = defineModel<Schemas['Halves']>({ required: true })
const { t } = useI18n()
const table = [
  ['lengthMm', 'screwLength'],
  ['fromMm', 'screwFrom'],
  ['toMm', 'screwTo'],
] as const

function setFrame(on: boolean) {
  const { widthMm, heightMm, cornerRadiusMm } = props.cutOut
  halves.value.innerFrame = on ? { widthMm: widthMm + 60, heightMm: heightMm + 60, cornerRadiusMm } : null
  if (!on) halves.value.cornerScrewMm = null
}
/** Begins with one in the middle of the top and of the bottom, on the frame. */
function setPlaces(on: boolean) {
  const t = (props.cutOut.heightMm + (halves.value.innerFrame?.heightMm ?? props.cutOut.heightMm + 30)) / 4
  halves.value.screwPlaces = on
    ? [
        { sMm: 0, tMm: t },
        { sMm: 0, tMm: -t },
      ]
    : null
}
</script>

<template>
  <div class="form">
    <LengthInput v-model="halves.gapMm" :label="t('fittings.gap')" />
    <NumberInput v-model="halves.lugs" :label="t('fittings.lugs')" required />
    <LengthInput v-model="halves.gasketMm" :label="t('fittings.gasket')" />
  </div>
  <div v-for="(s, i) in halves.screws" :key="i" class="form">
    <LengthInput v-for="[key, name] in table" :key="key" v-model="s[key]" :label="t(`fittings.${name}`)" />
  </div>
  <div class="row">
    <button class="btn" type="button" @click="halves.screws.push({ lengthMm: 20, fromMm: 20, toMm: 40 })">
      {{ t('fittings.addScrew') }}
    </button>
    <button v-if="halves.screws.length > 0" class="btn plain" type="button" @click="halves.screws.pop()">
      {{ t('fittings.removeScrew') }}
    </button>
  </div>
  <Checkbox :checked="!!halves.screwPlaces" @update:checked="setPlaces">{{ t('fittings.measured') }}</Checkbox>
  <template v-if="halves.screwPlaces">
    <p class="soft">{{ t('fittings.measuredMore') }}</p>
    <div v-for="(p, i) in halves.screwPlaces" :key="i" class="form">
      <LengthInput v-model="p.sMm" :label="`${i + 1}: ${t('fittings.toRear')}`" />
      <LengthInput v-model="p.tMm" :label="`${i + 1}: ${t('fittings.up')}`" />
    </div>
    <div class="row">
      <button class="btn" type="button" @click="halves.screwPlaces.push({ ...halves.screwPlaces.at(-1)! })">
        {{ t('fittings.addScrew') }}
      </button>
      <button v-if="halves.screwPlaces.length > 2" class="btn plain" type="button" @click="halves.screwPlaces.pop()">
        {{ t('fittings.removeScrew') }}
      </button>
    </div>
  </template>
  <Checkbox :checked="halves.innerFrame !== null" @update:checked="setFrame">{{ t('fittings.innerFrame') }}</Checkbox>
  <template v-if="halves.innerFrame">
    <RectangleFields v-model="halves.innerFrame" />
    <Checkbox :checked="halves.cornerScrewMm != null" @update:checked="(on) => (halves.cornerScrewMm = on ? 12 : null)">{{
      t('fittings.cornerScrews')
    }}</Checkbox>
    <div v-if="halves.cornerScrewMm != null" class="form">
      <LengthInput v-model="halves.cornerScrewMm" :label="t('fittings.cornerScrewIn')" />
    </div>
  </template>
</template>
