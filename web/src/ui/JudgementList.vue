<script setup lang="ts">
import Explained from './Explained.vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { amountText } from '@/app/length'
import { useState } from '@/app/state'
import StateMark from './StateMark.vue'

/** What each rule says, with what it measured; a row under the finger or the focus may be shown in a drawing. */
defineProps<{ rows: readonly Schemas['Judgement'][] }>()
const emit = defineEmits<{ show: [row: Schemas['Judgement'] | null] }>()
const { t } = useI18n()
const { lengths } = useState()
const value = (row: Schemas['Judgement'], figure: number | null) =>
  figure === null ? '' : amountText(figure, row.unit, lengths.value)
</script>

<template>
  <div class="rows">
    <button
      v-for="row in rows"
      :key="row.id"
      class="verdict-row"
      type="button"
      :data-rule="row.id"
      @mouseenter="emit('show', row)"
      @mouseleave="emit('show', null)"
      @focus="emit('show', row)"
      @blur="emit('show', null)"
      @click="emit('show', row)"
    >
      <StateMark :state="row.state" />
      <span>
        <b><Explained :text="row.title" within /></b>
        <small><Explained :text="row.why" within /></small>
        <small v-if="row.remedy" class="remedy"><Explained :text="row.remedy" within /></small>
      </span>
      <span class="figure">
        {{ value(row, row.measured) }}
        <small v-if="row.required !== null && row.state !== 'good'">{{
          t('openings.measured', { required: value(row, row.required) })
        }}</small>
      </span>
    </button>
  </div>
</template>
