<script setup lang="ts">
import type { Point } from '@/api/client'
import type { Viewport } from '@/drawing/viewport'

/** Linings where they lie on their panel, to be opened with a tap. */
defineProps<{
  view: Viewport
  linings: readonly { id: string; name: string; outline: readonly Point[]; state: string }[]
  /** Where boards meet. */
  joints?: readonly (readonly Point[])[]
  /** Whether they are only looked at. */
  still?: boolean
}>()
const emit = defineEmits<{ open: [id: string] }>()
</script>

<template>
  <path
    v-for="l in linings"
    :key="l.id"
    class="lining"
    :class="[l.state, { still }]"
    :d="view.path(l.outline)"
    :role="still ? undefined : 'button'"
    :tabindex="still ? undefined : 0"
    :aria-label="still ? undefined : l.name"
    @click.stop="emit('open', l.id)"
    @keydown.enter="emit('open', l.id)"
  >
    <title>{{ l.name }}</title>
  </path>
  <path v-for="(j, i) in joints ?? []" :key="`j${i}`" class="joint" :d="view.path(j).slice(0, -1)" />
</template>

<style scoped>
.lining {
  fill: color-mix(in srgb, var(--amber) 22%, transparent);
  stroke: var(--amber);
  stroke-width: 2;
  cursor: pointer;
}
.lining.cut {
  stroke-dasharray: 9 4;
}
.lining.fixed {
  fill: color-mix(in srgb, var(--teal) 14%, transparent);
  stroke: var(--teal);
}
.joint {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  pointer-events: none;
}
.lining.still {
  pointer-events: none;
}
</style>
