<script setup lang="ts" generic="T extends string">
import { nextTick, ref } from 'vue'

/** One of several, chosen by its picture: big enough for a thumb in a glove. Arrow keys go from one to the next. */
const props = defineProps<{ label: string; options: readonly { value: T; text: string }[]; disabled?: boolean }>()
const chosen = defineModel<T | null>({ required: true })
defineSlots<{ default(props: { value: T }): unknown }>()
const group = ref<HTMLElement | null>(null)

function step(event: KeyboardEvent) {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
  if (!by) return
  event.preventDefault()
  event.stopPropagation()
  const at = props.options.findIndex((o) => o.value === chosen.value)
  chosen.value = props.options.at((at + by) % props.options.length)!.value
  void nextTick(() => group.value?.querySelector<HTMLElement>('[aria-checked=true]')?.focus())
}
const reached = (value: T, i: number) =>
  chosen.value === value || (i === 0 && !props.options.some((o) => o.value === chosen.value))
</script>

<template>
  <div ref="group" class="tiles" role="radiogroup" :aria-label="label" @keydown="step">
    <button
      v-for="(o, i) in options"
      :key="o.value"
      type="button"
      role="radio"
      :aria-checked="chosen === o.value"
      :tabindex="reached(o.value, i) ? 0 : -1"
      :disabled="disabled"
      @click="chosen = o.value"
    >
      <slot :value="o.value" />
      <span>{{ o.text }}</span>
    </button>
  </div>
</template>

<style scoped>
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(72px, 1fr));
  gap: 4px;
}
button {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-start;
  gap: 3px;
  min-height: 72px;
  padding: 6px 2px 4px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  font: 500 12.5px/1.15 'Source Sans 3';
  cursor: pointer;
}
button:hover:enabled {
  border-color: var(--edge-strong);
}
button[aria-checked='true'] {
  border-color: var(--ink);
  background: var(--white);
  box-shadow: inset 0 0 0 1.5px var(--ink);
  font-weight: 600;
}
button:disabled {
  cursor: default;
}
</style>
