<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import Choice from '@/ui/Choice.vue'
import { panelName } from '@/drawing/facing'

/** All findings, to be searched, filtered and sorted; the whole list goes out as CSV. */
const props = defineProps<{ shell: Schemas['WholeShell']; numbers: Record<string, number>; panelId?: string }>()
const emit = defineEmits<{ open: [id: string]; hover: [id: string | null] }>()
const { t } = useI18n()
const find = ref('')
const state = ref<'waiting' | 'all' | Schemas['FindingState']>('waiting')
const sort = ref<'order' | 'severity' | 'newest' | 'name'>('order')
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
    .sort((a, b) =>
      sort.value === 'name'
        ? a.f.name.localeCompare(b.f.name)
        : sort.value === 'newest'
          ? b.f.seenAt.localeCompare(a.f.seenAt)
          : sort.value === 'severity'
            ? weight[a.f.severity] - weight[b.f.severity]
            : (props.numbers[a.row.id] ?? 999) - (props.numbers[b.row.id] ?? 999),
    )
})
</script>

<template>
  <div class="card">
    <input v-model="find" class="field" type="search" :placeholder="t('findings.find')" :aria-label="t('findings.find')" />
    <div class="two">
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
      <Choice
        v-model="sort"
        :label="t('findings.sort')"
        :options="(['order', 'severity', 'newest', 'name'] as const).map((s) => ({ value: s, text: t(`findings.sorts.${s}`) }))"
      />
    </div>
    <p v-if="rows.length === 0" class="soft">{{ t('findings.none') }}</p>
    <table v-else class="figures">
      <tbody>
        <tr v-for="r in rows" :key="r.row.id" @mouseenter="emit('hover', r.row.id)" @mouseleave="emit('hover', null)">
          <td class="n soft">{{ numbers[r.row.id] ?? '' }}</td>
          <td>
            <button class="btn plain name" type="button" @click="emit('open', r.row.id)">{{ r.f.name }}</button>
            <div class="soft">{{ r.kind }}, {{ r.panel.toLowerCase() }}</div>
          </td>
          <td class="n">{{ t(`findings.states.${r.f.state}`) }}</td>
        </tr>
      </tbody>
    </table>
    <a class="btn" :href="`/api/vehicles/${shell.vehicle.id}/findings.csv`" download>{{ t('findings.csv') }}</a>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.name {
  padding: 0;
  min-height: 26px;
  white-space: normal;
  text-align: left;
}
</style>
