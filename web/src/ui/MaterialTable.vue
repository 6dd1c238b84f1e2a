<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { useI18n } from 'vue-i18n'
import { amountText } from '@/app/length'
import { useState } from '@/app/state'

/** What is used up, and how much of it; what is not on the shelf is marked. */
defineProps<{ used: readonly Schemas['Consumable'][]; missing?: readonly string[] | undefined }>()
const { t } = useI18n()
const { lengths } = useState()
</script>

<template>
  <table class="figures">
    <tbody>
      <tr v-for="c in used" :key="c.material.id">
        <td>{{ c.material.name }}</td>
        <td class="n">
          {{ amountText(c.amount, c.material.unit, lengths, 0) }}
          <span v-if="c.packs" class="soft packs">{{ t('steps.packs', { n: c.packs }, c.packs) }}</span>
        </td>
        <td v-if="missing && missing.length > 0" class="missing">
          {{ missing.includes(c.material.name) ? t('stores.notThere') : '' }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.packs {
  display: block;
}
.missing {
  color: var(--rust-deep);
  font-weight: 600;
}
</style>
