<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { useState } from '@/app/state'

/** What was done to one record, newest first, in the time of the vehicle's place. */
const props = defineProps<{ vehicleId: string; recordId: string }>()
const { t, locale } = useI18n()
const { shell } = useState()
const changes = ref<Schemas['Change'][]>([])
onMounted(async () => {
  const path = { vehicleId: props.vehicleId, recordId: props.recordId }
  changes.value = await got(api.GET('/api/vehicles/{vehicleId}/changes/{recordId}', { params: { path } })).catch(() => [])
})
const when = (at: string) =>
  new Date(at).toLocaleString(locale.value, {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: shell.value?.vehicle.value.timeZone,
  })
</script>

<template>
  <details v-if="changes.length > 0">
    <summary>{{ t('findings.history') }}</summary>
    <p v-for="c in changes" :key="c.seq" class="soft">
      {{ when(c.at) }}: {{ c.what }}{{ c.state === 'done' ? '' : ` (${t('findings.takenBack')})` }}
    </p>
  </details>
</template>

<style scoped>
summary {
  color: var(--teal);
  font-weight: 500;
  cursor: pointer;
}
</style>
