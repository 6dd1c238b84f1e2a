<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import WorkedSteps from '@/app/WorkedSteps.vue'
import BeadCard from '@/stages/sealing/BeadCard.vue'
import CureCard from '@/stages/sealing/CureCard.vue'
import { useSealing } from '@/stages/sealing/useSealing'
import { useFigure } from '@/stages/figures/useFigure'
import BondSection from './BondSection.vue'
import type { OpeningWork } from './useOpening'

/** A bonded pane: how thick, with what, how much, how long it has to be left alone, and what has to be right before the bead. */
const props = defineProps<{ work: OpeningWork }>()
const { t, tm } = useI18n()
const { shell, lengths } = useState()
const { joints, products, save } = useSealing()
const L = (mm: number) => lengthText(mm, lengths.value)
const fitting = computed(() => props.work.fitting!)
const bonded = computed(() => fitting.value.bonded!)
const joint = computed(() =>
  joints.value.find((j) => j.value.of === props.work.row!.value.name && j.panelId === props.work.panel!.id),
)
const name = ref('')
watch(joint, (j) => j && !name.value && (name.value = j.value.product ?? ''), { immediate: true })
const product = computed(() => products.value.find((p) => p.value.name === name.value)?.value)
const holding = computed(() => products.value.filter((p) => p.value.structural && p.value.setting === 'moisture'))
const thickness = useFigure(
  () => ({ vehicleId: shell.value!.vehicle.id, id: props.work.row!.id, version: props.work.row!.version }),
  ({ vehicleId, id }) => got(api.GET('/api/vehicles/{vehicleId}/openings/{id}/bond', { params: { path: { vehicleId, id } } })),
)
/** The joint carries the thickness that was reckoned for it, or what somebody set. */
const bondMm = computed(() => joint.value?.value.gapMm ?? 3)
const holds = computed(() => [
  ...(tm('bond.offered') as string[]),
  ...(props.work.panel!.value.skinGapMm === null ? [] : [t('bond.skinsBonded')]),
  ...(tm('bond.prepared') as string[]),
])
async function keep() {
  if (joint.value) await save(joint.value, { ...joint.value.value, product: name.value || null })
}
</script>

<template>
  <div class="page bond">
    <BondSection
      :land-mm="bonded.landMm"
      :lap-mm="(fitting.flange.widthMm - fitting.cutOut.widthMm) / 2"
      :thick-mm="bondMm"
      :skin-mm="work.panel!.value.skinMm"
      :lengths="lengths"
    />
    <h2>{{ t('bond.order') }}</h2>
    <ol class="holds">
      <li v-for="h in holds" :key="h">{{ h }}</li>
    </ol>
    <table v-if="thickness.answer.value" class="figures narrow">
      <tbody>
        <tr>
          <td>{{ t('bond.thickness') }}</td>
          <td class="n">
            <b>{{ L(bondMm) }}</b>
          </td>
          <td class="soft">{{ t('bond.thicknessMore', { movement: L(thickness.answer.value.result.movementMm) }) }}</td>
        </tr>
      </tbody>
    </table>
    <WorkedSteps :title="t('bond.thickness')" :worked="thickness.answer.value" />
  </div>
  <aside>
    <div class="card">
      <h2>{{ t('bond.product') }}</h2>
      <select v-model="name" class="field" :aria-label="t('bond.product')">
        <option value="">{{ t('bond.none') }}</option>
        <option v-for="p in holding" :key="p.id" :value="p.value.name">{{ p.value.name }}</option>
      </select>
      <button v-if="joint && joint.value.product !== (name || null)" class="btn main" type="button" @click="keep">
        {{ t('bond.keep') }}
      </button>
      <p v-else-if="name" class="soft">{{ t('bond.kept') }}</p>
      <p v-if="product?.hazards" class="warn">{{ product.hazards }}</p>
    </div>
    <template v-if="product && joint">
      <BeadCard :product="product" :path-mm="joint.value.lengthMm" :land-mm="bonded.landMm" :squeezed-mm="bondMm" unbroken />
      <CureCard :product="product" :width-mm="bonded.landMm" />
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
