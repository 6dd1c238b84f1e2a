<script setup lang="ts" generic="T extends string">
import { Select } from 'ant-design-vue'
import { computed, useId } from 'vue'

/** One of several, with its label; many can be searched by typing. */
const props = defineProps<{ label: string; options: readonly { value: T; text: string }[]; disabled?: boolean }>()
const chosen = defineModel<T>({ required: true })
const id = useId()
/** From how many on one would rather type than read them all. */
const many = 8
const shown = computed(() => props.options.map((o) => ({ value: o.value as string, label: o.text })))
</script>

<template>
  <div class="named">
    <label :for="id">{{ label }}</label>
    <Select
      :id="id"
      :value="chosen as string"
      :options="shown"
      :disabled="disabled"
      :show-search="options.length > many"
      option-filter-prop="label"
      :list-height="320"
      @update:value="(value) => (chosen = value as T)"
    />
  </div>
</template>
