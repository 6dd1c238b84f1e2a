<script setup lang="ts">
// The frame of a phone: one bar with the vehicle, how its shell stands, and the stage, which opens all the others from below.
import { Drawer } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { stages } from './stages'
import { useState } from './state'

const { t, te } = useI18n()
const route = useRoute()
const { shell } = useState()
const open = ref(false)
const here = computed(() => {
  const name = stages.find((s) => s.screens.some((screen) => screen.name === route.name))?.name ?? String(route.name)
  return te(`stages.${name}`) ? t(`stages.${name}`) : t('stages.ladder')
})
watch(
  () => route.fullPath,
  () => (open.value = false),
)
</script>

<template>
  <header class="bar">
    <div class="vehicle">
      <b>{{ shell?.vehicle.value.name ?? t('app.product') }}</b>
      <div class="said"><slot name="badge" /></div>
    </div>
    <button class="stage" type="button" aria-haspopup="dialog" :aria-expanded="open" @click="open = true">
      <span>{{ here }}</span>
      <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
        <path d="M2 4h14M2 9h14M2 14h14" stroke="currentColor" stroke-width="2" />
      </svg>
    </button>
  </header>
  <Drawer v-model:open="open" placement="bottom" height="auto" :title="t('stages.ladder')">
    <slot />
  </Drawer>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  min-height: 64px;
  background: var(--night);
  color: var(--night-ink);
}
.vehicle {
  flex: 1;
  min-width: 0;
  padding: 6px 12px;
  overflow: hidden;
}
.vehicle > b {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font: 600 17px/1.15 'Barlow Semi Condensed';
}
/* The badge's second line is told where its day is. */
.said {
  display: flex;
  align-items: center;
  gap: 10px;
}
.vehicle :deep(.badge > span) {
  display: none;
}
.vehicle :deep(.badge b) {
  margin-top: 2px;
  font-size: 14px;
}
.stage {
  display: flex;
  align-items: center;
  gap: 10px;
  align-self: stretch;
  min-height: 52px;
  padding: 0 16px;
  border: 0;
  border-left: 1px solid var(--night-rule);
  background: none;
  color: inherit;
  font: 600 16px 'Source Sans 3';
  cursor: pointer;
}
</style>
