<script setup lang="ts">
import { message } from 'ant-design-vue'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { useDraft } from '@/app/drafts'
import { rememberPerson } from '@/app/person'
import { addPhoto } from '@/app/photo'
import { said, useState } from '@/app/state'
import FindingPhotos from '@/stages/walkaround/FindingPhotos.vue'
import Choice from '@/ui/Choice.vue'
import Dialogue from '@/ui/Dialogue.vue'
import Switch from '@/ui/Switch.vue'
import TextField from '@/ui/TextField.vue'

/** Something that went wrong at a step: a finding at its place, with photos, and what to tell whoever does the next one. */
const props = defineProps<{ job: Schemas['Job'] }>()
/** What is said, and at which step; null while the form is closed. */
const edited = defineModel<{ key: string; value: Schemas['StepProblem'] } | null>({ required: true })
const { t } = useI18n()
const { shell, change } = useState()
const photos = ref<File[]>([])
const isTyped = useDraft({
  kind: () => `problem ${props.job.id}`,
  typed: () => edited.value,
  what: () => `${t('bench.problem')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
async function keep() {
  const { key, value } = edited.value!
  rememberPerson(value.by)
  const vehicleId = shell.value!.vehicle.id
  const path = { vehicleId, kind: props.job.kind, id: props.job.id, key }
  const finding = await change(() =>
    got(api.POST('/api/vehicles/{vehicleId}/bench/{kind}/{id}/{key}/problem', { params: { path }, body: value })),
  )
  if (!finding) return
  edited.value = null
  for (const photo of photos.value.splice(0))
    await change(() => addPhoto(vehicleId, finding.id, photo)).catch((e: unknown) => void message.error(said(e)))
}
</script>

<template>
  <Dialogue v-if="edited" :title="t('bench.problemTitle')" :is-typed="isTyped" @save="keep" @close="edited = null">
    <div class="wide"><FindingPhotos v-model="photos" :photos="[]" :vehicle-id="shell!.vehicle.id" /></div>
    <TextField v-model="edited.value.name" class="wide" :label="t('findings.what')" :most="80" />
    <Choice
      v-model="edited.value.kind"
      :label="t('bench.problemKind')"
      :options="enums.FindingKind.map((value) => ({ value, text: t(`findings.kinds.${value}`) }))"
    />
    <div class="named">
      <span>{{ t('findings.severity') }}</span>
      <Switch
        v-model="edited.value.severity"
        :label="t('findings.severity')"
        :choices="enums.Severity.map((key) => ({ key, text: t(`findings.severities.${key}`) }))"
      />
    </div>
    <TextField v-model="edited.value.by" :label="t('findings.seenBy')" :most="80" />
    <TextField v-model="edited.value.notes" class="wide" :label="t('bench.notes')" :most="4000" lines />
    <TextField v-model="edited.value.prevention" class="wide" :label="t('bench.prevention')" :most="300" />
  </Dialogue>
</template>
