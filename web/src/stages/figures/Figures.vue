<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import BaysFigure from './BaysFigure.vue'
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
  holeCheck: HoleFigure,
}
const which = ref<keyof typeof figures>('length')
</script>

<template>
  <div class="screen">
    <header>
      <h1>{{ t('figures.title') }}</h1>
      <div class="tabs" role="tablist">
        <button
          v-for="(_, f) in figures"
          :key="f"
          type="button"
          role="tab"
          :aria-selected="which === f"
          :class="{ on: which === f }"
          @click="which = f"
        >
          {{ t(`figures.${f}`) }}
        </button>
      </div>
      <div class="sp" />
      <span class="soft">{{ t('figures.more') }}</span>
    </header>
    <component :is="figures[which]" />
  </div>
</template>
