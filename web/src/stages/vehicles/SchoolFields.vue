<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import Choice from '@/ui/Choice.vue'

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
const chosen = (q: Question): string => schools.value[q] ?? questions[q][0]
const options = (q: Question) => questions[q].map((value) => ({ value: value as string, text: t(`schools.${q}.${value}`) }))
</script>

<template>
  <div v-for="(_, q) in questions" :key="q">
    <Choice
      :model-value="chosen(q)"
      :label="t(`schools.${q}.ask`)"
      :options="options(q)"
      @update:model-value="(value) => (schools = { ...schools, [q]: value })"
    />
    <span class="soft">{{ t(`schools.${q}.${chosen(q)}Cost`) }}</span>
  </div>
</template>

<style scoped>
.soft {
  font-weight: 400;
  font-size: 12.5px;
}
</style>
