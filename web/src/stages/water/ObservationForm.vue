<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import NumberInput from '@/ui/NumberInput.vue'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import type { usePanelRecord } from '@/app/usePanelRecord'
import TextField from '@/ui/TextField.vue'
import Choice from '@/ui/Choice.vue'
import { rememberPerson } from '@/app/person'

/** A place inside that was looked at after rain, or that the meter was held to. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Schemas['Observation']>> }>()
const { t } = useI18n()
const { edited, isTyped, wrong, save, remove } = props.record

function setKind(kind: Schemas['ObservationKind']) {
  const o = edited.value!.value
  o.kind = kind
  o.wet = kind === 'moisture' ? null : true
}
/** A water test is written down by its run and stays one. */
const kinds = (kind: Schemas['ObservationKind']) =>
  (kind === 'waterTest' ? (['waterTest'] as const) : (['rain', 'moisture'] as const)).map((value) => ({
    value: value as Schemas['ObservationKind'],
    text: t(`leaks.observationKinds.${value}`),
  }))
async function keep() {
  rememberPerson(edited.value!.value.seenBy)
  await save()
}
</script>

<template>
  <RecordDialogue
    v-model="edited"
    :is-typed="isTyped"
    :title="t(edited?.row ? 'leaks.changeCheck' : 'leaks.looked')"
    :wrong="wrong"
    :place="edited?.value.place"
    @update:place="(p) => edited && p && (edited.value.place = p)"
    @save="keep"
    @remove="remove"
  >
    <template #default="{ value }">
      <Choice
        :model-value="value.kind"
        :label="t('leaks.after')"
        :options="kinds(value.kind)"
        :disabled="value.kind === 'waterTest'"
        @update:model-value="setKind"
      />
      <Choice
        v-if="value.kind !== 'moisture'"
        v-model="value.wet"
        :label="t('leaks.result')"
        :options="[
          { value: true, text: t('leaks.wet') },
          { value: false, text: t('leaks.dry') },
        ]"
      />
      <Choice
        v-if="value.kind === 'rain'"
        v-model="value.wind"
        :label="t('leaks.wind')"
        :options="[
          { value: null, text: t('leaks.winds.unknown') },
          ...enums.WindFrom.map((w) => ({ value: w, text: t(`leaks.winds.${w}`) })),
        ]"
      />
      <template v-if="value.spray">
        <NumberInput v-model="value.spray.minutes" :label="t('leaks.sprayed')" required />
        <NumberInput v-if="value.wet" v-model="value.afterMinutes" :label="t('leaks.wetAfter')" />
      </template>
      <NumberInput
        v-model="value.moisturePercent"
        :label="t('findings.figure.moisture')"
        meter="moisturePercent"
        :required="value.kind === 'moisture'"
      />
      <label class="named">
        {{ t('leaks.when') }}
        <input
          class="field"
          type="date"
          :value="value.seenAt.slice(0, 10)"
          @change="
            (e) =>
              (e.target as HTMLInputElement).value && (value.seenAt = `${(e.target as HTMLInputElement).value}T12:00:00.000Z`)
          "
        />
      </label>
      <TextField v-model="value.seenBy" :label="t('findings.seenBy')" :most="80" />
      <Checkbox
        class="wide"
        :checked="value.attitude !== null"
        @update:checked="(on) => (value.attitude = on ? { pitchDeg: 0, rollDeg: 0 } : null)"
        >{{ t('leaks.stoodOtherwise') }}</Checkbox
      >
      <template v-if="value.attitude">
        <NumberInput v-model="value.attitude.pitchDeg" :label="t('water.pitchDeg')" required />
        <NumberInput v-model="value.attitude.rollDeg" :label="t('water.rollDeg')" required />
      </template>
      <TextField v-model="value.notes" class="wide" :label="t('app.notes')" :most="4000" lines />
    </template>
  </RecordDialogue>
</template>
