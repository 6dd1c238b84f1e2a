<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { ofVehicle } from '@/api/cache'
import { api, got } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import BeadCard from '@/stages/sealing/BeadCard.vue'
import CureCard from '@/stages/sealing/CureCard.vue'
import { air } from '@/stages/sealing/useAir'
import { useSealing } from '@/stages/sealing/useSealing'
import { useFigure } from '@/stages/figures/useFigure'
import BondSection from './BondSection.vue'
import Choice from '@/ui/Choice.vue'
import type { OpeningWork } from './useOpening'

/** A bonded pane: how thick, with what, how much, how long it has to be left alone, and what has to be right before the bead. */
const props = defineProps<{ work: OpeningWork }>()
const { t, tm } = useI18n()
const { shell, lengths } = useState()
const { joints, products, save } = useSealing()
const L = (mm: number) => lengthText(mm, lengths.value)
const fitting = computed(() => props.work.fitting!)
const bonded = computed(() => fitting.value.bonded!)
const joint = computed(() => joints.value.find((j) => j.value.of?.kind === 'opening' && j.value.of.id === props.work.row!.id))
const chosen = ref('')
watch(joint, (j) => j && !chosen.value && (chosen.value = j.value.productId ?? ''), { immediate: true })
const product = computed(() => products.value.find((p) => p.id === chosen.value)?.value)
/** Only what Sealing allows on this joint may be chosen for it. */
const choice = useFigure('sealant-choice', () =>
  joint.value
    ? {
        joint: joint.value.value,
        products: products.value.map((p) => p.value),
        bedding: props.work.row!.value.schools.bedding ?? 'butylAndLapSealant',
        airC: air.value.dayC,
        lengths: lengths.value,
        lies: joint.value.lies,
      }
    : null,
)
const allowed = computed(() =>
  (choice.answer.value?.result.rows ?? [])
    .filter((r) => r.rank !== null)
    .map((r) => products.value.find((p) => p.value.name === r.product)!),
)
const bond = useAnswer(
  () => ofVehicle(shell.value!.vehicle.id, 'bond', props.work.row!.id),
  ([, vehicleId, , id], signal) =>
    got(
      api.GET('/api/vehicles/{vehicleId}/openings/{id}/bond', {
        params: { path: { vehicleId, id } },
        signal,
      }),
    ),
)
const plan = computed(() => bond.answer.value?.result)
const laid = computed(
  () => plan.value && { baseMm: plan.value.notchBaseMm, heightMm: plan.value.notchHeightMm, pace: plan.value.layMmPerMinute },
)
const holds = computed(() => [
  ...(tm('bond.offered') as string[]),
  ...(props.work.panel!.value.skinGapMm === null ? [] : [t('bond.skinsBonded')]),
  ...(tm('bond.prepared') as string[]),
])
async function keep() {
  if (joint.value) await save(joint.value, { ...joint.value.value, productId: chosen.value || null })
}
</script>

<template>
  <div class="page bond">
    <BondSection
      v-if="plan && laid"
      :land-mm="bonded.landMm"
      :lap-mm="(fitting.flange.widthMm - fitting.cutOut.widthMm) / 2"
      :thick-mm="plan.thickMm"
      :skin-mm="work.panel!.value.skinMm"
      :laid="laid"
      :lengths="lengths"
    />
    <p v-if="bond.wrong.value" class="wrong" role="alert">{{ bond.wrong.value }}</p>
    <h2>{{ t('bond.order') }}</h2>
    <ol class="holds">
      <li v-for="h in holds" :key="h">{{ h }}</li>
    </ol>
    <table v-if="plan" class="figures narrow">
      <tbody>
        <tr>
          <td>{{ t('bond.thickness') }}</td>
          <td class="n">
            <b>{{ L(plan.thickMm) }}</b>
          </td>
          <td class="soft">{{ t('bond.thicknessMore', { movement: L(plan.movementMm) }) }}</td>
        </tr>
      </tbody>
    </table>
    <WorkedSteps :title="t('bond.thickness')" :worked="bond.answer.value" />
  </div>
  <aside>
    <div class="card">
      <h2>{{ t('bond.product') }}</h2>
      <Choice
        v-model="chosen"
        hide-label
        :label="t('bond.product')"
        :options="[{ value: '', text: t('bond.none') }, ...allowed.map((p) => ({ value: p.id, text: p.value.name }))]"
      />
      <button v-if="joint && joint.value.productId !== (chosen || null)" class="btn main" type="button" @click="keep">
        {{ t('bond.keep') }}
      </button>
      <p v-else-if="chosen" class="soft">{{ t('bond.kept') }}</p>
      <p v-if="product?.hazards" class="warn">{{ product.hazards }}</p>
    </div>
    <template v-if="product && plan">
      <BeadCard
        :product="product"
        :path-mm="plan.pathMm"
        :land-mm="bonded.landMm"
        :squeezed-mm="plan.thickMm"
        :laid="laid"
        unbroken
      />
      <CureCard :product="product" :width-mm="plan.cureWidthMm" :open-faces="plan.openFaces === 2 ? 2 : 1" />
    </template>
  </aside>
</template>

<style scoped>
.bond {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.bond > :deep(*) {
  align-self: flex-start;
}
.holds {
  width: 100%;
  max-width: 640px;
  margin: 0;
  padding-left: 22px;
}
.holds li {
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
.narrow {
  max-width: 640px;
}
</style>
