<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Vehicle } from '@/api/client'
import { useDraft } from '@/app/drafts'
import Dialogue from '@/ui/Dialogue.vue'
import PapersFields from './PapersFields.vue'
import type { useLoad } from './useLoad'

/** What plate and papers say, to be typed before anything can be weighed. */
const props = defineProps<{ load: ReturnType<typeof useLoad>; trailer: boolean }>()
const edited = defineModel<{ masses: Vehicle['masses'] } | null>({ required: true })
const { t } = useI18n()
const isTyped = useDraft({
  kind: () => 'papers',
  typed: () => edited.value,
  what: () => t('load.papersTitle'),
  take: (draft) => (edited.value = draft),
})
async function keep() {
  if (await props.load.savePapers(edited.value!.masses)) edited.value = null
}
</script>

<template>
  <Dialogue v-if="edited" :title="t('load.papersTitle')" :is-typed="isTyped" @save="keep" @close="edited = null">
    <p class="wide soft">{{ t('load.papersMore') }}</p>
    <PapersFields v-model="edited.masses" :trailer="trailer" />
  </Dialogue>
</template>
