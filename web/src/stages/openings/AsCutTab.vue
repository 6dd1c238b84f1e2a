<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import { facingOf } from '@/drawing/facing'
import { turnedShape } from '@/drawing/geometry'
import HoleCheck from './HoleCheck.vue'
import type { OpeningWork } from './useOpening'

/** The hole as it was cut: readings, whether the frame goes in, and the state of the shell here. */
const props = defineProps<{ work: OpeningWork }>()
const { t } = useI18n()
const { lengths } = useState()
const frame = computed<Schemas['Frame']>(() => {
  const f = props.work.fitting!
  const turn = props.work.row!.value.turnDeg
  return {
    cutOut: turnedShape(f.cutOut, turn),
    neck: turnedShape(f.neck, turn),
    flange: turnedShape(f.flange, turn),
    leastLapMm: f.leastLapMm,
    toleranceMinusMm: f.toleranceMinusMm,
    tolerancePlusMm: f.tolerancePlusMm,
  }
})
const readings = ref<Schemas['AsCut'] | null>(props.work.row!.value.asCut)
const state = computed(() => props.work.row!.value.state)
async function save() {
  if (!(await lengthsRead())) return
  if (readings.value) await props.work.save({ asCut: readings.value, state: state.value === 'planned' ? 'cut' : state.value })
}
</script>

<template>
  <HoleCheck
    v-model="readings"
    :frame="frame"
    :lengths="lengths"
    :facing="facingOf(work.panel!.value)"
    :kept="{ of: work.row!.id, saved: work.row!.value.asCut }"
  >
    <div class="row">
      <button class="btn main" type="button" :disabled="!readings" @click="save">{{ t('asCut.save') }}</button>
      <button v-if="state === 'planned'" class="btn" type="button" @click="work.save({ state: 'cut' })">
        {{ t('asCut.markCut') }}
      </button>
      <button v-if="state === 'cut'" class="btn" type="button" @click="work.save({ state: 'fitted' })">
        {{ t('asCut.markFitted') }}
      </button>
      <button v-if="state !== 'planned'" class="btn plain" type="button" @click="work.save({ state: 'planned' })">
        {{ t('asCut.markPlanned') }}
      </button>
    </div>
  </HoleCheck>
</template>
