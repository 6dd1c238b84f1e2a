<script setup lang="ts" generic="T extends string">
import { nextTick, ref } from 'vue'

/** A row of choices of which one holds, such as outside and inside, or the tabs beside a drawing, where arrow keys go from one to the next. */
const props = defineProps<{ choices: readonly { key: T; text: string; disabled?: boolean }[]; tabs?: boolean; label?: string }>()
const chosen = defineModel<T>({ required: true })
const row = ref<HTMLElement | null>(null)

function step(event: KeyboardEvent) {
  const by = { ArrowRight: 1, ArrowLeft: -1, Home: -Infinity, End: Infinity }[event.key]
  // A row that is no row of tabs leaves the arrows to the drawing beside it.
  if (!props.tabs || by === undefined || event.altKey) return
  event.preventDefault()
  event.stopPropagation()
  const open = props.choices.filter((c) => !c.disabled)
  const at = open.findIndex((c) => c.key === chosen.value)
  const to = Number.isFinite(by) ? (at + by + open.length) % open.length : by > 0 ? open.length - 1 : 0
  chosen.value = open[to]!.key
  void nextTick(() => row.value?.querySelector<HTMLElement>('.on')?.focus())
}
/** One stop for Tab: the one that holds, or the first where none does. */
const reached = (key: T, i: number) => chosen.value === key || (i === 0 && !props.choices.some((c) => c.key === chosen.value))
</script>

<template>
  <div ref="row" class="tabs" :role="tabs ? 'tablist' : 'group'" :aria-label="label" @keydown="step">
    <button
      v-for="(c, i) in choices"
      :key="c.key"
      type="button"
      :role="tabs ? 'tab' : undefined"
      :class="{ on: chosen === c.key }"
      :aria-selected="tabs ? chosen === c.key : undefined"
      :aria-pressed="tabs ? undefined : chosen === c.key"
      :tabindex="!tabs || reached(c.key, i) ? 0 : -1"
      :disabled="c.disabled"
      @click="chosen = c.key"
    >
      {{ c.text }}
    </button>
  </div>
</template>
