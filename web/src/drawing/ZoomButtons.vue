<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Viewport } from './viewport'

/** Zoom by finger: what wheel, pinch and keys do as well. */
defineProps<{ view: Viewport }>()
const { t } = useI18n()
</script>

<template>
  <div class="zoom">
    <button type="button" :aria-label="t('drawing.zoomOut')" @click="view.zoomBy(1 / 1.4)">−</button>
    <button type="button" @click="view.fit">{{ t('drawing.fit') }}</button>
    <button type="button" :aria-label="t('drawing.zoomIn')" @click="view.zoomBy(1.4)">+</button>
  </div>
</template>
