<script setup lang="ts" generic="T extends number | null">
import Explained from './Explained.vue'
import { useDebounceFn } from '@vueuse/core'
import { computed, inject, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Bounds } from '@/api/bounds'
import { ApiProblem } from '@/api/client'
import { lengthText } from '@/app/length'
import MeterKey from './MeterKey.vue'
import { outside } from '@/app/outside'
import { parseLength } from '@/app/parseLength'
import { formLengths, useState } from '@/app/state'

/** A length as people type it; the server reads it, and what it understood stands below in the other unit. */
const props = defineProps<{ label: string; optional?: boolean; hideLabel?: boolean; bounds?: Bounds }>()
// Without `optional` nothing empty ever goes out, so that a figure that must be there stays a number.
const mm = defineModel<T>({ required: true })
const { t } = useI18n()
const lengths = inject(formLengths, useState().lengths)
const shown = (value: number | null) => (value === null ? '' : lengthText(value, lengths.value))
const text = ref(shown(mm.value))
const wrong = ref('')
const typing = ref(false)
let asked = 0

watch([mm, lengths], () => {
  if (!typing.value) text.value = shown(mm.value)
})

/** Reads the text; says whether it was understood. What was typed on meanwhile is left to the reading after it. */
async function read(): Promise<boolean> {
  const own = ++asked
  if (text.value.trim() === '') {
    wrong.value = props.optional ? '' : t('length.unreadable')
    if (props.optional) mm.value = null as T
    return wrong.value === ''
  }
  // Untouched text keeps the full figure behind the rounded one.
  if (text.value === shown(mm.value)) {
    wrong.value = ''
    return true
  }
  try {
    const value = await parseLength(text.value, lengths.value)
    if (own !== asked) return false
    const out = outside(value, props.bounds, (n) => lengthText(n, lengths.value))
    if (out) {
      wrong.value = t('app.outOfRange', out)
      return false
    }
    mm.value = value as T
    // Only now: clearing it on the way would move the button that is just being pressed.
    wrong.value = ''
    return true
  } catch (e) {
    if (own === asked) wrong.value = e instanceof ApiProblem && e.status !== 0 ? e.message : t('app.offline')
    return false
  }
}
const readSoon = useDebounceFn(() => typing.value && read(), 250)

async function done() {
  typing.value = false
  if ((await read()) && !typing.value) text.value = shown(mm.value)
}

const other = computed(() =>
  mm.value === null || wrong.value
    ? ''
    : lengthText(mm.value, { ...lengths.value, units: lengths.value.units === 'mm' ? 'inch' : 'mm' }),
)
</script>

<template>
  <label class="named">
    <span :class="{ hidden: hideLabel }"><Explained :text="label" within /></span>
    <span class="metered">
      <input
        v-model="text"
        class="field"
        inputmode="text"
        autocomplete="off"
        data-meter="distanceMm"
        :placeholder="t(`length.example.${lengths.units ?? 'mm'}`)"
        :aria-invalid="wrong !== ''"
        @input="
          () => {
            typing = true
            readSoon()
          }
        "
        @change="done"
        @keydown.enter="done"
      />
      <MeterKey />
    </span>
    <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
    <span v-else class="soft other">{{ other }}&nbsp;</span>
  </label>
</template>

<style scoped>
.other {
  font-weight: 400;
  font-size: 12.5px;
  line-height: 1;
}
.hidden {
  position: absolute;
  clip-path: inset(50%);
}
</style>
