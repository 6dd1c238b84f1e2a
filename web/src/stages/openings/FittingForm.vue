<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fitting } from '@/api/client'
import { enums } from '@/api/enums'
import { copyOf } from '@/app/copy'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import HalvesFields from './HalvesFields.vue'
import TextField from '@/ui/TextField.vue'
import Choice from '@/ui/Choice.vue'
import FittingPlan from './FittingPlan.vue'
import FittingSection from './FittingSection.vue'

/** A fitting of the catalogue, in the order of the sheet that comes with the part: what it is, its sizes, how it sits, how it is held, what it does. */
const fitting = defineModel<Fitting>({ required: true })
// Only a flue has a mouth: what was typed for one goes when the kind changes.
watch(
  () => fitting.value.kind,
  (kind) => {
    if (kind !== 'flue') fitting.value.mouthMm = null
  },
)
const props = defineProps<{
  /** Whether it is being added: then another kind brings the parts of that kind. */
  fresh?: boolean
  typical: readonly Fitting[]
}>()
const { t } = useI18n()
const kinds = enums.FittingKind
const perSides = ['clearance', 'sweep'] as const
const sides = enums.Side

/** A new fitting of another kind starts from what that kind usually has; what it is called stays. */
function setKind(kind: Fitting['kind']) {
  const usual = props.fresh && props.typical.find((f) => f.kind === kind)
  fitting.value = usual ? { ...copyOf(usual), name: fitting.value.name } : { ...fitting.value, kind }
}
const setClamp = (on: boolean) => (fitting.value.clamp = on ? { leastMm: 25, mostMm: 60 } : null)
function setHalves(on: boolean) {
  fitting.value.halves = on
    ? { gapMm: 60, lugs: 8, gasketMm: 8, screws: [{ lengthMm: 35, fromMm: 25, toMm: 60 }], innerFrame: null }
    : null
}
const setScrews = (on: boolean) =>
  (fitting.value.screws = on ? { alongWidth: 5, alongHeight: 3, insetMm: 12, pilotMm: 2.5 } : null)
</script>

<template>
  <div class="parts">
    <section class="card">
      <h2>{{ t('fittings.what') }}</h2>
      <div class="form">
        <TextField v-model="fitting.name" class="wide" :label="t('app.name')" :most="80" />
        <Choice
          :model-value="fitting.kind"
          class="kind"
          :label="t('app.kind')"
          :options="kinds.map((kind) => ({ value: kind, text: t(`fittings.kinds.${kind}`) }))"
          @update:model-value="(value) => setKind(value)"
        />
        <NumberInput v-model="fitting.massKg" :label="t('fittings.mass')" required />
        <Choice
          :model-value="fitting.hingeSide ?? ''"
          :label="t('fittings.hinge')"
          :options="[
            { value: '', text: t('fittings.noHinge') },
            ...sides.map((side) => ({ value: side, text: t(`fittings.${side}`) })),
          ]"
          @update:model-value="(value) => (fitting.hingeSide = (value || null) as Fitting['hingeSide'])"
        />
      </div>
    </section>
    <section class="card">
      <h2>{{ t('fittings.works') }}</h2>
      <Checkbox v-model:checked="fitting.vibrates">{{ t('fittings.vibrates') }}</Checkbox>
      <Checkbox v-model:checked="fitting.needsPower">{{ t('fittings.power') }}</Checkbox>
      <Checkbox
        :checked="fitting.air !== null"
        @update:checked="(on) => (fitting.air = on ? { freeAreaMm2: 4000, flowM3h: 0 } : null)"
        >{{ t('fittings.air') }}</Checkbox
      >
      <div class="form">
        <template v-if="fitting.air">
          <NumberInput v-model="fitting.air.freeAreaMm2" :label="t('fittings.freeArea')" required />
          <NumberInput v-model="fitting.air.flowM3h" :label="t('fittings.flow')" required />
        </template>
        <LengthInput v-model="fitting.heatMm" :label="t('fittings.heat')" />
        <LengthInput
          v-if="fitting.kind === 'flue'"
          :model-value="fitting.mouthMm ?? null"
          :label="t('fittings.mouth')"
          @update:model-value="(mm: number | null) => (fitting.mouthMm = mm)"
        />
      </div>
      <p v-if="fitting.kind === 'flue'" class="soft">{{ t('fittings.mouthMore') }}</p>
    </section>
    <section class="card">
      <h2>{{ t('fittings.sizes') }}</h2>
      <p class="soft">{{ t('fittings.figures') }}</p>
      <FittingPlan v-model="fitting" />
    </section>
    <section class="card">
      <h2>{{ t('fittings.seat') }}</h2>
      <FittingSection v-model="fitting" />
      <template v-for="per in perSides" :key="per">
        <h3>{{ t(`fittings.${per}`) }}</h3>
        <div class="form">
          <LengthInput v-for="side in sides" :key="side" v-model="fitting[per][`${side}Mm`]" :label="t(`fittings.${side}`)" />
        </div>
      </template>
    </section>
    <section class="card wide">
      <h2>{{ t('fittings.holding') }}</h2>
      <Checkbox :checked="fitting.screws !== null" @update:checked="setScrews">{{ t('fittings.screws') }}</Checkbox>
      <div v-if="fitting.screws" class="form">
        <NumberInput v-model="fitting.screws.alongWidth" :label="t('fittings.alongWidth')" required />
        <NumberInput v-model="fitting.screws.alongHeight" :label="t('fittings.alongHeight')" required />
        <LengthInput v-model="fitting.screws.insetMm" :label="t('fittings.inset')" />
        <LengthInput v-model="fitting.screws.pilotMm" :label="t('fittings.pilot')" />
      </div>
      <Checkbox :checked="fitting.clamp !== null" @update:checked="setClamp">{{ t('fittings.clamp') }}</Checkbox>
      <div v-if="fitting.clamp" class="form">
        <LengthInput v-model="fitting.clamp.leastMm" :label="t('fittings.least')" />
        <LengthInput v-model="fitting.clamp.mostMm" :label="t('fittings.most')" />
      </div>
      <Checkbox :checked="fitting.halves !== null" @update:checked="setHalves">{{ t('fittings.halves') }}</Checkbox>
      <HalvesFields v-if="fitting.halves" v-model="fitting.halves" :cut-out="fitting.cutOut" />
      <Checkbox
        :checked="fitting.bonded !== null"
        @update:checked="(on) => (fitting.bonded = on ? { pane: 'glass', landMm: 18 } : null)"
        >{{ t('fittings.bonded') }}</Checkbox
      >
      <div v-if="fitting.bonded" class="form">
        <Choice
          v-model="fitting.bonded.pane"
          :label="t('fittings.pane')"
          :options="enums.Pane.map((p) => ({ value: p, text: t(`fittings.${p}`) }))"
        />
        <LengthInput v-model="fitting.bonded.landMm" :label="t('fittings.land')" />
      </div>
    </section>
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 22px 26px;
}
.wide {
  grid-column: 1 / -1;
}
.kind {
  grid-column: span 2;
}
.form {
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  align-items: end;
}
h3 {
  margin: 6px 0 0;
  font-size: 13.5px;
  font-weight: 600;
}
</style>
