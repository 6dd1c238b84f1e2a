<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { type Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import NumberInput from '@/ui/NumberInput.vue'
import { useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import Verdict from '@/ui/Verdict.vue'
import { useFigure } from '@/stages/figures/useFigure'
import { useAir } from './useAir'

/** How much of a product a joint takes, and whether it is laid before it skins. */
const props = defineProps<{
  product: Schemas['Product']
  pathMm: number
  landMm: number | null
  squeezedMm: number | null
  unbroken: boolean
  /** Notch and pace to begin with; a usual nozzle where nobody says. */
  laid?: { baseMm: number; heightMm: number; pace: number }
}>()
const { t } = useI18n()
const { lengths } = useState()
const air = useAir()
const L = (mm: number) => lengthText(mm, lengths.value)
const notch = reactive<{ baseMm: number | null; heightMm: number | null; pace: number | null }>(
  props.laid ? { ...props.laid } : { baseMm: 10, heightMm: 12, pace: 600 },
)
/** A joint that is not squeezed is filled to its own section. */
watch(
  () => props.squeezedMm,
  (mm) => {
    if (mm === null) [notch.baseMm, notch.heightMm] = [6, 6]
  },
  { immediate: true },
)
const open = useFigure('open-time', () =>
  props.product.setting === 'moisture'
    ? {
        product: props.product,
        air: { airC: air.air.dayC, relativePercent: air.air.dayPercent },
        layMinutes: notch.pace ? props.pathMm / notch.pace : null,
      }
    : null,
)
const bead = useFigure('bead', () => {
  const { baseMm, heightMm, pace } = notch
  if (baseMm === null || heightMm === null || pace === null || props.product.packMl === 0) return null
  return {
    bead: {
      pathMm: props.pathMm,
      notchBaseMm: baseMm,
      notchHeightMm: heightMm,
      squeezedMm: props.squeezedMm,
      landMm: props.landMm,
      cartridgeMl: props.product.packMl,
      wastePercent: 10,
      layMmPerMinute: pace,
      openMinutes: Math.max(0.5, Math.min(1440, open.answer.value?.result.minutes ?? 1440)),
      unbroken: props.unbroken,
    },
    lengths: lengths.value,
  }
})
const plan = computed(() => bead.answer.value?.result)
defineExpose({ notch })
</script>

<template>
  <div class="card" data-testid="bead">
    <h2>{{ t('sealing.howMuch') }}</h2>
    <p v-if="product.packMl === 0">{{ L(pathMm) }}</p>
    <template v-else>
      <div class="form three">
        <LengthInput v-model="notch.baseMm" :bounds="bounds.BeadInput.notchBaseMm" :label="t('bond.base')" />
        <LengthInput v-model="notch.heightMm" :bounds="bounds.BeadInput.notchHeightMm" :label="t('bond.height')" />
        <NumberInput v-model="notch.pace" :bounds="bounds.BeadInput.layMmPerMinute" :label="t('bond.pace')" />
      </div>
      <Verdict :verdict="plan?.verdict" :look="plan ? !plan.inTime || plan.changes > 0 : false" :wrong="bead.wrong.value" />
      <table v-if="plan" class="figures">
        <tbody>
          <tr>
            <td>{{ t('bond.path') }}</td>
            <td class="n">{{ L(pathMm) }}</td>
          </tr>
          <tr>
            <td>{{ t('bond.volume') }}</td>
            <td class="n">
              <b>{{ Math.round(plan.boughtMl) }} ml</b>, {{ t('bond.cartridges', plan.cartridges) }}
            </td>
          </tr>
          <tr v-if="plan.squeezedWidthMm !== null && landMm !== null">
            <td>{{ t('bond.squeezed', { land: L(landMm) }) }}</td>
            <td class="n">{{ L(plan.squeezedWidthMm) }}</td>
          </tr>
          <tr>
            <td>{{ t('bond.lay') }}</td>
            <td class="n">{{ t('bond.minutes', { n: Math.round(plan.layMinutes * 10) / 10 }) }}</td>
          </tr>
          <tr v-if="open.answer.value">
            <td>{{ t('bond.skins') }}</td>
            <td class="n">{{ t('bond.minutes', { n: Math.round(open.answer.value.result.minutes) }) }}</td>
          </tr>
        </tbody>
      </table>
      <WorkedSteps :title="t('sealing.howMuch')" :worked="bead.answer.value" />
    </template>
  </div>
</template>

<style scoped>
.three {
  grid-template-columns: 1fr 1fr 1fr;
}
</style>
