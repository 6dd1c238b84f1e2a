<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'

/** The cover of a hole, and the ways to shut it in a hurry, quickest first. */
defineProps<{ cover: Schemas['CoverPlan'] }>()
const { t } = useI18n()
const { lengths } = useState()
</script>

<template>
  <p>
    {{
      t('days.coverSize', {
        l: lengthText(cover.lengthMm, lengths),
        w: lengthText(cover.widthMm, lengths),
        m: Math.round(cover.tapeMm / 100) / 10,
      })
    }}
  </p>
  <details v-for="w in cover.ways" :key="w.id">
    <summary>
      <b>{{ w.title }}</b> <span class="soft">{{ t('days.minutes', { n: w.minutes }) }}</span>
    </summary>
    <p>{{ w.do }}</p>
    <p class="soft">{{ w.materials.join(', ') }}</p>
  </details>
</template>

<style scoped>
b {
  font-weight: 600;
}
summary {
  min-height: 36px;
  padding: 8px 0;
  cursor: pointer;
}
</style>
