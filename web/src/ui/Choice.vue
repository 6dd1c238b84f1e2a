<script setup lang="ts" generic="T extends string">
import { Select } from 'ant-design-vue'
import { computed, nextTick, onMounted, ref, useId } from 'vue'

/** One of several, with its label; many can be searched by typing. */
const props = defineProps<{
  label: string
  options: readonly { value: T; text: string }[]
  disabled?: boolean
  hideLabel?: boolean
}>()
const chosen = defineModel<T>({ required: true })
const id = useId()
/** From how many on one would rather type than read them all. */
const many = 8
const shown = computed(() => props.options.map((o) => ({ value: o.value as string, label: o.text })))

/** The library leaves out whether its list is open, and points at one that is not there while it is shut. */
const root = ref<HTMLElement | null>(null)
async function tell(open: boolean) {
  await nextTick()
  const input = root.value?.querySelector('[role=combobox]')
  input?.setAttribute('aria-expanded', String(open))
  for (const name of ['aria-controls', 'aria-owns'])
    if (open) input?.setAttribute(name, `${id}_list`)
    else input?.removeAttribute(name)
  if (!open) input?.removeAttribute('aria-activedescendant')
}
onMounted(() => tell(false))
</script>

<template>
  <div ref="root" class="named">
    <label :for="id" :class="{ hidden: hideLabel }">{{ label }}</label>
    <Select
      :id="id"
      :value="chosen as string"
      :options="shown"
      :disabled="disabled"
      :show-search="options.length > many"
      option-filter-prop="label"
      :list-height="320"
      @dropdown-visible-change="tell"
      @update:value="(value) => (chosen = value as T)"
    />
  </div>
</template>

<style scoped>
.hidden {
  position: absolute;
  clip-path: inset(50%);
}
</style>
