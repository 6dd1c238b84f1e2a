<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import { said, useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'

/** Radius, chord and rise of a curved skin: two of them give the third. */
const { t } = useI18n()
const { lengths } = useState()
const typed = reactive({ radiusMm: null as number | null, chordMm: null as number | null, riseMm: null as number | null })
const found = ref<Schemas['WorkedOfArcFigures'] | null>(null)
const wrong = ref('')
let asked = 0
watch(typed, async () => {
  const own = ++asked
  wrong.value = ''
  if (Object.values(typed).filter((v) => v !== null).length !== 2) {
    found.value = null
    return
  }
  try {
    const answer = await got(api.POST('/api/calculators/sagitta', { body: { ...typed } }))
    if (own === asked) found.value = answer
  } catch (e) {
    if (own !== asked) return
    found.value = null
    wrong.value = said(e)
  }
})
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('figures.sagittaMore') }}</p>
    <div class="form">
      <LengthInput v-model="typed.chordMm" :label="t('figures.chord')" optional />
      <LengthInput v-model="typed.riseMm" :label="t('figures.rise')" optional />
      <LengthInput v-model="typed.radiusMm" :label="t('figures.radiusOfSkin')" optional />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <table v-if="found" class="figures narrow" data-testid="sagitta">
      <tbody>
        <tr v-for="key in ['riseMm', 'chordMm', 'radiusMm', 'arcMm'] as const" :key="key">
          <td>{{ t(`figures.arc.${key}`) }}</td>
          <td class="n">
            <b>{{ lengthText(found.result[key], lengths) }}</b>
          </td>
          <td class="n soft">{{ found.result[key].toFixed(2) }} mm</td>
        </tr>
      </tbody>
    </table>
  </div>
  <aside>
    <WorkedSteps :title="t('figures.sagitta')" :worked="found" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 720px;
}
.narrow {
  max-width: 520px;
}
</style>
