<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import type { Fitting } from '@/api/client'
import LengthInput from '@/app/LengthInput.vue'

const fitting = defineModel<Fitting>({ required: true })
const { t } = useI18n()
const kinds = [
  'roofVent',
  'roofSkylight',
  'roofUnit',
  'flue',
  'hingedWindow',
  'bondedWindow',
  'gasketWindow',
  'grille',
  'hatch',
] as const
const shapes = ['cutOut', 'neck', 'flange'] as const
const perSides = ['clearance', 'sweep'] as const
const sides = ['front', 'rear', 'top', 'bottom'] as const

function setClamp(on: boolean) {
  fitting.value.clamp = on ? { leastMm: 25, mostMm: 60 } : null
}
function setHalves(on: boolean) {
  fitting.value.halves = on
    ? { gapMm: 60, lugs: 8, gasketMm: 8, screws: [{ lengthMm: 35, fromMm: 25, toMm: 60 }], innerFrame: null }
    : null
}
function setInnerFrame(on: boolean) {
  const { widthMm, heightMm, cornerRadiusMm } = fitting.value.cutOut
  fitting.value.halves!.innerFrame = on ? { widthMm: widthMm + 60, heightMm: heightMm + 60, cornerRadiusMm } : null
}
function setScrews(on: boolean) {
  fitting.value.screws = on ? { alongWidth: 5, alongHeight: 3, insetMm: 12, pilotMm: 2.5 } : null
}
</script>

