<script setup lang="ts">
import { Checkbox, Modal } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import LengthInput from '@/app/LengthInput.vue'
import { leaving } from '@/app/leaving'
import NumberInput from '@/app/NumberInput.vue'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import { panelName } from '@/drawing/facing'
import { jointKinds, substrates } from './kinds'
import type { ShownJoint } from './useSealing'

/** A joint as it is: sides, width, movement, and what it has to stand. */
const props = defineProps<{ joint: ShownJoint; isTyped: () => boolean }>()
const form = defineModel<Schemas['Joint']>('value', { required: true })
const panelId = defineModel<string>('panelId', { required: true })
const emit = defineEmits<{ keep: []; close: []; remove: [] }>()
const { t } = useI18n()
const { shell } = useState()
const stands = ['sun', 'standingWater', 'removableLater', 'paintedOver', 'structural', 'unbroken'] as const
async function keep() {
  if (await lengthsRead()) emit('keep')
}
const leave = leaving(props.isTyped, () => emit('close'))
</script>

<template>
  <Modal open :title="t('sealing.editTitle')" :ok-text="t('app.save')" :cancel-text="t('app.cancel')" @ok="keep" @cancel="leave">
    <form class="form" @submit.prevent="keep">
      <label class="named wide">{{ t('app.name') }}<input v-model="form.name" class="field" maxlength="120" /></label>
      <label class="named">
        {{ t('findings.where') }}
        <select v-model="panelId" class="field" :disabled="joint.key !== ''">
          <option v-for="p in shell?.panels ?? []" :key="p.id" :value="p.id">{{ panelName(p.value) }}</option>
        </select>
      </label>
      <label class="named">
        {{ t('app.kind') }}
        <select v-model="form.kind" class="field">
          <option v-for="k in jointKinds" :key="k" :value="k">{{ t(`sealing.kind.${k}`) }}</option>
        </select>
      </label>
      <label v-for="side in ['one', 'other'] as const" :key="side" class="named">
        {{ t(`sealing.${side}`) }}
        <select v-model="form[side]" class="field">
          <option v-for="s in substrates" :key="s" :value="s">{{ t(`sealing.substrate.${s}`) }}</option>
        </select>
      </label>
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
      <div class="wide stands">
        <Checkbox v-for="s in stands" :key="s" v-model:checked="form[s]" class="stand">{{ t(`sealing.${s}`) }}</Checkbox>
      </div>
      <label class="named wide">{{ t('app.notes') }}<textarea v-model="form.notes" class="field" maxlength="4000" /></label>
      <button v-if="joint.row" class="btn" type="button" @click="emit('remove')">{{ t('app.remove') }}</button>
    </form>
  </Modal>
</template>

<style scoped>
.stands {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
.stand {
  margin-inline-start: 0 !important;
}
</style>
