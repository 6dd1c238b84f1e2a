<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'

const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const rows: [string[], string][] = [
  [['?'], 'help'],
  [['Ctrl', 'Z'], 'undo'],
  [['Ctrl', 'Shift', 'Z'], 'redo'],
  [['←', '→', '↑', '↓'], 'nudge'],
  [['Shift', '←', '→', '↑', '↓'], 'nudgeMore'],
  [['1', '…', '9'], 'candidate'],
  [['Enter'], 'use'],
  [['Esc'], 'revert'],
  [['I'], 'side'],
  [['+', '-', '0'], 'zoom'],
  [['Alt', '←', '→', '↑', '↓'], 'pan'],
  [['K'], 'figures'],
  [['F'], 'finding'],
  [['F2'], 'meter'],
]
</script>

<template>
  <Modal v-model:open="open" :title="t('keys.title')" :footer="null" width="420px">
    <table class="figures">
      <tbody>
        <tr v-for="[keys, what] in rows" :key="what">
          <td>
            <template v-for="key in keys" :key="key"
              ><span class="key">{{ key }}</span
              >{{ ' ' }}</template
            >
          </td>
          <td>{{ t(`keys.${what}`) }}</td>
        </tr>
      </tbody>
    </table>
  </Modal>
</template>
