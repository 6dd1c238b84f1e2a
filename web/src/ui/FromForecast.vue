<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { useStrip } from '@/app/useStrip'

/** Takes the air of this hour out of the vehicle's forecast instead of having it typed; not there without a forecast. */
const emit = defineEmits<{ take: [present: Schemas['PresentAir']] }>()
const { t } = useI18n()
const { strip } = useStrip()
</script>

<template>
  <button v-if="strip?.present" class="btn" type="button" @click="emit('take', strip.present)">
    {{ t('strip.takeAir', { c: strip.present.air.airC, p: strip.present.air.relativePercent }) }}
  </button>
</template>
