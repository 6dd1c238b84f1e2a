<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { lengthNumber } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import Ticks from '@/ui/Ticks.vue'
import Wrong from '@/ui/Wrong.vue'
import { filled, nextRound, type TypedRound } from './rounds'

/** A door: its seal, and the rounds of readings, each after what was done. A new round begins with the heights of the last. */
const props = defineProps<{ plan: Schemas['DoorPlan'] | null }>()
const door = defineModel<Schemas['DoorFit']>({ required: true })
const { t } = useI18n()
const { lengths } = useState()
const typed = ref<TypedRound | null>(null)
const wrong = ref('')
const L = (mm: number) => lengthNumber(mm, lengths.value)
const turns = computed(() => enums.DoorTurn.filter((turn) => (turn === 'asFound') === (door.value.rounds.length === 0)))
watch(
  () => door.value.rounds.length,
  () => (typed.value = null),
)
const begin = () => (typed.value = nextRound(props.plan!))
async function keep() {
  if (!(await lengthsRead())) return
  const round = filled(typed.value!)
  wrong.value = round ? '' : t('metal.roundOpen')
  if (round) door.value.rounds = [...door.value.rounds, round]
}
</script>

<template>
  <LengthInput v-model="door.sealMm" :bounds="bounds.DoorFit.sealMm" :label="t('metal.seal')" />
  <Ticks
    class="wide"
    :of="door"
    :choices="[
      { key: 'glass', text: t('metal.doorGlass') },
      { key: 'dents', text: t('metal.dents') },
    ]"
    @tick="(key, on) => (door[key] = on)"
  />
  <fieldset v-if="typed" class="wide round" data-testid="round">
    <legend>{{ t('metal.round', { n: door.rounds.length + 1 }) }}</legend>
    <Choice
      v-if="turns.length > 1"
      v-model="typed.after"
      class="wide"
      :label="t('metal.roundAfter')"
      :options="turns.map((turn) => ({ value: turn, text: t(`metal.turns.${turn}`) }))"
    />
    <template v-if="typed.after === 'bend'">
      <Choice
        v-model="typed.pushed.edge"
        :label="t('metal.pushedEdge')"
        :options="enums.DoorEdge.map((e) => ({ value: e, text: t(`metal.edges.${e}`) }))"
      />
      <LengthInput v-model="typed.pushed.atMm" :bounds="bounds.DoorPushed.atMm" :label="t('metal.pushedAt')" />
      <LengthInput v-model="typed.pushed.byMm" optional :bounds="bounds.DoorPushed.byMm" :label="t('metal.pushedBy')" />
    </template>
    <div v-for="(r, i) in typed.readings" :key="i" class="reading wide">
      <Choice
        v-model="r.edge"
        :label="t('metal.edgeOf')"
        :options="enums.DoorEdge.map((e) => ({ value: e, text: t(`metal.edges.${e}`) }))"
      />
      <LengthInput v-model="r.heightMm" optional :bounds="bounds.DoorReading.heightMm" :label="t('metal.height')" />
      <LengthInput v-model="r.gapMm" optional :bounds="bounds.DoorReading.gapMm" :label="t('metal.gap', { n: i + 1 })" />
      <button
        class="btn plain"
        type="button"
        :aria-label="t('metal.dropReading', { n: i + 1 })"
        @click="typed.readings.splice(i, 1)"
      >
        ×
      </button>
    </div>
    <Wrong :text="wrong" />
    <div class="row wide">
      <Action @click="typed.readings.push({ edge: 'latch', heightMm: null, gapMm: null })">{{ t('metal.addReading') }}</Action>
      <Action look="main" @click="keep">{{ t('metal.keepRound') }}</Action>
      <Action look="plain" @click="typed = null">{{ t('app.cancel') }}</Action>
    </div>
  </fieldset>
  <div v-else class="row wide">
    <Action :disabled="!plan" @click="begin">{{ t(door.rounds.length === 0 ? 'metal.firstRound' : 'metal.newRound') }}</Action>
  </div>
  <ol v-if="door.rounds.length > 0" class="wide rounds" data-testid="rounds">
    <li v-for="(r, i) in door.rounds" :key="i">
      <b>{{ t(`metal.turns.${r.after}`) }}</b>
      <template v-if="r.pushed">, {{ t('metal.pushedBack', { by: L(r.pushed.byMm), at: L(r.pushed.atMm) }) }}</template>
      <br />
      <span class="soft">{{ r.readings.map((x) => L(x.gapMm)).join(' · ') }}</span>
      <Action
        v-if="i === door.rounds.length - 1"
        look="plain"
        :label="t('metal.dropRoundOf', { n: i + 1 })"
        @click="door.rounds = door.rounds.slice(0, -1)"
        >{{ t('metal.dropRound') }}</Action
      >
    </li>
  </ol>
</template>

<style scoped>
.round {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin: 0;
  padding: 8px 10px;
  border: 1px solid var(--rule);
  border-radius: 4px;
}
.reading {
  display: grid;
  grid-template-columns: 88px 1fr 1fr 32px;
  gap: 6px;
  align-items: start;
}
.reading .btn {
  margin-top: 22px;
  padding: 0;
}
.rounds {
  margin: 0;
  padding-left: 20px;
}
</style>
