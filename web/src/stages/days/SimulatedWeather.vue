<script setup lang="ts">
import { message, Skeleton } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import { api, got, type Schemas } from '@/api/client'
import { cache } from '@/api/cache'
import { enums } from '@/api/enums'
import { said, useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import NumberInput from '@/ui/NumberInput.vue'
import DriftChart from './DriftChart.vue'

/** The page of the simulated weather service: what it says, and what the made-up weather will really do. */
const { t } = useI18n()
const { shell, load } = useState()
const climate = ref<Schemas['Climate']>('coast')
const seed = ref(1)
const latitudeDeg = ref(shell.value?.vehicle.value.place?.latitudeDeg ?? 50)
const longitudeDeg = ref(shell.value?.vehicle.value.place?.longitudeDeg ?? 0)
const service = useAnswer(
  () =>
    [
      'simulated',
      { climate: climate.value, seed: seed.value, latitudeDeg: latitudeDeg.value, longitudeDeg: longitudeDeg.value },
    ] as const,
  ([, query], signal) => got(api.GET('/api/simulated-weather', { params: { query }, signal })),
)
const clock = computed(() => service.answer.value?.now.slice(0, 16).replace('T', ' ') ?? '')
async function step() {
  try {
    await got(api.POST('/api/simulated-weather/step'))
    await cache.invalidateQueries()
    if (shell.value) await load(shell.value.vehicle.id)
    await service.again()
  } catch (e) {
    void message.error({ content: said(e), duration: 6 })
  }
}
</script>

<template>
  <div class="screen">
    <header>
      <h1>{{ t('simulated.title') }}</h1>
      <div class="sp" />
      <Action v-if="service.answer.value?.isClockSet" look="main" @click="step">{{ t('simulated.step') }}</Action>
    </header>
    <div class="page" tabindex="0">
      <p class="warn">{{ t('simulated.what') }}</p>
      <p v-if="service.wrong.value" class="wrong" role="alert">{{ service.wrong.value }}</p>
      <Skeleton v-else-if="!service.answer.value" active :title="false" />
      <template v-else>
        <p>
          {{ t('simulated.clock', { at: clock }) }}
          <template v-if="!service.answer.value.isClockSet">{{ t('simulated.notSet') }}</template>
        </p>
        <h2>
          {{ t('simulated.issued', { at: service.answer.value.forecast.issuedAt.slice(0, 16).replace('T', ' ') }) }}
        </h2>
        <DriftChart :forecast="service.answer.value.forecast" :truth="service.answer.value.truth" />
        <p class="soft">{{ t('simulated.truthMore') }}</p>
      </template>
    </div>
    <aside>
      <Choice
        v-model="climate"
        :label="t('days.get.climate')"
        :options="enums.Climate.map((c) => ({ value: c, text: t(`days.get.climates.${c}`) }))"
      />
      <NumberInput v-model="seed" :bounds="bounds.SimulatedService.seed" :label="t('days.get.seed')" required />
      <NumberInput v-model="latitudeDeg" :bounds="bounds.Place.latitudeDeg" :label="t('simulated.latitude')" required />
      <NumberInput v-model="longitudeDeg" :bounds="bounds.Place.longitudeDeg" :label="t('simulated.longitude')" required />
    </aside>
  </div>
</template>

<style scoped>
.page {
  padding: 12px 24px 24px;
  overflow: auto;
}
</style>
