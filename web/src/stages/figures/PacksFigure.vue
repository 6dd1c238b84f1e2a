<script setup lang="ts">
import { reactive } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { enums } from '@/api/enums'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** Packs for what is needed, and blades for the cuts. */
const { t } = useI18n()
const typed = reactive({
  need: 1000,
  aim: 'leastLeft' as (typeof enums.PackAim)[number],
  sizes: [
    { holds: 290, price: null as number | null },
    { holds: 600 as number | null, price: null as number | null },
  ],
})
const packs = useFigure('packs', () => ({
  question: {
    need: typed.need,
    aim: typed.aim,
    sizes: typed.sizes.flatMap((s) => (s.holds === null ? [] : [{ holds: s.holds, price: s.price }])),
  },
}))
const cut = reactive({ material: 'mildSteel' as (typeof enums.SkinMaterial)[number], thickMm: 1, lengthMm: 6000 })
const blades = useFigure('blade-life', () => ({ question: { ...cut } }))
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('figures.packsMore') }}</p>
    <div class="form">
      <NumberInput v-model="typed.need" :bounds="bounds.PackQuestion.need" :label="t('figures.needed')" required />
      <Choice
        v-model="typed.aim"
        :label="t('figures.aim')"
        :options="enums.PackAim.map((value) => ({ value, text: t(`figures.aims.${value}`) }))"
      />
      <template v-for="(size, i) in typed.sizes" :key="i">
        <NumberInput
          v-model="size.holds"
          :bounds="bounds.PackSize.holds"
          :label="t('figures.packHolds', { n: i + 1 })"
          :required="i === 0"
        />
        <NumberInput v-model="size.price" :bounds="bounds.PackSize.price" :label="t('figures.packPrice')" />
      </template>
    </div>
    <Verdict :verdict="packs.answer.value?.result.verdict" :wrong="packs.wrong.value" data-testid="packs" />
    <h2>{{ t('figures.blades') }}</h2>
    <div class="form">
      <Choice
        v-model="cut.material"
        :label="t('stores.material')"
        :options="enums.SkinMaterial.map((value) => ({ value, text: t(`walkaround.materials.${value}`) }))"
      />
      <LengthInput v-model="cut.thickMm" :label="t('floor.thick')" />
      <LengthInput v-model="cut.lengthMm" :label="t('figures.allCuts')" />
    </div>
    <Verdict :verdict="blades.answer.value?.result.verdict" :wrong="blades.wrong.value" data-testid="blades" />
  </div>
  <aside>
    <FigureSteps :title="t('figures.packs')" :worked="packs.answer.value" />
    <FigureSteps :title="t('figures.blades')" :worked="blades.answer.value" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 620px;
}
</style>
