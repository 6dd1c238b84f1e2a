<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import Switch from '@/ui/Switch.vue'
import AirFigure from './AirFigure.vue'
import AxleFigure from './AxleFigure.vue'
import BaysFigure from './BaysFigure.vue'
import BeadFigure from './BeadFigure.vue'
import BuildUpFigure from './BuildUpFigure.vue'
import ClampFigure from './ClampFigure.vue'
import CoatingFigure from './CoatingFigure.vue'
import CutsFigure from './CutsFigure.vue'
import DryingFigure from './DryingFigure.vue'
import FloorFigure from './FloorFigure.vue'
import HoleFigure from './HoleFigure.vue'
import LearningFigure from './LearningFigure.vue'
import LengthFigure from './LengthFigure.vue'
import LinesFigure from './LinesFigure.vue'
import PacksFigure from './PacksFigure.vue'
import PaintFigure from './PaintFigure.vue'
import PieceFigure from './PieceFigure.vue'
import RustFigure from './RustFigure.vue'
import SagittaFigure from './SagittaFigure.vue'
import SheetFigure from './SheetFigure.vue'
import SquarenessFigure from './SquarenessFigure.vue'
import SunFigure from './SunFigure.vue'
import SagFigure from '@/stages/floor/SagFigure.vue'

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
  rust: RustFigure,
  sheet: SheetFigure,
  paint: PaintFigure,
  floorWork: FloorFigure,
  piece: PieceFigure,
  cuts: CutsFigure,
  coating: CoatingFigure,
  sag: SagFigure,
  buildUp: BuildUpFigure,
  daylight: SunFigure,
  learning: LearningFigure,
  axles: AxleFigure,
  packs: PacksFigure,
}
type Figure = keyof typeof figures
const which = ref<Figure>('length')
const choices = computed(() => (Object.keys(figures) as Figure[]).map((key) => ({ key, text: t(`figures.${key}`) })))
</script>

<template>
  <div class="screen figures-screen">
    <header>
      <h1>{{ t('figures.title') }}</h1>
    </header>
    <Switch v-model="which" class="which" tabs :choices="choices" :label="t('figures.title')" />
    <component :is="figures[which]" />
  </div>
</template>

<style scoped>
.figures-screen {
  grid-template-columns: 168px minmax(0, 1fr) 336px;
}
.which {
  flex-direction: column;
  padding: 14px 8px;
  border-right: 1px solid var(--line);
  overflow: auto;
}
.which :deep(button) {
  flex: none;
  min-height: 36px;
  text-align: left;
}
@media (max-width: 1000px) {
  .figures-screen {
    grid-template: auto auto auto auto / minmax(0, 1fr);
  }
  .which {
    flex-direction: row;
    border: 0;
  }
}
</style>
