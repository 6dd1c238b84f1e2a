<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { leaving } from '@/app/leaving'
import { dayText } from '@/app/moment'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import NumberInput from '@/ui/NumberInput.vue'
import Switch from '@/ui/Switch.vue'
import SkyKey from './SkyKey.vue'
import { blank, dayAfter, firstMissing, isOver, parts, said, type TypedDay } from './typedDays'
import type { Climate, useDays } from './useDays'

/** New weather: typed in a minute, from a table, or from the simulated service. */
const props = defineProps<{
  now: string
  service: Schemas['SimulatedService'] | null
  stage: ReturnType<typeof useDays>
  isTyped: () => boolean
}>()
/** The days as they are typed. */
const days = defineModel<TypedDay[]>({ required: true })
const emit = defineEmits<{ close: [] }>()
const { t } = useI18n()
const from = ref<'typed' | 'table' | 'simulated'>('typed')
const climate = ref<Climate>(props.service?.climate ?? 'coast')
const seed = ref(props.service?.seed ?? 1)
const busy = ref(false)
const notes = ref<string[] | null>(null)

const leave = leaving(props.isTyped, () => emit('close'))
const more = () => days.value.push(blank(dayAfter(days.value.at(-1)!.date)))
/** What is still to be said, in words; empty where nothing is. */
const missing = computed(() => {
  const first = firstMissing(days.value, props.now)
  if (first === null) return ''
  const { date, field } = first
  const what =
    field === 'highC' || field === 'lowC' || field === 'windMs'
      ? t(`days.get.${({ highC: 'high', lowC: 'low', windMs: 'wind' } as const)[field]}`)
      : t(`days.get.part.${field}`)
  return t('days.get.missing', { what: `${dayText(`${date}T00:00`)}, ${what}` })
})

async function keep() {
  busy.value = true
  const done =
    from.value === 'typed' ? await props.stage.typed(said(days.value)) : await props.stage.simulated(climate.value, seed.value)
  busy.value = false
  if (done) emit('close')
}
async function readTable(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  busy.value = true
  notes.value = (await props.stage.table(file)) ?? null
  busy.value = false
  input.value = ''
}
const okText = computed(() => (from.value === 'simulated' ? t('days.get.fetch') : t('app.save')))
</script>

<template>
  <Modal
    open
    :title="t('days.get.title')"
    :width="720"
    :footer="from === 'table' ? null : undefined"
    :ok-text="okText"
    :cancel-text="t('app.cancel')"
    :confirm-loading="busy"
    :ok-button-props="{ disabled: from === 'typed' && missing !== '' }"
    @ok="keep"
    @cancel="leave"
  >
    <Switch
      v-model="from"
      tabs
      :label="t('days.get.label')"
      :choices="(['typed', 'table', 'simulated'] as const).map((key) => ({ key, text: t(`days.get.${key}`) }))"
    />
    <template v-if="from === 'typed'">
      <p class="soft">{{ t('days.get.typedMore') }}</p>
      <div v-for="(d, i) in days" :key="d.date" class="day" :data-date="d.date">
        <b>{{ dayText(`${d.date}T00:00`, 'long') }}</b>
        <div class="parts">
          <SkyKey
            v-for="part in parts"
            :key="part"
            v-model="days[i]![part]"
            :part="t(`days.get.part.${part}`)"
            :day="dayText(`${d.date}T00:00`)"
            :over="isOver(d.date, part, now)"
          />
        </div>
        <div class="figures-row">
          <NumberInput v-model="days[i]!.highC" :bounds="bounds.DayWeather.highC" :label="t('days.get.high')" />
          <NumberInput v-model="days[i]!.lowC" :bounds="bounds.DayWeather.lowC" :label="t('days.get.low')" />
          <NumberInput v-model="days[i]!.windMs" :bounds="bounds.DayWeather.windMs" :label="t('days.get.wind')" />
        </div>
      </div>
      <div class="row">
        <Action @click="more">{{ t('days.get.addDay') }}</Action>
        <Action v-if="days.length > 1" look="plain" @click="days.pop()">{{ t('days.get.dropDay') }}</Action>
      </div>
      <p v-if="missing" class="soft" role="status">{{ missing }}</p>
    </template>
    <template v-else-if="from === 'table'">
      <p class="soft">{{ t('days.get.tableMore') }}</p>
      <div class="row">
        <label class="btn main">
          {{ t('days.get.file') }}
          <input class="hidden" type="file" accept=".csv,.txt,text/csv" :disabled="busy" @change="readTable" />
        </label>
        <Action v-if="notes" @click="emit('close')">{{ t('app.close') }}</Action>
      </div>
      <p v-if="notes" role="status">
        {{ notes.length > 0 ? t('days.get.read', { notes: notes.join(' ') }) : t('days.get.readAll') }}
      </p>
    </template>
    <template v-else>
      <p class="warn">{{ t('days.get.simulatedMore') }}</p>
      <div class="form two">
        <Choice
          v-model="climate"
          :label="t('days.get.climate')"
          :options="enums.Climate.map((c) => ({ value: c, text: t(`days.get.climates.${c}`) }))"
        />
        <NumberInput v-model="seed" :bounds="bounds.SimulatedService.seed" :label="t('days.get.seed')" required />
      </div>
      <RouterLink :to="{ name: 'simulated-weather' }">{{ t('days.get.toService') }}</RouterLink>
    </template>
  </Modal>
</template>

<style scoped>
.day {
  display: grid;
  grid-template-columns: 1fr;
  gap: 6px;
  padding: 10px 0;
  border-top: 1px solid var(--rule);
}
.parts {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px;
}
.figures-row {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.two {
  grid-template-columns: 1fr 1fr;
  margin-bottom: 8px;
}
</style>
