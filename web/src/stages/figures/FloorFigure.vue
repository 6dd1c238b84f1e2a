<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Ticks from '@/ui/Ticks.vue'
import Verdict from '@/ui/Verdict.vue'
import FigureSteps from './FigureSteps.vue'
import { useFigure } from './useFigure'

/** Battens and foam, bearers in one line, head room, and how much epoxy to mix at once. */
const { t } = useI18n()
const { lengths } = useState()
const furred = reactive({
  lengthMm: 4300,
  widthMm: 1660,
  battenMm: 38,
  mostSpacingMm: 457,
  closeFromMm: null as number | null,
  closeToMm: null as number | null,
  crossMm: null as number | null,
})
const furring = useFigure('furring', () => ({ floor: { ...furred }, lengths: lengths.value }))
const readings = ref([
  { atMm: 0, gapMm: 0 },
  { atMm: 600, gapMm: 2 },
  { atMm: 1200, gapMm: 0 },
])
const takeOff = ref(0)
const shims = useFigure('shims', () => ({ readings: readings.value, mayTakeOffMm: takeOff.value, lengths: lengths.value }))
const addReading = () =>
  (readings.value = [...readings.value, { atMm: Math.max(...readings.value.map((r) => r.atMm)) + 600, gapMm: 0 }])
const room = reactive({ bareMm: 1950, floorMm: 70, ceilingMm: 30, tallestMm: 1830 })
const headRoom = useFigure('head-room', () => ({ ...room, lengths: lengths.value }))
const epoxy = reactive({ airC: 23, potLifeMinutes: 30, mlPerMinute: 20, shallowTray: true })
const batch = useFigure('epoxy-batch', () => ({ epoxy: { ...epoxy } }))
const foam = computed(() => furring.answer.value?.result.foam ?? [])
</script>

<template>
  <div class="page">
    <h2>{{ t('figures.furring') }}</h2>
    <div class="form">
      <LengthInput v-model="furred.lengthMm" :bounds="bounds.FurredFloor.lengthMm" :label="t('figures.acrossBattens')" />
      <LengthInput v-model="furred.widthMm" :bounds="bounds.FurredFloor.widthMm" :label="t('figures.alongBattens')" />
      <LengthInput v-model="furred.battenMm" :bounds="bounds.FurredFloor.battenMm" :label="t('figures.battenWide')" />
      <LengthInput v-model="furred.mostSpacingMm" :bounds="bounds.FurredFloor.mostSpacingMm" :label="t('figures.mostSpacing')" />
      <LengthInput
        v-model="furred.closeFromMm"
        optional
        :bounds="bounds.FurredFloor.closeFromMm"
        :label="t('figures.closeFrom')"
      />
      <LengthInput v-model="furred.closeToMm" optional :bounds="bounds.FurredFloor.closeToMm" :label="t('figures.closeTo')" />
      <LengthInput v-model="furred.crossMm" optional :bounds="bounds.FurredFloor.crossMm" :label="t('figures.cross')" />
    </div>
    <Verdict :verdict="furring.answer.value?.result.verdict" :wrong="furring.wrong.value" data-testid="furring" />
    <table v-if="foam.length > 0" class="figures narrow">
      <tbody>
        <tr v-for="f in foam" :key="`${f.lengthMm} ${f.widthMm}`">
          <td>{{ t('figures.foamPieces', { n: f.count }) }}</td>
          <td class="n">{{ lengthText(f.lengthMm, lengths) }} × {{ lengthText(f.widthMm, lengths) }}</td>
        </tr>
      </tbody>
    </table>

    <h2>{{ t('figures.shims') }}</h2>
    <p class="soft">{{ t('figures.shimsMore') }}</p>
    <div class="form">
      <template v-for="(r, i) in readings" :key="i">
        <LengthInput v-model="r.atMm" :bounds="bounds.ShimReading.atMm" :label="t('figures.bearerAt', { n: i + 1 })" />
        <LengthInput v-model="r.gapMm" :bounds="bounds.ShimReading.gapMm" :label="t('figures.gapAt', { n: i + 1 })" />
      </template>
      <LengthInput v-model="takeOff" :bounds="bounds.ShimsInput.mayTakeOffMm" :label="t('figures.mayTakeOff')" />
    </div>
    <div class="row">
      <Action @click="addReading">{{ t('figures.addBearer') }}</Action>
      <Action v-if="readings.length > 2" look="plain" @click="readings = readings.slice(0, -1)">{{
        t('figures.dropBearer')
      }}</Action>
    </div>
    <Verdict :verdict="shims.answer.value?.result.verdict" :wrong="shims.wrong.value" data-testid="shims" />

    <h2>{{ t('figures.headRoom') }}</h2>
    <div class="form">
      <LengthInput v-model="room.bareMm" :bounds="bounds.HeadRoomInput.bareMm" :label="t('figures.bareHeight')" />
      <LengthInput v-model="room.tallestMm" :bounds="bounds.HeadRoomInput.tallestMm" :label="t('figures.tallest')" />
      <LengthInput v-model="room.floorMm" :bounds="bounds.HeadRoomInput.floorMm" :label="t('figures.floorThick')" />
      <LengthInput v-model="room.ceilingMm" :bounds="bounds.HeadRoomInput.ceilingMm" :label="t('figures.ceilingThick')" />
    </div>
    <Verdict
      :verdict="headRoom.answer.value?.result.verdict"
      :look="headRoom.answer.value?.result.isEnough === false"
      :wrong="headRoom.wrong.value"
      data-testid="head-room"
    />

    <h2>{{ t('figures.epoxy') }}</h2>
    <div class="form">
      <NumberInput
        v-model="epoxy.airC"
        :bounds="bounds.EpoxyQuestion.airC"
        :label="t('figures.airAndResin')"
        meter="temperatureC"
        required
      />
      <NumberInput
        v-model="epoxy.potLifeMinutes"
        :bounds="bounds.EpoxyQuestion.potLifeMinutes"
        :label="t('figures.sheetPotLife')"
        required
      />
      <NumberInput
        v-model="epoxy.mlPerMinute"
        :bounds="bounds.EpoxyQuestion.mlPerMinute"
        :label="t('figures.spreads')"
        required
      />
      <Ticks
        :of="epoxy"
        :choices="[{ key: 'shallowTray', text: t('figures.shallowTray') }]"
        @tick="(_, on) => (epoxy.shallowTray = on)"
      />
    </div>
    <Verdict
      :verdict="batch.answer.value?.result.verdict"
      :look="batch.answer.value?.result.batchMl === 0 || (batch.answer.value?.warnings.length ?? 0) > 1"
      :wrong="batch.wrong.value"
      data-testid="epoxy"
    />
    <p v-for="w in batch.answer.value?.warnings ?? []" :key="w" class="warn">{{ w }}</p>
  </div>
  <aside>
    <FigureSteps :title="t('figures.furring')" :worked="furring.answer.value" />
    <FigureSteps :title="t('figures.shims')" :worked="shims.answer.value" />
    <FigureSteps :title="t('figures.headRoom')" :worked="headRoom.answer.value" />
    <FigureSteps :title="t('figures.epoxy')" :worked="batch.answer.value" />
  </aside>
</template>

<style scoped>
.form,
.narrow,
.warn {
  max-width: 620px;
}
h2:not(:first-child) {
  margin-top: 18px;
}
</style>
