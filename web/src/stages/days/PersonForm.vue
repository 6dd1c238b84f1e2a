<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import type { Schemas, Stored } from '@/api/client'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import Action from '@/ui/Action.vue'
import TextField from '@/ui/TextField.vue'
import type { Person, useDays } from './useDays'

/** Somebody who works on the vehicle, and when. Times are native inputs: a phone has its own wheel for them. */
const props = defineProps<{ stage: ReturnType<typeof useDays>; week: readonly Schemas['DayOfWeek'][] }>()
const edited = defineModel<{ row: Stored<Person> | null; value: Person } | null>({ required: true })
const { t } = useI18n()
const isTyped = useDraft({
  kind: () => 'person',
  typed: () => edited.value,
  what: () => `${t('app.draft.person')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const leave = leaving(isTyped, () => (edited.value = null))
const shown = (hour: number | undefined) =>
  hour === undefined ? '' : `${String(Math.floor(hour)).padStart(2, '0')}:${String(Math.round((hour % 1) * 60)).padStart(2, '0')}`
const of = (day: Schemas['DayOfWeek']) => edited.value!.value.hours.find((h) => h.day === day)
/** A day with both times cleared is free; one that gets a first time works until five, or from eight. */
function set(day: Schemas['DayOfWeek'], which: 'fromHour' | 'toHour', text: string) {
  const value = edited.value!.value
  const rest = value.hours.filter((h) => h.day !== day)
  const [h, m] = text.split(':').map(Number)
  value.hours = text
    ? [...rest, { day, fromHour: 8, toHour: 17, ...of(day), [which]: h! + m! / 60 }].sort(
        (a, b) => props.week.indexOf(a.day) - props.week.indexOf(b.day),
      )
    : rest
}
async function keep() {
  const { row, value } = edited.value!
  if (await props.stage.savePerson(row, value)) edited.value = null
}
</script>

<template>
  <Modal
    :open="edited !== null"
    :title="t('days.person')"
    :ok-text="t('app.save')"
    :cancel-text="t('app.cancel')"
    destroy-on-close
    @ok="keep"
    @cancel="leave"
  >
    <form v-if="edited" class="form" @submit.prevent="keep">
      <TextField v-model="edited.value.name" class="wide" :label="t('days.name')" :most="80" />
      <div v-for="day in week" :key="day" class="wide day">
        <span>{{ t(`days.weekday.${day}`) }}</span>
        <input
          class="field"
          type="time"
          :aria-label="t('days.hoursFrom', { day: t(`days.weekday.${day}`) })"
          :value="shown(of(day)?.fromHour)"
          @change="(e) => set(day, 'fromHour', (e.target as HTMLInputElement).value)"
        />
        <input
          class="field"
          type="time"
          :aria-label="t('days.hoursTo', { day: t(`days.weekday.${day}`) })"
          :value="shown(of(day)?.toHour)"
          @change="(e) => set(day, 'toHour', (e.target as HTMLInputElement).value)"
        />
        <span v-if="!of(day)" class="soft">{{ t('days.free') }}</span>
      </div>
      <Action v-if="edited.row" look="plain" @click="stage.removePerson(edited.row).then(() => (edited = null))">
        {{ t('app.remove') }}
      </Action>
    </form>
  </Modal>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-columns: 100px 120px 120px 1fr;
  gap: 8px;
  align-items: center;
}
</style>
