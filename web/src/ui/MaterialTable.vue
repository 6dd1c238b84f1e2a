<script setup lang="ts">
import type { Schemas } from '@/api/client'
import { amountText } from '@/app/length'
import { useState } from '@/app/state'

/** What is used up, and how much of it. */
defineProps<{ used: readonly Schemas['Consumable'][] }>()
const { lengths } = useState()
</script>

<template>
  <table class="figures">
    <tbody>
      <tr v-for="c in used" :key="c.material.id">
        <td>{{ c.material.name }}</td>
        <td class="n">{{ amountText(c.amount, c.material.unit, lengths, 0) }}</td>
      </tr>
    </tbody>
  </table>
</template>
