<script setup lang="ts" generic="T">
import { Modal } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import type { Point, Stored } from '@/api/client'
import { panelName } from '@/drawing/facing'
import { leaving } from '@/app/leaving'
import LengthInput from './LengthInput.vue'
import { useState } from '@/app/state'
import Wrong from './Wrong.vue'
import Choice from '@/ui/Choice.vue'
import type { EditedRecord } from '@/app/usePanelRecord'

/** The frame of a form for a record that lies on a panel: which panel, where on it, save and remove. */
const props = defineProps<{ title: string; wrong: string; isTyped: () => boolean }>()
/** Where on the panel, for a record that lies at one place. */
const place = defineModel<Point>('place')
const edited = defineModel<EditedRecord<T> | null>({ required: true })
const emit = defineEmits<{ save: []; remove: [row: Stored<T>] }>()
defineSlots<{ default(props: { value: T }): unknown }>()
const { t } = useI18n()
const { shell } = useState()
const leave = leaving(props.isTyped, () => (edited.value = null))
</script>

<template>
  <Modal
    :open="edited !== null"
    :title="title"
    :ok-text="t('app.save')"
    :cancel-text="t('app.cancel')"
    destroy-on-close
    @ok="emit('save')"
    @cancel="leave"
  >
    <form v-if="edited" class="form" @submit.prevent="emit('save')">
      <Choice
        v-model="edited.panelId"
        class="wide"
        :label="t('findings.where')"
        :options="(shell?.panels ?? []).map((p) => ({ value: p.id, text: panelName(p.value) }))"
        :disabled="edited.row !== null"
      />
      <template v-if="place">
        <LengthInput
          :model-value="place.sMm"
          :label="t('water.along')"
          @update:model-value="(mm) => (place = { ...place!, sMm: mm ?? 0 })"
        />
        <LengthInput
          :model-value="place.tMm"
          :label="t('water.across')"
          @update:model-value="(mm) => (place = { ...place!, tMm: mm ?? 0 })"
        />
      </template>
      <slot :value="edited.value" />
      <Wrong :text="wrong" class="wide" />
      <button v-if="edited.row" class="btn" type="button" @click="emit('remove', edited.row)">{{ t('app.remove') }}</button>
    </form>
  </Modal>
</template>
