<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas, Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { copyOf } from '@/app/copy'
import Action from '@/ui/Action.vue'
import Switch from '@/ui/Switch.vue'
import PersonForm from './PersonForm.vue'
import type { Person, useDays } from './useDays'

/** Who works on the vehicle, and how careful to be before a cut. */
const props = defineProps<{ people: readonly Stored<Person>[]; care: Schemas['CutCare']; stage: ReturnType<typeof useDays> }>()
const { t } = useI18n()
const edited = ref<{ row: Stored<Person> | null; value: Person } | null>(null)
/** Weekdays from Monday on, as the week is worked. */
const week = [...enums.DayOfWeek.slice(1), enums.DayOfWeek[0]!]
const begin = () =>
  (edited.value = {
    row: null,
    value: { name: t('days.newPerson'), hours: week.slice(0, 5).map((day) => ({ day, fromHour: 8, toHour: 17 })) },
  })
const clock = (hour: number) => `${Math.floor(hour)}:${String(Math.round((hour % 1) * 60)).padStart(2, '0')}`
/** Days with the same hours are told together: Mon–Fri 8:00–17:00. */
const hoursOf = (p: Person) => {
  const short = (day: Schemas['DayOfWeek']) => t(`days.weekday.${day}`).slice(0, 3)
  const runs: { first: number; last: number; text: string }[] = []
  week.forEach((day, i) => {
    const text = p.hours
      .filter((h) => h.day === day)
      .map((h) => `${clock(h.fromHour)}–${clock(h.toHour)}`)
      .join(', ')
    const before = runs.at(-1)
    if (before && before.text === text) before.last = i
    else runs.push({ first: i, last: i, text })
  })
  return runs
    .filter((r) => r.text)
    .map((r) => `${short(week[r.first]!)}${r.last > r.first ? `–${short(week[r.last]!)}` : ''} ${r.text}`)
    .join('; ')
}
const slow = computed<'true' | 'false'>(() => (props.care.slow ? 'true' : 'false'))
const limits = ['10', '20', '30'] as const
const limit = computed(() => String(props.care.mostRainPercent) as (typeof limits)[number])
</script>

<template>
  <h2>{{ t('days.care') }}</h2>
  <div class="named">
    <span>{{ t('days.slowLabel') }}</span>
    <Switch
      :model-value="slow"
      :label="t('days.slowLabel')"
      :choices="[
        { key: 'true', text: t('days.slow.true') },
        { key: 'false', text: t('days.slow.false') },
      ]"
      @update:model-value="(s) => stage.setCare({ ...care, slow: s === 'true' })"
    />
  </div>
  <div class="named">
    <span>{{ t('days.rain') }}</span>
    <Switch
      :model-value="limit"
      :label="t('days.rain')"
      :choices="limits.map((n) => ({ key: n, text: t('days.percent', { n }) }))"
      @update:model-value="(n) => stage.setCare({ ...care, mostRainPercent: Number(n) })"
    />
  </div>
  <h2>{{ t('days.people') }}</h2>
  <p v-if="people.length === 0" class="soft">{{ t('days.nobody') }}</p>
  <ul v-else data-testid="people">
    <li v-for="p in people" :key="p.id">
      <button class="btn plain" type="button" @click="edited = { row: p, value: copyOf(p.value) }">
        <b>{{ p.value.name }}</b>
        <span class="soft">{{ hoursOf(p.value) || t('days.free') }}</span>
      </button>
    </li>
  </ul>
  <Action @click="begin">{{ t('days.addPerson') }}</Action>
  <PersonForm v-model="edited" :stage="stage" :week="week" />
</template>

<style scoped>
ul {
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
.btn {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  width: 100%;
  text-align: left;
}
.named {
  margin-bottom: 8px;
}
</style>
