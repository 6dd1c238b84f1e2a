<script setup lang="ts">
import { message } from 'ant-design-vue'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { useDraft } from '@/app/drafts'
import { rememberPerson, whoHere } from '@/app/person'
import { addPhoto } from '@/app/photo'
import { said, useState } from '@/app/state'
import FindingPhotos from '@/stages/walkaround/FindingPhotos.vue'
import Choice from '@/ui/Choice.vue'
import Dialogue from '@/ui/Dialogue.vue'
import Switch from '@/ui/Switch.vue'
import TextField from '@/ui/TextField.vue'

/** Something that went wrong at a step: a finding at its place, with photos, and what to tell whoever does the next one. */
const props = defineProps<{ job: Schemas['BenchJob']; step: Schemas['BenchStep'] }>()
const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const { shell, change } = useState()
const blank = (): Schemas['StepProblem'] => ({
  by: whoHere.value,
  name: '',
  kind: 'openHole',
  severity: 'moderate',
  seen: 'outside',
  notes: '',
  prevention: '',
})
const problem = ref(blank())
const photos = ref<File[]>([])
const isTyped = useDraft<Schemas['StepProblem']>({
  kind: () => `problem ${props.job.job.id} ${props.step.step.key}`,
  typed: () => problem.value,
  what: () => `${t('bench.problem')} ${problem.value.name}`.trim(),
  take: (draft) => (problem.value = draft),
})
async function keep() {
  rememberPerson(problem.value.by)
  const vehicleId = shell.value!.vehicle.id
  const path = { vehicleId, kind: props.job.job.kind, id: props.job.job.id, key: props.step.step.key }
  const finding = await change(() =>
    got(api.POST('/api/vehicles/{vehicleId}/bench/{kind}/{id}/{key}/problem', { params: { path }, body: problem.value })),
  )
  if (!finding) return
  emit('close')
  for (const photo of photos.value)
    await change(() => addPhoto(vehicleId, finding.id, photo)).catch((e: unknown) => void message.error(said(e)))
}
</script>

<template>
  <Dialogue :title="t('bench.problemTitle')" :is-typed="isTyped" @save="keep" @close="emit('close')">
    <div class="wide"><FindingPhotos v-model="photos" :photos="[]" :vehicle-id="shell!.vehicle.id" /></div>
    <TextField v-model="problem.name" class="wide" :label="t('findings.what')" :most="80" />
    <Choice
      v-model="problem.kind"
      :label="t('bench.problemKind')"
      :options="enums.FindingKind.map((value) => ({ value, text: t(`findings.kinds.${value}`) }))"
    />
    <div class="named">
      <span>{{ t('findings.severity') }}</span>
      <Switch
        v-model="problem.severity"
        :label="t('findings.severity')"
        :choices="enums.Severity.map((key) => ({ key, text: t(`findings.severities.${key}`) }))"
      />
    </div>
    <TextField v-model="problem.by" :label="t('findings.seenBy')" :most="80" />
    <TextField v-model="problem.notes" class="wide" :label="t('bench.notes')" :most="4000" lines />
    <TextField v-model="problem.prevention" class="wide" :label="t('bench.prevention')" :most="300" />
  </Dialogue>
</template>
