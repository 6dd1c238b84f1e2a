<script setup lang="ts" generic="T extends string | number | boolean | null">
import Explained from './Explained.vue'
import { Select } from 'ant-design-vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, useId, watch } from 'vue'

/** One of several, with its label; many can be searched by typing. */
const props = defineProps<{
  label: string
  options: readonly { value: T; text: string }[]
  disabled?: boolean
  hideLabel?: boolean
}>()
const chosen = defineModel<T>({ required: true })
const id = useId()
/** A phone's own list fills the screen and is reached with a thumb; the library's would be as small as the field. */
const native = useMediaQuery('(max-width: 560px) and (pointer: coarse)')
/** From how many on one would rather type than read them all. */
const many = 8
// The library knows no truth values and no null: it is told the place in the list.
const place = computed(() => {
  const i = props.options.findIndex((o) => o.value === chosen.value)
  return i < 0 ? undefined : i
})
const shown = computed(() => props.options.map((o, i) => ({ value: i, label: o.text })))
const choose = (i: unknown) => (chosen.value = props.options[Number(i)]!.value)

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
watch(native, () => tell(false))
</script>

<template>
  <div ref="root" class="named">
    <label :for="id" :class="{ hidden: hideLabel }"><Explained :text="label" within /></label>
    <select
      v-if="native"
      :id="id"
      class="field"
      :value="place"
      :disabled="disabled"
      @change="choose(($event.target as HTMLSelectElement).value)"
    >
      <option v-for="(o, i) in options" :key="i" :value="i">{{ o.text }}</option>
    </select>
    <Select
      v-else
      :id="id"
      :value="place as number"
      :options="shown"
      :disabled="disabled"
      :show-search="options.length > many"
      option-filter-prop="label"
      :list-height="320"
      @dropdown-visible-change="tell"
      @update:value="choose"
    />
  </div>
</template>
