<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import SeverityMark from '@/ui/SeverityMark.vue'
import { useState } from '@/app/state'
import { panelName } from '@/drawing/facing'
import LateUpkeep from '@/stages/logbook/LateUpkeep.vue'

/** What comes next and why, then all that waits in the order of work. */
const props = defineProps<{ shell: Schemas['WholeShell']; numbers: Record<string, number> }>()
const emit = defineEmits<{ go: [id: string]; hover: [id: string | null]; all: [] }>()
const { t } = useI18n()
const { lengths } = useState()
/** What a person can hold in mind; the rest stands in the list of findings. */
const most = 30
const first = computed(() => props.shell.next[0])
/** What must not be done, and keeps water in; a blocked drain is a finding and stands below. */
const shut = computed(() =>
  props.shell.waysOut.filter((w) => w.row.state === 'blocked' && w.row.id !== 'drain-blocked').slice(0, 3),
)

const rows = computed(() =>
  props.shell.next.slice(0, most).map((job, i) => {
    const finding = props.shell.findings.find((f) => f.id === job.job.id)
    const opening = props.shell.openings.find((o) => o.id === job.job.id)
    const repair = props.shell.repairs.find((r) => r.id === job.job.id)
    const replacement = props.shell.floor.replacements.find((r) => r.id === job.job.id)
    const lining = props.shell.floor.linings.find((l) => l.id === job.job.id)
    const owner = (finding ?? opening ?? repair ?? replacement ?? lining)?.ownerId
    const panel = props.shell.panels.find((p) => p.id === owner)
    return {
      job,
      severity: finding?.value.severity ?? (repair || replacement || lining ? ('repair' as const) : ('opening' as const)),
      number: props.numbers[job.job.id],
      // Said once for a run of jobs that share it.
      caution: job.caution === props.shell.next[i - 1]?.caution ? null : job.caution,
      name: finding?.value.name ?? opening?.value.name ?? capital(job.what),
      more: [
        panel ? panelName(panel.value) : '',
        finding
          ? size(finding.value.measures)
          : repair
            ? t(`metal.state.${repair.value.state}`)
            : replacement
              ? t(`floor.state.${replacement.value.state}`)
              : lining
                ? t(`lining.state.${lining.value.state}`)
                : t(`openings.state.${opening?.value.state ?? 'planned'}`),
      ]
        .filter((part) => part)
        .join(', '),
    } as const
  }),
)
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
function size(m: Schemas['FindingMeasures']): string {
  const sides = [m.lengthMm, m.widthMm].filter((v) => v !== null)
  const last = sides.pop()
  return [
    last === undefined ? '' : [...sides.map((v) => lengthNumber(v, lengths.value)), lengthText(last, lengths.value)].join(' x '),
    m.depthMm === null ? '' : t('findings.deep', { mm: lengthText(m.depthMm, lengths.value) }),
    m.moisturePercent === null ? '' : `${m.moisturePercent} %`,
  ]
    .filter((part) => part)
    .join(', ')
}
</script>

<template>
  <button v-if="first" class="next" type="button" data-testid="next" @click="emit('go', first.job.id)">
    <b>{{ t('walkaround.next', { what: first.what }) }}</b>
    <span>{{ first.why }}</span>
    <span v-if="first.caution" class="caution">{{ first.caution }}</span>
  </button>
  <div v-else class="next">
    <b>{{ t('walkaround.nothingWaits') }}</b>
    <span>{{ t('walkaround.nothingWaitsWhy') }}</span>
  </div>
  <RouterLink
    v-if="shut.length > 0"
    class="shut"
    :to="{ name: 'water', params: { vehicleId: shell.vehicle.id, tab: 'out' } }"
    data-testid="shut-in"
  >
    <b>{{ t('waysOut.fromWalkaround') }}</b>
    <span v-for="w in shut" :key="w.row.title">{{ w.row.title }}. {{ w.row.remedy }}</span>
  </RouterLink>
  <LateUpkeep />
  <div class="card">
    <h2>{{ t('walkaround.waiting') }}</h2>
    <div>
      <button
        v-for="row in rows"
        :key="row.job.job.id + row.job.what"
        class="job"
        type="button"
        @click="emit('go', row.job.job.id)"
        @mouseenter="emit('hover', row.job.job.id)"
        @mouseleave="emit('hover', null)"
        @focus="emit('hover', row.job.job.id)"
        @blur="emit('hover', null)"
      >
        <SeverityMark :severity="row.severity" :number="row.number" />
        <span>
          <b>{{ row.name }}</b>
          <small>{{ row.more }}</small>
        </span>
        <small v-if="row.caution" class="why">{{ row.caution }}</small>
      </button>
    </div>
    <button v-if="shell.next.length > most" class="btn" type="button" @click="emit('all')">
      {{ t('walkaround.andMore', shell.next.length - most) }}
    </button>
  </div>
</template>

<style scoped>
.next {
  display: flex;
  flex-direction: column;
  gap: 3px;
  padding: 10px 12px;
  border: 0;
  border-left: 4px solid var(--rust);
  background: var(--rust-soft);
  color: var(--label);
  font: inherit;
  font-size: 13.5px;
  text-align: left;
}
button.next {
  cursor: pointer;
}
.next b {
  font: 600 16px/1.25 'Source Sans 3';
  color: var(--ink);
}
.shut {
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 8px 12px;
  border-left: 4px solid var(--stop);
  background: var(--stop-soft);
  color: var(--ink);
  font-size: 13.5px;
  text-decoration: none;
}
.caution {
  color: var(--stop);
  font-weight: 500;
}
.job {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 2px 10px;
  width: 100%;
  padding: 8px 2px;
  border: 0;
  border-top: 1px solid var(--rule);
  background: none;
  color: var(--ink);
  font: 400 14.5px/1.3 'Source Sans 3';
  text-align: left;
  cursor: pointer;
}
.job:first-child {
  border-top: 0;
}
.job:hover {
  background: var(--hover);
}
.job b {
  font-weight: 500;
}
.job small {
  display: block;
  color: var(--soft);
  font-size: 12.5px;
}
.job .why {
  grid-column: 2 / -1;
  color: var(--stop);
}
</style>
