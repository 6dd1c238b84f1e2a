<script lang="ts">
/** What the server worked out, as far as it is shown here. */
export interface Worked {
  steps: readonly Step[]
  sources: readonly Source[]
}
</script>

<script setup lang="ts">
import { Drawer } from 'ant-design-vue'
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Source, Step } from '@/api/client'
import { amountText } from '@/app/length'
import { useState } from '@/app/state'

/** The calculation behind a figure: each step in order, and where its rules come from; nothing until there is one. */
defineProps<{ title: string; worked: Worked | null | undefined }>()
const open = ref(false)
const { t } = useI18n()
const { lengths } = useState()
const value = (step: Step) => amountText(step.value, step.unit, lengths.value, 3)
</script>

<template>
  <button v-if="worked" class="btn plain" type="button" @click="open = true">{{ t('worked.open') }}</button>
  <Drawer v-if="worked" v-model:open="open" :title="title" width="min(560px, 100vw)">
    <table class="figures">
      <tbody>
        <tr v-for="(step, i) in worked.steps" :key="i">
          <td class="symbol">{{ step.symbol }}</td>
          <td>
            {{ step.meaning }}
            <div class="soft">{{ step.formula }}</div>
          </td>
          <td class="n">{{ value(step) }}</td>
        </tr>
      </tbody>
    </table>
    <h2 class="head">{{ t('worked.sources') }}</h2>
    <ul>
      <li v-for="source in worked.sources" :key="source.name">
        {{ source.name }} <span class="soft">({{ t(`worked.${source.kind}`) }})</span>
      </li>
    </ul>
  </Drawer>
</template>

<style scoped>
.symbol {
  font-style: italic;
  white-space: nowrap;
}
.n {
  font-weight: 600;
}
.head {
  margin-top: 18px;
}
ul {
  padding-left: 18px;
}
</style>
