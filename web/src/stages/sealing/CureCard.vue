<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { type Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import Switch from '@/ui/Switch.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import Verdict from '@/ui/Verdict.vue'
import { useFigure } from '@/stages/figures/useFigure'
import AirInputs from './AirInputs.vue'
import { airBy, useAir } from './useAir'

/** How long a bead takes to each state in the air that was typed, drawn as a bar of days. */
const props = defineProps<{ product: Schemas['Product']; widthMm: number; openFaces?: 1 | 2 }>()
const { t } = useI18n()
const air = useAir()
const faces = ref<'1' | '2'>(props.openFaces === 2 ? '2' : '1')
const width = ref<number | null>(props.widthMm)
const cure = useFigure('cure', () =>
  width.value === null || props.product.setting === 'twoPart'
    ? null
    : { product: props.product, widthMm: width.value, openFaces: Number(faces.value), weather: air.hours },
)
const states = computed(() => cure.answer.value?.result.states ?? [])
const longest = computed(() => Math.max(24, ...states.value.map((s) => s.hours ?? 0)) * 1.05)
const span = (h: number | null) =>
  h === null
    ? t('sealing.notWithin')
    : h < 48
      ? t('sealing.hours', { n: Math.round(h * 10) / 10 })
      : t('sealing.days', { n: Math.round(h / 2.4) / 10 })
</script>

<template>
  <div class="card" data-testid="cure">
    <h2>{{ t('sealing.howLong') }}</h2>
    <AirInputs />
    <div class="form two">
      <LengthInput v-model="width" :bounds="bounds.CureInput.widthMm" :label="t('sealing.width')" />
      <div class="named">
        <span>{{ t('sealing.faces') }}</span>
        <Switch
          v-model="faces"
          :choices="[
            { key: '1', text: '1' },
            { key: '2', text: '2' },
          ]"
          :label="t('sealing.faces')"
        />
      </div>
    </div>
    <Verdict
      :verdict="cure.answer.value?.result.verdict"
      :look="states.some((s) => s.hours === null)"
      :wrong="cure.wrong.value"
    />
    <p
      v-for="w in (cure.answer.value?.warnings ?? []).filter((w) => w !== cure.answer.value!.result.verdict)"
      :key="w"
      class="warn"
    >
      {{ w }}
    </p>
    <table v-if="states.length > 0" class="figures">
      <tbody>
        <tr v-for="s in states" :key="s.state">
          <td>{{ t(`sealing.state.${s.state}`) }}</td>
          <td class="bar"><i v-if="s.hours !== null" :style="{ width: `${Math.max(2, (100 * s.hours) / longest)}%` }" /></td>
          <td class="n">{{ span(s.hours) }}</td>
        </tr>
      </tbody>
    </table>
    <WorkedSteps :title="t('sealing.howLong')" :worked="cure.answer.value" />
    <p v-if="airBy !== 'forecast'" class="soft">{{ t('sealing.airMore') }}</p>
  </div>
</template>

<style scoped>
.two {
  grid-template-columns: 1fr 1fr;
}
.bar {
  width: 40%;
}
.bar i {
  display: block;
  height: 10px;
  margin-top: 4px;
  background: var(--teal);
}
</style>
