<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { sideWord, type Facing } from '@/drawing/facing'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Ticks from '@/ui/Ticks.vue'
import { ownSide, sideNames, withSide } from './sides'

/** How a patch is made: its shape, its join, its edges and folds. */
type Design = Schemas['PatchDesign']
const props = defineProps<{ plate: boolean; facing: Facing }>()
const design = defineModel<Design>({ required: true })
const { t } = useI18n()
const shapes = computed(() => enums.HoleShape.filter((s) => (s === 'noHole') === props.plate))
const side = ref<Schemas['Side']>('top')
const own = computed(() => ownSide(design.value, side.value))
const putSide = (change: Partial<Design['sides'][number]>) => (design.value = withSide(design.value, side.value, change))
const fold: Schemas['Fold'] = { to: 'inside', degrees: 90, radiusMm: 1.5, lengthMm: 20 }
const putFold = (i: number, change: Partial<Schemas['Fold']>) =>
  putSide({ folds: own.value.folds.map((f, k) => (k === i ? { ...f, ...change } : f)) })
/** A grown outline has no straight sides. */
function setShape(shape: Design['shape']) {
  design.value.shape = shape
  if (shape === 'grown') design.value.sides = []
}
</script>

<template>
  <Choice
    v-if="shapes.length > 1"
    class="wide"
    :model-value="design.shape"
    :label="t('metal.shape')"
    :options="shapes.map((s) => ({ value: s, text: t(`metal.shapes.${s}`) }))"
    @update:model-value="setShape"
  />
  <Choice
    v-model="design.join"
    class="wide"
    :label="t('metal.join')"
    :options="
      enums.PatchJoin.filter((j) => !plate || j !== 'buttOnStrip').map((j) => ({ value: j, text: t(`metal.joins.${j}`) }))
    "
  />
  <LengthInput v-if="!plate" v-model="design.cutBackMm" :bounds="bounds.PatchDesign.cutBackMm" :label="t('metal.cutBack')" />
  <LengthInput v-model="design.lapMm" optional :bounds="bounds.PatchDesign.lapMm" :label="t('metal.lap')" />
  <Choice
    v-model="design.metal"
    :label="t('metal.metal')"
    :options="enums.SheetMetal.map((m) => ({ value: m, text: t(`metal.metals.${m}`) }))"
  />
  <NumberInput v-model="design.sheetMm" :bounds="bounds.PatchDesign.sheetMm" :label="t('figures.sheetMm')" required />
  <Choice
    v-model="design.upperEdge"
    :label="t('metal.upperEdge')"
    :options="enums.EdgeLie.map((e) => ({ value: e, text: t(`metal.lies.${e}`) }))"
  />
  <LengthInput v-model="design.cornerMm" :bounds="bounds.PatchDesign.cornerMm" :label="t('metal.corner')" />
  <Ticks
    class="wide"
    :of="design"
    :choices="[{ key: 'joggled', text: t('metal.joggled') }]"
    @tick="(_, on) => (design.joggled = on)"
  />
  <fieldset v-if="design.shape !== 'grown'" class="wide">
    <legend>{{ t('metal.sides') }}</legend>
    <div class="tabs" role="group" :aria-label="t('metal.sides')">
      <button
        v-for="s in sideNames"
        :key="s"
        type="button"
        :class="{ on: side === s }"
        :aria-pressed="side === s"
        @click="side = s"
      >
        {{ sideWord(facing, s) }}<template v-if="ownSide(design, s).folds.length > 0"> ∟</template>
      </button>
    </div>
    <div class="form two">
      <LengthInput
        v-if="!plate"
        :model-value="own.cutBackMm"
        optional
        :bounds="bounds.PatchSide.cutBackMm"
        :label="t('metal.ownCutBack')"
        @update:model-value="(cutBackMm) => putSide({ cutBackMm })"
      />
      <LengthInput
        :model-value="own.lapMm"
        optional
        :bounds="bounds.PatchSide.lapMm"
        :label="t('metal.ownLap')"
        @update:model-value="(lapMm) => putSide({ lapMm })"
      />
      <template v-for="(f, i) in own.folds" :key="i">
        <b class="wide">{{ t('metal.fold', { n: i + 1 }) }}</b>
        <Choice
          :model-value="f.to"
          :label="t('metal.foldTo')"
          :options="enums.FoldTo.map((x) => ({ value: x, text: t(`metal.foldTos.${x}`) }))"
          @update:model-value="(to) => putFold(i, { to })"
        />
        <NumberInput
          :model-value="f.degrees"
          :bounds="bounds.Fold.degrees"
          :label="t('metal.degrees')"
          required
          @update:model-value="(degrees) => putFold(i, { degrees })"
        />
        <LengthInput
          :model-value="f.lengthMm"
          :bounds="bounds.Fold.lengthMm"
          :label="t('metal.flange')"
          @update:model-value="(lengthMm) => putFold(i, { lengthMm })"
        />
        <LengthInput
          :model-value="f.radiusMm"
          :bounds="bounds.Fold.radiusMm"
          :label="t('metal.radius')"
          @update:model-value="(radiusMm) => putFold(i, { radiusMm })"
        />
      </template>
      <div class="row wide">
        <Action v-if="own.folds.length < 2" @click="putSide({ folds: [...own.folds, fold] })">{{ t('metal.addFold') }}</Action>
        <Action v-if="own.folds.length > 0" look="plain" @click="putSide({ folds: own.folds.slice(0, -1) })">{{
          t('metal.dropFold')
        }}</Action>
      </div>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin: 0;
  padding: 8px 10px;
  border: 1px solid var(--rule);
  border-radius: 4px;
}
.two {
  grid-template-columns: 1fr 1fr;
  margin-top: 8px;
}
</style>
