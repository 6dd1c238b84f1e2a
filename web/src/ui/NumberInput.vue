<script setup lang="ts" generic="T extends number | null">
import Explained from './Explained.vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Bounds } from '@/api/bounds'
import type { MeterField } from '@/app/meter'
import MeterKey from './MeterKey.vue'
import { outside } from '@/app/outside'

/** A plain number, such as a moisture or a mass; a decimal comma is read. Empty is not known. */
const props = defineProps<{ label: string; meter?: MeterField; required?: boolean; bounds?: Bounds }>()
// With `required` nothing empty ever goes out.
const value = defineModel<T>({ required: true })
const { t } = useI18n()
const shown = (n: number | null) => (n === null ? '' : String(n))
const text = ref(shown(value.value))
const isNumber = ref(true)
const typed = ref(value.value as number | null)
const out = computed(() =>
  outside(typed.value, props.bounds, (n) => `${n} ${props.bounds!.unit === 'C' ? '°C' : props.bounds!.unit}`.trim()),
)
const wrong = computed(() => !isNumber.value || out.value !== null)
watch(value, (n) => {
  if (wrong.value) return
  typed.value = n
  if (Number(text.value.replace(',', '.')) !== n) text.value = shown(n)
})
function read() {
  const plain = text.value.trim().replace(',', '.')
  const number = plain === '' ? null : Number(plain)
  isNumber.value = number === null ? props.required !== true : Number.isFinite(number)
  typed.value = isNumber.value ? number : null
  if (!wrong.value) value.value = number as T
}
</script>

<template>
  <label class="named">
    <span><Explained :text="label" within /></span>
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
    <span v-if="wrong" class="wrong" role="alert">{{ out ? t('app.outOfRange', out) : t('app.notANumber') }}</span>
  </label>
</template>
