<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import LengthInput from '@/app/LengthInput.vue'
import { copyOf } from '@/app/copy'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import SchoolFields from '@/stages/vehicles/SchoolFields.vue'
import type { OpeningWork } from './useOpening'

const props = defineProps<{ work: OpeningWork }>()
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const { fittings } = useState()
const form = reactive({ value: copyOf(props.work.row!.value) })
const busy = ref(false)
watch(open, (now) => now && props.work.row && (form.value = copyOf(props.work.row.value)))

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
    v-model:open="open"
    :title="t('openings.settings')"
    :ok-text="t('app.save')"
    :cancel-text="t('app.cancel')"
    :confirm-loading="busy"
    destroy-on-close
    @ok="save"
  >
    <div class="form">
      <label class="named wide">{{ t('app.name') }}<input v-model="form.value.name" class="field" maxlength="80" /></label>
      <label class="named">
        {{ t('openings.fitting') }}
        <select v-model="form.value.fittingId" class="field">
          <option v-for="f in fittings" :key="f.id" :value="f.id">{{ f.value.name }}</option>
        </select>
      </label>
      <label class="named">
        {{ t('openings.turn') }}
        <select v-model.number="form.value.turnDeg" class="field">
          <option v-for="n in [0, 90, 180, 270]" :key="n" :value="n">{{ t('openings.degrees', { n }) }}</option>
        </select>
      </label>
      <LengthInput v-model="form.value.wallMm" :label="t('openings.wall')" optional />
      <SchoolFields v-model="form.value.schools" />
      <label class="named wide">{{ t('app.notes') }}<textarea v-model="form.value.notes" class="field" maxlength="4000" /></label>
    </div>
  </Modal>
</template>
