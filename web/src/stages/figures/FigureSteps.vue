<script setup lang="ts">
import WorkedSteps, { type Worked } from '@/ui/WorkedSteps.vue'

/** How a quick figure was worked out, in the margin; nothing until there is one. */
defineProps<{ title: string; worked: Worked | null }>()
</script>

<template>
  <div v-if="worked" class="card">
    <h2>{{ title }}</h2>
    <WorkedSteps :title="title" :worked="worked" />
  </div>
</template>
