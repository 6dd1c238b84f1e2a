<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { said } from '@/app/state'

/** A radius, typed or worked out from a straight-edge: its length and how far the skin stands off its middle. */
defineProps<{ label: string }>()
const radius = defineModel<number | null>({ required: true })
const { t } = useI18n()
const open = ref(false)
const chord = ref<number | null>(null)
const rise = ref<number | null>(null)
const wrong = ref('')
watch([chord, rise], async () => {
  if (chord.value === null || rise.value === null) return
  try {
    radius.value = (
      await got(api.POST('/api/calculators/sagitta', { body: { radiusMm: null, chordMm: chord.value, riseMm: rise.value } }))
    ).result.radiusMm
    wrong.value = ''
  } catch (e) {
    wrong.value = said(e)
  }
})
</script>

<template>
  <div>
    <LengthInput v-model="radius" :label="label" optional />
    <button class="btn plain by" type="button" :aria-expanded="open" @click="open = !open">{{ t('walkaround.byChord') }}</button>
    <div v-if="open" class="pair">
      <LengthInput v-model="chord" :label="t('walkaround.chord')" optional />
      <LengthInput v-model="rise" :label="t('walkaround.rise')" optional />
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    </div>
  </div>
</template>

<style scoped>
.by {
  min-height: 28px;
  padding: 0;
  color: var(--teal);
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
</style>
