<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import { leaving } from '@/app/leaving'
import { lengthsRead } from '@/app/parseLength'

/** A form in a dialogue: saved when every length in it could be read, and not left with something typed without asking. */
const props = defineProps<{ title: string; isTyped: () => boolean }>()
const emit = defineEmits<{ save: []; close: [] }>()
const { t } = useI18n()
async function save() {
  if (await lengthsRead()) emit('save')
}
const leave = leaving(props.isTyped, () => emit('close'))
</script>

<template>
  <Modal open :title="title" :ok-text="t('app.save')" :cancel-text="t('app.cancel')" @ok="save" @cancel="leave">
    <form class="form" @submit.prevent="save"><slot /></form>
  </Modal>
</template>
