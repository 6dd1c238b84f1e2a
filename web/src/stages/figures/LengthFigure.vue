<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { said, useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'

const { t } = useI18n()
const { lengths } = useState()
const text = ref('')
const answer = ref<Schemas['WorkedOfParsedLength'] | null>(null)
const wrong = ref('')
let asked = 0

async function read() {
  const own = ++asked
  wrong.value = ''
  answer.value = null
  if (text.value.trim() === '') return
  try {
    const read = await got(api.POST('/api/calculators/length-parse', { body: { text: text.value, lengths: lengths.value } }))
    if (own === asked) answer.value = read
  } catch (e) {
    if (own === asked) wrong.value = said(e)
  }
}
watch([text, lengths], useDebounceFn(read, 200))
</script>

<template>
  <div class="page">
    <label class="named narrow">
      {{ t('figures.lengthText') }}
      <input v-model="text" class="field big" autofocus autocomplete="off" :placeholder="t('length.any')" />
    </label>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <template v-if="answer">
      <p class="huge" data-testid="length">{{ answer.result.mmText }} <span>=</span> {{ answer.result.inchText }}</p>
      <p class="soft">
        {{ t('figures.readAs', { how: answer.result.readAs }) }};
        {{ t('figures.nearest', { mm: Math.round(answer.result.fractionErrorMm * 1000) / 1000 }) }}
      </p>
    </template>
  </div>
  <aside>
    <WorkedSteps :title="t('figures.length')" :worked="answer" />
  </aside>
</template>

<style scoped>
.narrow {
  max-width: 360px;
}
.big {
  min-height: 52px;
  font-size: 22px;
}
.huge {
  margin-top: 18px;
  font: 600 34px 'Barlow Semi Condensed';
}
.huge span {
  color: var(--soft);
}
</style>
