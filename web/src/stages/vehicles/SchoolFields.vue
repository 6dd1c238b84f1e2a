<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'

/** The choices where practitioners differ, each with what it costs. */
const schools = defineModel<Schemas['Schools']>({ required: true })
const { t } = useI18n()
const questions = {
  ribInTheWay: enums.RibInTheWay,
  ribOrder: enums.RibOrder,
  cutSize: enums.CutSize,
  bedding: enums.FlangeBedding,
  spacerRing: enums.SpacerRing,
  wideTrim: enums.WideTrim,
} as const
type Question = keyof typeof questions
// What an older record does not say yet is the default, which is the first.
const chosen = (q: Question) => schools.value[q] ?? questions[q][0]
const choose = (q: Question, event: Event) =>
  (schools.value = { ...schools.value, [q]: (event.target as HTMLSelectElement).value })
</script>

<template>
  <label v-for="(choices, q) in questions" :key="q" class="named">
    {{ t(`schools.${q}.ask`) }}
    <select :value="chosen(q)" class="field" @change="choose(q, $event)">
      <option v-for="c in choices" :key="c" :value="c">{{ t(`schools.${q}.${c}`) }}</option>
    </select>
    <span class="soft">{{ t(`schools.${q}.${chosen(q)}Cost`) }}</span>
  </label>
</template>

<style scoped>
.soft {
  font-weight: 400;
  font-size: 12.5px;
}
</style>
