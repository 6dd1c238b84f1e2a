<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Member, type Panel, type Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthNumber } from '@/app/length'
import { said, useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'

const { t } = useI18n()
const { lengths } = useState()
const form = reactive({
  lengthMm: 3000 as number | null,
  widthMm: 1700 as number | null,
  readings: '560 mm / 620 mm / 1165 mm / 1225 mm / 1770 mm / 1830 mm',
})
const found = ref<Schemas['WorkedOfIReadOnlyListOfBay'] | null>(null)
const wrong = ref('')
let asked = 0

const panel = computed<Panel>(() => {
  const half = (form.widthMm ?? 0) / 2
  const length = form.lengthMm ?? 0
  return {
    kind: 'roof',
    outline: [
      { sMm: 0, tMm: -half },
      { sMm: length, tMm: -half },
      { sMm: length, tMm: half },
      { sMm: 0, tMm: half },
    ],
    skinMm: 0.8,
    material: 'mildSteel',
    taperDeg: 0,
    surface: 'drawn',
  }
})
async function work() {
  const own = ++asked
  try {
    let members: Member[] = []
    if (form.readings.trim() !== '') {
      const run = {
        readings: form.readings,
        from: 'front' as const,
        startsOnMember: false,
        kind: 'roofBow' as const,
        name: t('walkaround.memberKinds.roofBow'),
        firstNumber: 1,
        depthMm: 40,
        lengths: lengths.value,
      }
      members = (await got(api.POST('/api/calculators/tape-chain', { body: { panel: panel.value, run } }))).result.members
    }
    const answer = await got(api.POST('/api/calculators/bays', { body: { panel: panel.value, members } }))
    if (own !== asked) return
    found.value = answer
    wrong.value = ''
  } catch (e) {
    if (own === asked) wrong.value = said(e)
  }
}
watch([panel, () => form.readings, lengths], useDebounceFn(work, 250), { immediate: true })
</script>

<template>
  <div class="page card">
    <p class="soft">{{ t('figures.baysMore') }}</p>
    <div class="form narrow">
      <LengthInput v-model="form.lengthMm" :label="t('walkaround.length')" />
      <LengthInput v-model="form.widthMm" :label="t('walkaround.width')" />
      <label class="named wide"
        >{{ t('walkaround.readings')
        }}<textarea v-model="form.readings" class="field" :placeholder="t('walkaround.readingsExample')" />
      </label>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <table v-if="found" class="figures narrow">
      <thead>
        <tr>
          <th>{{ t('figures.bay') }}</th>
          <th class="n">{{ t('figures.clear') }}</th>
          <th class="n">{{ t('figures.area') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="bay in found.result" :key="bay.label">
          <td>
            <b>{{ bay.label }}</b>
          </td>
          <td class="n">{{ lengthNumber(bay.clearWidthMm, lengths) }} x {{ lengthNumber(bay.clearHeightMm, lengths) }}</td>
          <td class="n">{{ bay.areaM2.toFixed(3) }} m²</td>
        </tr>
      </tbody>
    </table>
  </div>
  <aside>
    <WorkedSteps :title="t('figures.bays')" :worked="found" />
    <p v-for="warning in found?.warnings ?? []" :key="warning" class="soft">{{ warning }}</p>
  </aside>
</template>

<style scoped>
.narrow {
  max-width: 640px;
}
</style>
