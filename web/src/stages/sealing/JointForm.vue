<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import { newName, wasOffered } from '@/app/newName'
import { useState } from '@/app/state'
import { panelName } from '@/drawing/facing'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import Dialogue from '@/ui/Dialogue.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import TextField from '@/ui/TextField.vue'
import Ticks from '@/ui/Ticks.vue'
import { jointKinds, substrates } from './kinds'
import type { ShownJoint } from './useSealing'

/** A joint as it is: sides, width, movement, and what it has to stand. */
const props = defineProps<{ joint: ShownJoint; others: readonly string[]; isTyped: () => boolean }>()
const form = defineModel<Schemas['Joint']>('value', { required: true })
const panelId = defineModel<string>('panelId', { required: true })
const emit = defineEmits<{ keep: []; close: []; remove: [] }>()
const { t } = useI18n()
const { shell } = useState()
const stands = ['sun', 'standingWater', 'removableLater', 'paintedOver', 'structural', 'unbroken'] as const
const kindText = (kind: Schemas['JointKind']) => t(`sealing.kind.${kind}`)
function setKind(kind: Schemas['JointKind']) {
  form.value.kind = kind
  if (wasOffered(form.value.name, jointKinds.map(kindText))) form.value.name = newName(kindText(kind), props.others)
}
const panels = computed(() => (shell.value?.panels ?? []).map((p) => ({ value: p.id, text: panelName(p.value) })))
</script>

<template>
  <Dialogue :title="t('sealing.editTitle')" :is-typed="isTyped" @save="emit('keep')" @close="emit('close')">
    <TextField v-model="form.name" class="wide" :label="t('app.name')" :most="120" />
    <Choice v-model="panelId" :label="t('findings.where')" :options="panels" :disabled="joint.key !== ''" />
    <Choice
      :model-value="form.kind"
      :label="t('app.kind')"
      :options="jointKinds.map((k) => ({ value: k, text: kindText(k) }))"
      @update:model-value="setKind"
    />
    <Choice
      v-for="side in ['one', 'other'] as const"
      :key="side"
      v-model="form[side]"
      :label="t(`sealing.${side}`)"
      :options="substrates.map((s) => ({ value: s, text: t(`sealing.substrate.${s}`) }))"
    />
    <LengthInput v-model="form.lengthMm" :bounds="bounds.Joint.lengthMm" :label="t('sealing.length')" />
    <LengthInput v-model="form.gapMm" :bounds="bounds.Joint.gapMm" :label="t('sealing.gap')" />
    <LengthInput v-model="form.movementMm" :bounds="bounds.Joint.movementMm" :label="t('sealing.movement')" />
    <NumberInput
      :model-value="form.hotC ?? null"
      :bounds="bounds.Joint.hotC"
      class="wide"
      :label="t('sealing.hot')"
      @update:model-value="(deg) => (form.hotC = deg)"
    />
    <Ticks
      class="wide"
      :of="form"
      :choices="stands.map((s) => ({ key: s, text: t(`sealing.${s}`) }))"
      @tick="(s, on) => (form[s] = on)"
    />
    <TextField v-model="form.notes" class="wide" :label="t('app.notes')" :most="4000" lines />
    <Action v-if="joint.row" @click="emit('remove')">{{ t('app.remove') }}</Action>
  </Dialogue>
</template>
