<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { dateText } from '@/app/moment'
import Choice from '@/ui/Choice.vue'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import { panelName } from '@/drawing/facing'

/** All findings, to be searched, filtered and sorted; the whole list goes out as CSV. */
const props = defineProps<{ shell: Schemas['WholeShell']; numbers: Record<string, number>; panelId?: string }>()
const emit = defineEmits<{ open: [id: string]; hover: [id: string | null] }>()
const { t } = useI18n()
const find = ref('')
const state = ref<'waiting' | 'all' | Schemas['FindingState']>('waiting')
const weight = { severe: 0, moderate: 1, minor: 2 }

const rows = computed(() => {
  const word = find.value.trim().toLowerCase()
  return props.shell.findings
    .filter((f) => !props.panelId || f.ownerId === props.panelId)
    .map((row) => {
      const panel = props.shell.panels.find((p) => p.id === row.ownerId)
      return { row, f: row.value, panel: panel ? panelName(panel.value) : '', kind: t(`findings.kinds.${row.value.kind}`) }
    })
    .filter(
      ({ f }) =>
        state.value === 'all' ||
        f.state === state.value ||
        (state.value === 'waiting' && (f.state === 'open' || f.state === 'planned')),
    )
    .filter(({ f, panel, kind }) => [f.name, f.notes, f.seenBy, panel, kind].some((text) => text.toLowerCase().includes(word)))
    .sort((a, b) => order(a.row.id) - order(b.row.id))
})
const order = (id: string) => props.numbers[id] ?? Infinity
const columns = computed<Column<(typeof rows.value)[number]>[]>(() => [
  { key: 'name', title: t('findings.one'), text: (r) => r.f.name },
  {
    key: 'severity',
    title: t('findings.severity'),
    text: (r) => t(`findings.severities.${r.f.severity}`).split(':')[0]!,
    figure: (r) => weight[r.f.severity],
    width: 92,
  },
  {
    key: 'seen',
    title: t('findings.seenOn'),
    text: (r) => dateText(r.f.seenAt.slice(0, 10)),
    figure: (r) => Date.parse(r.f.seenAt),
    width: 76,
  },
])
</script>

<template>
  <div class="card">
    <input v-model="find" class="field" type="search" :placeholder="t('findings.find')" :aria-label="t('findings.find')" />
    <Choice
      v-model="state"
      :label="t('findings.show')"
      :options="
        (['waiting', 'all', 'open', 'planned', 'done', 'watch'] as const).map((s) => ({
          value: s,
          text: t(`findings.filter.${s}`),
        }))
      "
    />
    <p v-if="rows.length === 0" class="soft">{{ t('findings.none') }}</p>
    <DataTable
      v-else
      named
      :columns="columns"
      :rows="rows"
      :key-of="(r) => r.row.id"
      @open="(r) => emit('open', r.row.id)"
      @hover="(r) => emit('hover', r?.row.id ?? null)"
    >
      <template #first="{ row: r }">
        <span v-if="numbers[r.row.id]" class="soft">{{ `${numbers[r.row.id]} ` }}</span>
        {{ r.f.name }}
        <small class="soft">{{ `${r.kind}, ${r.panel.toLowerCase()}, ${t(`findings.states.${r.f.state}`)}` }}</small>
      </template>
    </DataTable>
    <a class="btn" :href="`/api/vehicles/${shell.vehicle.id}/findings.csv`" download>{{ t('findings.csv') }}</a>
  </div>
</template>

<style scoped>
small {
  display: block;
  font-weight: 400;
}
</style>
