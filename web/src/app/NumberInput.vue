<script setup lang="ts" generic="T extends number | null">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { MeterField } from './meter'
import MeterKey from './MeterKey.vue'

/** A plain number, such as a moisture or a mass; a decimal comma is read. Empty is not known. */
const props = defineProps<{ label: string; meter?: MeterField; required?: boolean }>()
// With `required` nothing empty ever goes out.
const value = defineModel<T>({ required: true })
const { t } = useI18n()
const shown = (n: number | null) => (n === null ? '' : String(n))
const text = ref(shown(value.value))
const wrong = ref(false)
watch(value, (n) => {
  if (!wrong.value && Number(text.value.replace(',', '.')) !== n) text.value = shown(n)
})
function read() {
  const typed = text.value.trim().replace(',', '.')
  const number = typed === '' ? null : Number(typed)
  wrong.value = (number !== null && !Number.isFinite(number)) || (number === null && props.required === true)
  if (!wrong.value) value.value = number as T
}
</script>

<template>
  <label class="named">
    <span>{{ label }}</span>
    <span class="metered">
      <input
        v-model="text"
        class="field"
        inputmode="decimal"
        autocomplete="off"
        :data-meter="meter"
        :aria-invalid="wrong"
        @input="read"
      />
      <MeterKey v-if="meter" />
    </span>
    <span v-if="wrong" class="wrong" role="alert">{{ t('app.notANumber') }}</span>
  </label>
</template>
