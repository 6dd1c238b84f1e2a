<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import LengthInput from '@/ui/LengthInput.vue'
import RecordDialogue from '@/ui/RecordDialogue.vue'
import type { usePanelRecord } from '@/app/usePanelRecord'

/** Something put on a panel or into it. */
const props = defineProps<{ record: ReturnType<typeof usePanelRecord<Schemas['Covering']>> }>()
const { t } = useI18n()
const { edited, isTyped, wrong, save, remove } = props.record
const kinds = enums.CoveringKind
const edges = ['sMinMm', 'sMaxMm', 'tMinMm', 'tMaxMm'] as const
async function keep() {
  const e = edited.value!
  if (e.value.name.trim() === '') e.value.name = t(`waysOut.kinds.${e.value.kind}`)
  await save()
}
</script>

<template>
  <RecordDialogue
    v-model="edited"
    :is-typed="isTyped"
    :title="edited?.row?.value.name ?? t('waysOut.addCovering')"
    :wrong="wrong"
    @save="keep"
    @remove="remove"
  >
    <template #default="{ value }">
      <label class="named">
        {{ t('app.kind') }}
        <select v-model="value.kind" class="field">
          <option v-for="k in kinds" :key="k" :value="k">{{ t(`waysOut.kinds.${k}`) }}</option>
        </select>
      </label>
      <label class="named">
        {{ t('app.name') }}
        <input v-model="value.name" class="field" maxlength="80" :placeholder="t(`waysOut.kinds.${value.kind}`)" />
      </label>
      <LengthInput v-for="edge in edges" :key="edge" v-model="value.area[edge]" :label="t(`waysOut.edges.${edge}`)" />
      <label v-if="value.kind === 'patch'" class="named">
        {{ t('waysOut.lap') }}
        <select v-model="value.lap" class="field">
          <option v-for="l in enums.Lap" :key="l" :value="l">
            {{ t(`waysOut.laps.${l}`) }}
          </option>
        </select>
      </label>
      <label class="named">
        {{ t('findings.state') }}
        <select v-model="value.planned" class="field">
          <option :value="true">{{ t('waysOut.planned') }}</option>
          <option :value="false">{{ t('waysOut.done') }}</option>
        </select>
      </label>
      <label class="named wide">
        <span class="row"><input v-model="value.sealedAtBottom" type="checkbox" /> {{ t('waysOut.sealedAtBottom') }}</span>
      </label>
      <label class="named wide">{{ t('app.notes') }}<textarea v-model="value.notes" class="field" maxlength="4000" /></label>
    </template>
  </RecordDialogue>
</template>