<template>
  <div class="card">
    <div class="form">
      <label class="named wide">{{ t('app.name') }}<input v-model="fitting.name" class="field" maxlength="80" /></label>
      <label class="named">
        {{ t('app.kind') }}
        <select v-model="fitting.kind" class="field">
          <option v-for="kind in kinds" :key="kind" :value="kind">{{ t(`fittings.kinds.${kind}`) }}</option>
        </select>
      </label>
      <label class="named">
        {{ t('fittings.mass') }}
        <input v-model.number="fitting.massKg" class="field" inputmode="decimal" />
      </label>
      <label class="named">
        {{ t('fittings.hinge') }}
        <select
          :value="fitting.hingeSide ?? ''"
          class="field"
          @change="fitting.hingeSide = (($event.target as HTMLSelectElement).value || null) as Fitting['hingeSide']"
        >
          <option value="">{{ t('fittings.noHinge') }}</option>
          <option v-for="side in sides" :key="side" :value="side">{{ t(`fittings.${side}`) }}</option>
        </select>
      </label>
      <Checkbox v-model:checked="fitting.vibrates">{{ t('fittings.vibrates') }}</Checkbox>
    </div>
    <p class="soft">{{ t('fittings.figures') }}</p>
    <template v-for="shape in shapes" :key="shape">
      <h2>{{ t(`fittings.${shape}`) }}</h2>
      <div class="form">
        <LengthInput
          v-for="[key, name] in [
            ['widthMm', 'width'],
            ['heightMm', 'height'],
            ['cornerRadiusMm', 'radius'],
          ] as const"
          :key="key"
          :model-value="fitting[shape][key]"
          :label="t(`fittings.${name}`)"
          @update:model-value="(mm) => (fitting[shape][key] = mm ?? 0)"
        />
      </div>
    </template>
    <h2>{{ t('fittings.tolerance') }}</h2>
    <div class="form">
      <LengthInput
        :model-value="fitting.toleranceMinusMm"
        :label="t('fittings.minus')"
        @update:model-value="(mm) => (fitting.toleranceMinusMm = mm ?? 0)"
      />
      <LengthInput
        :model-value="fitting.tolerancePlusMm"
        :label="t('fittings.plus')"
        @update:model-value="(mm) => (fitting.tolerancePlusMm = mm ?? 0)"
      />
      <LengthInput
        :model-value="fitting.leastLapMm"
        :label="t('fittings.leastLap')"
        @update:model-value="(mm) => (fitting.leastLapMm = mm ?? 0)"
      />
      <LengthInput
        :model-value="fitting.flatnessMm"
        :label="t('fittings.flatness')"
        @update:model-value="(mm) => (fitting.flatnessMm = mm ?? 0)"
      />
      <LengthInput
        :model-value="fitting.beddingMostMm"
        :label="t('fittings.bedding')"
        @update:model-value="(mm) => (fitting.beddingMostMm = mm ?? 0)"
      />
    </div>
    <template v-for="per in perSides" :key="per">
      <h2>{{ t(`fittings.${per}`) }}</h2>
      <div class="form">
        <LengthInput
          v-for="side in sides"
          :key="side"
          :model-value="fitting[per][`${side}Mm`]"
          :label="t(`fittings.${side}`)"
          @update:model-value="(mm) => (fitting[per][`${side}Mm`] = mm ?? 0)"
        />
      </div>
    </template>
    <Checkbox :checked="fitting.clamp !== null" @update:checked="setClamp">{{ t('fittings.clamp') }}</Checkbox>
    <div v-if="fitting.clamp" class="form">
      <LengthInput
        :model-value="fitting.clamp.leastMm"
        :label="t('fittings.least')"
        @update:model-value="(mm) => fitting.clamp && (fitting.clamp.leastMm = mm ?? 0)"
      />
      <LengthInput
        :model-value="fitting.clamp.mostMm"
        :label="t('fittings.most')"
        @update:model-value="(mm) => fitting.clamp && (fitting.clamp.mostMm = mm ?? 0)"
      />
    </div>
    <Checkbox :checked="fitting.halves !== null" @update:checked="setHalves">{{ t('fittings.halves') }}</Checkbox>
    <template v-if="fitting.halves">
      <div class="form">
        <LengthInput
          :model-value="fitting.halves.gapMm"
          :label="t('fittings.gap')"
          @update:model-value="(mm) => fitting.halves && (fitting.halves.gapMm = mm ?? 0)"
        />
        <label class="named"
          >{{ t('fittings.lugs') }}<input v-model.number="fitting.halves.lugs" class="field" inputmode="numeric"
        /></label>
        <LengthInput
          :model-value="fitting.halves.gasketMm"
          :label="t('fittings.gasket')"
          @update:model-value="(mm) => fitting.halves && (fitting.halves.gasketMm = mm ?? 0)"
        />
      </div>
      <div v-for="(s, i) in fitting.halves.screws" :key="i" class="form">
        <LengthInput
          v-for="[key, name] in [
            ['lengthMm', 'screwLength'],
            ['fromMm', 'screwFrom'],
            ['toMm', 'screwTo'],
          ] as const"
          :key="key"
          :model-value="s[key]"
          :label="t(`fittings.${name}`)"
          @update:model-value="(mm) => (s[key] = mm ?? 0)"
        />
      </div>
      <div class="row">
        <button class="btn" type="button" @click="fitting.halves.screws.push({ lengthMm: 20, fromMm: 20, toMm: 40 })">
          {{ t('fittings.addScrew') }}
        </button>
        <button v-if="fitting.halves.screws.length > 0" class="btn plain" type="button" @click="fitting.halves.screws.pop()">
          {{ t('fittings.removeScrew') }}
        </button>
      </div>
      <Checkbox :checked="fitting.halves.innerFrame !== null" @update:checked="setInnerFrame">{{
        t('fittings.innerFrame')
      }}</Checkbox>
      <div v-if="fitting.halves.innerFrame" class="form">
        <LengthInput
          v-for="[key, name] in [
            ['widthMm', 'width'],
            ['heightMm', 'height'],
            ['cornerRadiusMm', 'radius'],
          ] as const"
          :key="key"
          :model-value="fitting.halves.innerFrame[key]"
          :label="t(`fittings.${name}`)"
          @update:model-value="(mm) => fitting.halves?.innerFrame && (fitting.halves.innerFrame[key] = mm ?? 0)"
        />
      </div>
    </template>
    <Checkbox
      :checked="fitting.bonded !== null"
      @update:checked="(on) => (fitting.bonded = on ? { pane: 'glass', landMm: 18 } : null)"
      >{{ t('fittings.bonded') }}</Checkbox
    >
    <div v-if="fitting.bonded" class="form">
      <label class="named">
        {{ t('fittings.pane') }}
        <select v-model="fitting.bonded.pane" class="field">
          <option v-for="p in ['glass', 'acrylic'] as const" :key="p" :value="p">{{ t(`fittings.${p}`) }}</option>
        </select>
      </label>
      <LengthInput
        :model-value="fitting.bonded.landMm"
        :label="t('fittings.land')"
        @update:model-value="(mm) => fitting.bonded && (fitting.bonded.landMm = mm ?? 0)"
      />
    </div>
    <Checkbox
      :checked="fitting.air !== null"
      @update:checked="(on) => (fitting.air = on ? { freeAreaMm2: 4000, flowM3h: 0 } : null)"
      >{{ t('fittings.air') }}</Checkbox
    >
    <div v-if="fitting.air" class="form">
      <label class="named"
        >{{ t('fittings.freeArea') }}<input v-model.number="fitting.air.freeAreaMm2" class="field" inputmode="decimal"
      /></label>
      <label class="named"
        >{{ t('fittings.flow') }}<input v-model.number="fitting.air.flowM3h" class="field" inputmode="decimal"
      /></label>
    </div>
    <div class="form">
      <LengthInput
        :model-value="fitting.heatMm"
        :label="t('fittings.heat')"
        @update:model-value="(mm) => (fitting.heatMm = mm ?? 0)"
      />
    </div>
    <Checkbox v-model:checked="fitting.needsPower">{{ t('fittings.power') }}</Checkbox>
    <Checkbox :checked="fitting.screws !== null" @update:checked="setScrews">{{ t('fittings.screws') }}</Checkbox>
    <div v-if="fitting.screws" class="form">
      <label class="named"
        >{{ t('fittings.alongWidth') }}<input v-model.number="fitting.screws.alongWidth" class="field" inputmode="numeric"
      /></label>
      <label class="named"
        >{{ t('fittings.alongHeight') }}<input v-model.number="fitting.screws.alongHeight" class="field" inputmode="numeric"
      /></label>
      <LengthInput
        :model-value="fitting.screws.insetMm"
        :label="t('fittings.inset')"
        @update:model-value="(mm) => fitting.screws && (fitting.screws.insetMm = mm ?? 0)"
      />
      <LengthInput
        :model-value="fitting.screws.pilotMm"
        :label="t('fittings.pilot')"
        @update:model-value="(mm) => fitting.screws && (fitting.screws.pilotMm = mm ?? 0)"
      />
    </div>
  </div>
</template>
