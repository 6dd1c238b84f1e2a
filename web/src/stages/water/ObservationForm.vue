<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import NumberInput from '@/ui/NumberInput.vue'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import type { usePanelRecord } from '@/app/usePanelRecord'
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
      <label class="named">
        {{ t('leaks.after') }}
        <select
          class="field"
          :value="value.kind"
          :disabled="value.kind === 'waterTest'"
          @change="setKind(($event.target as HTMLSelectElement).value as Schemas['ObservationKind'])"
        >
          <option v-if="value.kind === 'waterTest'" value="waterTest">{{ t('leaks.observationKinds.waterTest') }}</option>
          <option value="rain">{{ t('leaks.observationKinds.rain') }}</option>
          <option value="moisture">{{ t('leaks.observationKinds.moisture') }}</option>
        </select>
      </label>
      <label v-if="value.kind !== 'moisture'" class="named">
        {{ t('leaks.result') }}
        <select v-model="value.wet" class="field">
          <option :value="true">{{ t('leaks.wet') }}</option>
          <option :value="false">{{ t('leaks.dry') }}</option>
        </select>
      </label>
      <label v-if="value.kind === 'rain'" class="named">
        {{ t('leaks.wind') }}
        <select v-model="value.wind" class="field">
          <option :value="null">{{ t('leaks.winds.unknown') }}</option>
          <option v-for="w in enums.WindFrom" :key="w" :value="w">
            {{ t(`leaks.winds.${w}`) }}
          </option>
        </select>
      </label>
      <template v-if="value.spray">
        <NumberInput v-model="value.spray.minutes" :label="t('leaks.sprayed')" required />
        <NumberInput v-if="value.wet" v-model="value.afterMinutes" :label="t('leaks.wetAfter')" />
      </template>
      <NumberInput
        v-model="value.moisturePercent"
        :label="t('findings.moisture')"
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
      <label class="named">{{ t('findings.seenBy') }}<input v-model="value.seenBy" class="field" maxlength="80" /></label>
      <label class="named wide">
        <span class="row">
          <input
            type="checkbox"
            :checked="value.attitude !== null"
            @change="(e) => (value.attitude = (e.target as HTMLInputElement).checked ? { pitchDeg: 0, rollDeg: 0 } : null)"
          />
          {{ t('leaks.stoodOtherwise') }}
        </span>
      </label>
      <template v-if="value.attitude">
        <NumberInput v-model="value.attitude.pitchDeg" :label="t('water.pitchDeg')" required />
        <NumberInput v-model="value.attitude.rollDeg" :label="t('water.rollDeg')" required />
      </template>
      <label class="named wide">{{ t('app.notes') }}<textarea v-model="value.notes" class="field" maxlength="4000" /></label>
    </template>
  </RecordDialogue>
</template>
