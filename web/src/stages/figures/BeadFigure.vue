<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { computed, reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { enums } from '@/api/enums'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import { useState } from '@/app/state'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import Choice from '@/ui/Choice.vue'
import { useFigure } from './useFigure'

/** How much sealant a bead takes, in how many cartridges and minutes; how thick a bond has to be. */
const { t } = useI18n()
const { lengths } = useState()
const bead = reactive({
  pathMm: 2662.65,
  notchBaseMm: 10,
  notchHeightMm: 12,
  squeezedMm: 4 as number | null,
  landMm: 14 as number | null,
  cartridgeMl: 290,
  wastePercent: 10,
  layMmPerMinute: 600,
  openMinutes: 8,
  unbroken: true,
})
const laid = useFigure('bead', () => ({ bead: { ...bead }, lengths: lengths.value }))
const parts = enums.Part
type Part = (typeof parts)[number]
const bond = reactive({
  first: 'acrylic' as Part,
  second: 'steel' as Part,
  lengthMm: 1092 as number | null,
  spanK: 50 as number | null,
})
const line = useFigure('bond-thickness', () =>
  bond.lengthMm === null || bond.spanK === null ? null : { ...bond, lengthMm: bond.lengthMm, spanK: bond.spanK, strain: 0.5 },
)
const plan = computed(() => laid.answer.value?.result)
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.bead') }}</h2>
    <div class="form">
      <LengthInput v-model="bead.pathMm" :label="t('figures.path')" />
      <LengthInput v-model="bead.notchBaseMm" :label="t('figures.notchBase')" />
      <LengthInput v-model="bead.notchHeightMm" :label="t('figures.notchHeight')" />
      <LengthInput v-model="bead.squeezedMm" :label="t('figures.squeezed')" optional />
      <LengthInput v-model="bead.landMm" :label="t('figures.land')" optional />
      <NumberInput v-model="bead.cartridgeMl" required :label="t('figures.cartridge')" />
      <NumberInput v-model="bead.wastePercent" required :label="t('figures.waste')" />
      <NumberInput v-model="bead.layMmPerMinute" required :label="t('figures.pace')" />
      <NumberInput v-model="bead.openMinutes" required :label="t('figures.openTime')" />
      <Checkbox v-model:checked="bead.unbroken" class="wide">{{ t('figures.unbroken') }}</Checkbox>
    </div>
    <Verdict
      :verdict="
        plan &&
        `${t('figures.beadIs', { ml: plan.volumeMl.toFixed(1), n: plan.cartridges, min: plan.layMinutes.toFixed(1) })} ${plan.verdict}`
      "
      :look="plan && (!plan.inTime || plan.changes > 0)"
      :wrong="laid.wrong.value"
      data-testid="bead"
    />
    <h2>{{ t('figures.bond') }}</h2>
    <div class="form">
      <Choice
        v-for="which in ['first', 'second'] as const"
        :key="which"
        v-model="bond[which]"
        :label="t(`figures.${which}`)"
        :options="parts.map((m) => ({ value: m, text: t(`figures.materials.${m}`) }))"
      />
      <LengthInput v-model="bond.lengthMm" :label="t('figures.longest')" />
      <NumberInput v-model="bond.spanK" :label="t('figures.span')" />
    </div>
    <Verdict
      :verdict="
        line.answer.value
          ? t('figures.bondIs', {
              move: line.answer.value.result.movementMm.toFixed(2),
              thick: line.answer.value.result.leastMm.toFixed(1),
            })
          : undefined
      "
      :wrong="line.wrong.value"
      data-testid="bond"
    />
  </div>
  <aside>
    <FigureSteps :title="t('figures.bead')" :worked="laid.answer.value" />
    <FigureSteps :title="t('figures.bond')" :worked="line.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
h2:not(:first-child) {
  margin-top: 18px;
}
</style>
