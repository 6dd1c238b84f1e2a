<script setup lang="ts">
import { Popconfirm } from 'ant-design-vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas, Stored } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import type { usePanelRecord } from '@/app/usePanelRecord'
import { panelName } from '@/drawing/facing'

/** The checks that were made so far, newest first: what every answer about leaks rests on, to be corrected or taken away. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Schemas['Observation']>> }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const rows = computed(() =>
  ([...(shell.value?.observations ?? [])] as Stored<Schemas['Observation']>[]).sort((a, b) =>
    b.value.seenAt.localeCompare(a.value.seenAt),
  ),
)
function where(row: Stored<Schemas['Observation']>): string {
  const panel = shell.value!.panels.find((p) => p.id === row.ownerId)
  const { sMm, tMm } = row.value.place
  return `${panel ? panelName(panel.value) : ''}, ${lengthText(sMm, lengths.value)} / ${lengthText(tMm, lengths.value)}`
}
function found({ wet, moisturePercent }: Schemas['Observation']): string {
  const result = wet === null ? [] : [t(wet ? 'leaks.wet' : 'leaks.dry')]
  return [...result, ...(moisturePercent === null ? [] : [`${moisturePercent}\u00a0%`])].join(', ')
}
</script>

<template>
  <div class="card" data-testid="observations">
    <h2>{{ t('leaks.checks') }}</h2>
    <p v-if="rows.length === 0" class="soft">{{ t('leaks.noChecks') }}</p>
    <div v-for="row in rows" :key="row.id" class="check">
      <div>
        <b>{{ t(`leaks.observationKinds.${row.value.kind}`) }}: {{ found(row.value) }}</b>
        <div class="soft">
          {{ new Date(row.value.seenAt).toLocaleDateString() }}, {{ where(row)
          }}{{ row.value.seenBy ? `, ${row.value.seenBy}` : '' }}
        </div>
      </div>
      <button class="btn" type="button" @click="record.begin(row.ownerId!, row.value, row)">{{ t('app.edit') }}</button>
      <Popconfirm
        :title="t('leaks.removeCheck')"
        :ok-text="t('app.remove')"
        :cancel-text="t('app.cancel')"
        @confirm="props.record.remove(row)"
      >
        <button class="btn" type="button">{{ t('app.remove') }}</button>
      </Popconfirm>
    </div>
  </div>
</template>

<style scoped>
.check {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: 6px;
  align-items: center;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
</style>
