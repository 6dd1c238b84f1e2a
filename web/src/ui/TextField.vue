<script setup lang="ts">
import Explained from './Explained.vue'
import { Input, Textarea } from 'ant-design-vue'
import { useId } from 'vue'

/** A name or a note, with its label. */
defineProps<{ label: string; most: number; lines?: boolean }>()
const text = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div class="named">
    <label :for="id"><Explained :text="label" within /></label>
    <Textarea v-if="lines" :id="id" v-model:value="text" :maxlength="most" :auto-size="{ minRows: 2, maxRows: 8 }" />
    <Input v-else :id="id" v-model:value="text" :maxlength="most" autocomplete="off" />
  </div>
</template>
