<script setup lang="ts">
import { Button } from 'ant-design-vue'

/** A button. One of a screen is the main thing to do on it; a plain one stands among text. */
defineProps<{ look?: 'main' | 'plain'; submit?: boolean; disabled?: boolean; busy?: boolean }>()
</script>

<template>
  <Button
    class="action"
    :type="look === 'main' ? 'primary' : look === 'plain' ? 'text' : 'default'"
    :html-type="submit ? 'submit' : 'button'"
    :disabled="disabled"
    :loading="busy"
  >
    <slot />
  </Button>
</template>
