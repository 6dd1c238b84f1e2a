<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas, type Stored } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import { said, useState } from '@/app/state'
import { usePanelRecord } from '@/app/usePanelRecord'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { panelName } from '@/drawing/facing'

/** How the seals of doors close, by pairs of readings: the gap that the closed door leaves, and the height of the seal. */
const { t } = useI18n()
const { shell, lengths } = useState()
const record = usePanelRecord<Schemas['SealReading']>('seal-readings')
const { edited, isTyped, wrong, save, remove } = record
const outlooks = shallowRef<Record<string, Schemas['WorkedOfSealOutlook'] | null>>({})
const trouble = ref('')
const doors = computed(() =>
  shell
    .value!.panels.filter((p) => ['rearLeftDoor', 'rearRightDoor', 'slidingDoor'].includes(p.value.kind))
    .map((panel) => ({ panel, rows: shell.value!.sealReadings.filter((r) => r.ownerId === panel.id) })),
)
let asked = 0
watch(
  doors,
  async () => {
    const own = ++asked
    const found: typeof outlooks.value = {}
    try {
      for (const { panel, rows } of doors.value) {
        if (rows.length >= 2)
          found[panel.id] = await got(
            api.POST('/api/calculators/seal-gap', { body: { readings: rows.map((r) => r.value), lengths: lengths.value } }),
          )
      }
      if (own === asked) [outlooks.value, trouble.value] = [found, '']
    } catch (e) {
      if (own === asked) trouble.value = said(e)
    }
  },
  { immediate: true },
)
function add(panel: Stored<Schemas['Panel']>) {
  const last = shell.value!.sealReadings.filter((r) => r.ownerId === panel.id).at(-1)
  record.begin(panel.id, last?.value ?? { place: { ...panel.value.outline[0]! }, gapMm: 9, sealMm: 12 })
}
</script>

<template>
  <div v-if="doors.length > 0" class="card" data-testid="seals">
    <h2>{{ t('waysOut.seals') }}</h2>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <div v-for="{ panel, rows } in doors" :key="panel.id" class="door">
      <b>{{ panelName(panel.value) }}</b>
      <p v-if="outlooks[panel.id]">{{ outlooks[panel.id]!.result.verdict }}</p>
      <table v-if="rows.length > 0" class="figures">
        <tbody>
          <tr v-for="(r, i) in rows" :key="r.id">
            <td>
              <button class="btn plain at" type="button" @click="record.begin(panel.id, r.value, r as never)">
                {{ lengthText(r.value.place.sMm, lengths) }} / {{ lengthText(r.value.place.tMm, lengths) }}
              </button>
            </td>
            <td class="n">{{ lengthText(r.value.gapMm, lengths) }}</td>
            <td class="n">
              {{ outlooks[panel.id] ? `${Math.round(outlooks[panel.id]!.result.places[i]!.squeezePercent)} %` : '' }}
            </td>
          </tr>
        </tbody>
      </table>
      <div class="row">
        <button class="btn" type="button" @click="add(panel as Stored<Schemas['Panel']>)">{{ t('waysOut.addReading') }}</button>
        <WorkedSteps v-if="outlooks[panel.id]" :title="panelName(panel.value)" :worked="outlooks[panel.id]" />
      </div>
    </div>
    <RecordDialogue
      v-model="edited"
      :is-typed="isTyped"
      :title="t('waysOut.addReading')"
      :wrong="wrong"
      :place="edited?.value.place"
      @update:place="(p) => edited && p && (edited.value.place = p)"
      @save="save"
      @remove="remove"
    >
      <template #default="{ value }">
        <LengthInput v-model="value.gapMm" :label="t('waysOut.gap')" />
        <LengthInput v-model="value.sealMm" :label="t('waysOut.seal')" />
        <p class="soft wide">{{ t('waysOut.sealHow') }}</p>
      </template>
    </RecordDialogue>
  </div>
</template>

<style scoped>
.door {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding-top: 6px;
  border-top: 1px solid var(--rule);
}
.at {
  padding: 0;
  min-height: 24px;
}
</style>
