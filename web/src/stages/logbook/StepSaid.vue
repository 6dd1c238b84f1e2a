<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { amountText, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import { facingOf } from '@/drawing/facing'
import { holeFields } from '@/stages/openings/holeFields'

/** What was said of a step that was done: readings, the hole as cut, minutes, why it went on anyway, notes. */
const props = defineProps<{ step: Schemas['StepDone'] }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const report = computed(() => props.step.report)
const hole = computed(() => {
  const opening = shell.value!.openings.find((o) => o.id === props.step.job.id)
  const panel = shell.value!.panels.find((p) => p.id === opening?.ownerId)
  if (!report.value.asCut || !panel) return []
  return holeFields(facingOf(panel.value)).map(([key, name]) => `${name} ${lengthText(report.value.asCut![key], lengths.value)}`)
})
const readings = computed(() =>
  report.value.readings
    // The readings of a hole stand for its two sizes.
    .filter((r) => r.value !== null && !(report.value.asCut && r.unit === 'mm'))
    .map((r) => `${r.name}: ${amountText(r.value!, r.unit ?? 'count', lengths.value)}`),
)
</script>

<template>
  <p v-if="hole.length > 0" class="line">{{ hole.join(', ') }}</p>
  <p v-for="r in readings" :key="r" class="line">{{ r }}</p>
  <p v-if="report.minutes !== null" class="line soft">
    {{ t('logbook.minutes', { taken: report.minutes, counted: Math.round(step.counted.likely) }) }}
  </p>
  <p v-if="report.overruled" class="line warn">{{ t('bench.overruled', { why: report.overruled }) }}</p>
  <p v-if="report.notes" class="line">{{ report.notes }}</p>
</template>

<style scoped>
.line {
  margin: 0 0 2px;
  font-size: 14px;
}
</style>
