<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import BaysFigure from './BaysFigure.vue'
import HoleFigure from './HoleFigure.vue'
import LengthFigure from './LengthFigure.vue'

const { t } = useI18n()
const which = ref<'length' | 'bays' | 'holeCheck'>('length')
</script>

<template>
  <div class="screen">
    <header>
      <h1>{{ t('figures.title') }}</h1>
      <div class="tabs" role="tablist">
        <button
          v-for="f in ['length', 'bays', 'holeCheck'] as const"
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
    <LengthFigure v-if="which === 'length'" />
    <BaysFigure v-else-if="which === 'bays'" />
    <HoleFigure v-else />
  </div>
</template>
