<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import { said, useState } from '@/app/state'
import TextField from '@/ui/TextField.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'

/** Lines that look parallel, measured from one datum at two places: by how much they differ over an opening. */
const { t } = useI18n()
const { lengths } = useState()
interface Typed {
  name: string
  firstMm: number | null
  secondMm: number | null
}
const lines = reactive<Typed[]>([
  { name: t('figures.line.top'), firstMm: null, secondMm: null },
  { name: t('figures.line.body'), firstMm: null, secondMm: null },
])
const form = reactive({ apartMm: 2000 as number | null, openingMm: 1100 as number | null })
const found = ref<Schemas['WorkedOfIReadOnlyListOfLinePair'] | null>(null)
const wrong = ref('')
let asked = 0
watch([lines, form], async () => {
  const own = ++asked
  wrong.value = ''
  if (lines.some((l) => l.firstMm === null || l.secondMm === null) || form.apartMm === null || form.openingMm === null) {
    found.value = null
    return
  }
  try {
    const answer = await got(
      api.POST('/api/calculators/parallel-lines', {
        body: { lines: lines as Schemas['MeasuredLine'][], apartMm: form.apartMm, openingMm: form.openingMm },
      }),
    )
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
    <p class="soft">{{ t('figures.linesMore') }}</p>
    <div class="form">
      <LengthInput v-model="form.apartMm" :label="t('figures.apart')" />
      <LengthInput v-model="form.openingMm" :label="t('figures.overOpening')" />
    </div>
    <div v-for="(line, i) in lines" :key="i" class="form line">
      <TextField v-model="line.name" :label="t('figures.lineName')" :most="80" />
      <LengthInput v-model="line.firstMm" :label="t('figures.atFirst')" optional />
      <LengthInput v-model="line.secondMm" :label="t('figures.atSecond')" optional />
    </div>
    <button class="btn" type="button" @click="lines.push({ name: t('figures.line.pillar'), firstMm: null, secondMm: null })">
      {{ t('figures.addLine') }}
    </button>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <template v-if="found">
      <table class="figures narrow" data-testid="lines">
        <tbody>
          <tr v-for="pair in found.result" :key="pair.first + pair.second">
            <td>{{ t('figures.against', { first: pair.first, second: pair.second }) }}</td>
            <td class="n">
              <b>{{ lengthText(pair.overOpeningMm, lengths) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-for="w in found.warnings" :key="w" class="wrong">{{ w }}</p>
    </template>
  </div>
  <aside>
    <WorkedSteps :title="t('figures.lines')" :worked="found" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 720px;
}
.line {
  margin-top: 10px;
}
.narrow {
  max-width: 520px;
  margin-top: 12px;
}
</style>
