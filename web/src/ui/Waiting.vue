<script setup lang="ts">
import { Skeleton } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'

/** What stands where a screen is still on its way: its outline, a drawing with its list beside it; or why it does not come. */
defineProps<{ wrong?: string }>()
const { t } = useI18n()
</script>

<template>
  <div v-if="wrong" class="empty" role="alert">
    {{ wrong }}
    <slot />
  </div>
  <div v-else class="waiting" role="status" :aria-label="t('app.loading')">
    <div class="drawing" />
    <Skeleton active :title="false" :paragraph="{ rows: 6 }" />
  </div>
</template>

<style scoped>
.waiting {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 380px);
  grid-column: 1 / -1;
  gap: 24px;
  padding: 24px;
}
.drawing {
  min-height: 46vh;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
@media (max-width: 900px) {
  .waiting {
    grid-template-columns: minmax(0, 1fr);
  }
  .drawing {
    min-height: 30vh;
  }
}
</style>
