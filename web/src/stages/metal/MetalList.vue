<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import type { MetalLine } from './useRepairs'

/** What waits in metal and what is done, to sort, to narrow down and to open. */
defineProps<{ lines: readonly MetalLine[]; where: (line: MetalLine) => string }>()
const emit = defineEmits<{ open: [key: string] }>()
const { t } = useI18n()
const stateText = (l: MetalLine) => (l.repair ? t(`metal.state.${l.value.state}`) : t('metal.notPlanned'))
const columns: Column<MetalLine>[] = [
  { key: 'name', title: t('metal.what'), text: (l) => l.value.name },
  { key: 'kind', title: t('metal.how'), text: (l) => t(`metal.kind.${l.value.kind}`), narrows: true, width: 96 },
]
</script>

<template>
  <DataTable
    data-testid="metal"
    :columns="columns"
    :rows="lines"
    :key-of="(l) => l.key"
    :look="(l) => (l.repair ? `is-${l.value.state}` : 'is-open')"
    @open="(l) => emit('open', l.key)"
  >
    <template #first="{ row }">
      <b class="order">{{ row.order ?? '✓' }}</b> {{ row.value.name }}
      <small class="soft">{{ where(row) }}, {{ stateText(row) }}</small>
    </template>
  </DataTable>
</template>

<style scoped>
:deep(tr td:first-child) {
  border-left: 4px solid var(--rust);
}
:deep(tr.is-doing td:first-child) {
  border-left-color: var(--amber);
}
:deep(tr.is-done td:first-child),
:deep(tr.is-watch td:first-child) {
  border-left-color: var(--teal);
}
small {
  display: block;
  font-weight: 400;
}
.order {
  color: var(--rust);
}
</style>
