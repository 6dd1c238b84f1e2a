<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import Switch from '@/ui/Switch.vue'
import type { ViewedFrom } from './facing'

/** From which side a drawing shows its panel. */
const from = defineModel<ViewedFrom>({ required: true })
const { t } = useI18n()
</script>

<template>
  <Switch
    v-model="from"
    :choices="[
      { key: 'outside', text: t('app.outside') },
      { key: 'inside', text: t('app.inside') },
    ]"
  />
</template>
