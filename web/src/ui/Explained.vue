<script setup lang="ts">
import { Tooltip } from 'ant-design-vue'
import { computed } from 'vue'
import { glossary } from '@/app/texts/glossary'
import { partsOf } from './explained'

/** A text in which the words of the trade tell what they mean: under the pointer, by a tap, or with Tab. */
const props = defineProps<{
  text: string
  /** It stands in a label or a button, whose own Tab stop it must not break up. */
  within?: boolean
}>()
const parts = computed(() => partsOf(props.text))
</script>

<template>
  <template v-for="(part, i) in parts" :key="i">
    <Tooltip v-if="part.word" :title="glossary[part.word]" :trigger="within ? ['hover'] : ['hover', 'focus', 'click']">
      <span class="word" :tabindex="within ? undefined : 0">{{ part.text }}</span>
    </Tooltip>
    <template v-else>{{ part.text }}</template>
  </template>
</template>

<style scoped>
.word {
  text-decoration: underline dotted var(--edge-strong);
  text-underline-offset: 3px;
  cursor: help;
}
</style>
