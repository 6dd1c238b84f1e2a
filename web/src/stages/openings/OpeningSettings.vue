<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { nextTick, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import LengthInput from '@/ui/LengthInput.vue'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import SchoolFields from '@/stages/vehicles/SchoolFields.vue'
import TextField from '@/ui/TextField.vue'
import Choice from '@/ui/Choice.vue'
import type { OpeningWork } from './useOpening'

const props = defineProps<{ work: OpeningWork }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const { fittings } = useState()
const form = reactive({ value: copyOf(props.work.row!.value) })
const busy = ref(false)
/** Whether it is opened with a draft instead of what is saved. */
let taken = false
watch(open, (now) => now && props.work.row && !taken && (form.value = copyOf(props.work.row.value)))
const isTyped = useDraft({
  kind: () => `opening ${props.work.row!.id}`,
  typed: () => (open.value ? form.value : null),
  what: () => `${t('app.draft.opening')} ${form.value.name}`.trim(),
  take: (draft) => {
    taken = true
    form.value = draft
    open.value = true
    void nextTick(() => (taken = false))
  },
})
const leave = leaving(isTyped, () => (open.value = false))

async function save() {
  if (!(await lengthsRead())) return
  busy.value = true
  const { name, fittingId, turnDeg, wallMm, schools, notes } = form.value
  if (await props.work.save({ name, fittingId, turnDeg, wallMm, schools, notes })) open.value = false
  busy.value = false
}
</script>

<template>
  <Modal
    :open="open"
    :title="t('openings.settings')"
    :ok-text="t('app.save')"
    :cancel-text="t('app.cancel')"
    :confirm-loading="busy"
    destroy-on-close
    @ok="save"
    @cancel="leave"
  >
    <div class="form">
      <TextField v-model="form.value.name" class="wide" :label="t('app.name')" :most="80" />
      <Choice
        v-model="form.value.fittingId"
        :label="t('openings.fitting')"
        :options="fittings.map((f) => ({ value: f.id, text: f.value.name }))"
      />
      <Choice
        v-model="form.value.turnDeg"
        :label="t('openings.turn')"
        :options="[0, 90, 180, 270].map((n) => ({ value: n, text: t('openings.degrees', { n }) }))"
      />
      <LengthInput v-model="form.value.wallMm" :label="t('openings.wall')" optional />
      <SchoolFields v-model="form.value.schools" />
      <TextField v-model="form.value.notes" class="wide" :label="t('app.notes')" :most="4000" lines />
    </div>
  </Modal>
</template>
