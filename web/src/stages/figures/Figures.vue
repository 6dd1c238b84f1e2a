<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import Switch from '@/ui/Switch.vue'
import AirFigure from './AirFigure.vue'
import BaysFigure from './BaysFigure.vue'
import BeadFigure from './BeadFigure.vue'
import ClampFigure from './ClampFigure.vue'
import DryingFigure from './DryingFigure.vue'
import HoleFigure from './HoleFigure.vue'
import LengthFigure from './LengthFigure.vue'
import LinesFigure from './LinesFigure.vue'
import SagittaFigure from './SagittaFigure.vue'
import SquarenessFigure from './SquarenessFigure.vue'

const { t } = useI18n()
const figures = {
  length: LengthFigure,
  bays: BaysFigure,
  squareness: SquarenessFigure,
  lines: LinesFigure,
  sagitta: SagittaFigure,
  drying: DryingFigure,
  holeCheck: HoleFigure,
  clamping: ClampFigure,
  sealing: BeadFigure,
  moistAir: AirFigure,
}
type Figure = keyof typeof figures
const which = ref<Figure>('length')
const choices = computed(() => (Object.keys(figures) as Figure[]).map((key) => ({ key, text: t(`figures.${key}`) })))
</script>

<template>
  <div class="screen">
    <header>
      <h1>{{ t('figures.title') }}</h1>
      <Switch v-model="which" tabs :choices="choices" />
    </header>
    <component :is="figures[which]" />
  </div>
</template>
