<script setup lang="ts">
import { Drawer } from 'ant-design-vue'
import { shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Schemas } from '@/api/client'
import { useState } from '@/app/state'
import { conditions, suspectKinds } from './kinds'

/** How likely a suspect leaks before any evidence: assumptions, to be changed by whoever knows better. */
const open = defineModel<boolean>({ required: true })
const { t } = useI18n()
const { shell, change } = useState()
const usual = shallowRef<Schemas['LeakPrior'][]>([])
watch(open, async (now) => {
  if (now && usual.value.length === 0) usual.value = await got(api.GET('/api/leak-priors'))
})
type Kind = (typeof suspectKinds)[number]
type State = (typeof conditions)[number]
const changed = (kind: Kind, condition: State) =>
  shell.value!.leakPriors.find((p) => p.value.kind === kind && p.value.condition === condition)
const usualOf = (kind: Kind, condition: State) =>
  usual.value.find((p) => p.kind === kind && p.condition === condition)?.probability ?? 0
const percent = (kind: Kind, condition: State) =>
  Math.round(100 * (changed(kind, condition)?.value.probability ?? usualOf(kind, condition)))

async function set(kind: Kind, condition: State, field: HTMLInputElement) {
  const number = Number(field.value.replace(',', '.'))
  const row = changed(kind, condition)
  const vehicleId = shell.value!.vehicle.id
  const backToUsual = field.value.trim() === '' || number === Math.round(100 * usualOf(kind, condition))
  if (!Number.isFinite(number) || (backToUsual && !row)) {
    field.value = String(percent(kind, condition))
    return
  }
  await change(async () => {
    const body = { kind, condition, probability: number / 100 }
    if (!row) return await got(api.POST('/api/vehicles/{vehicleId}/leak-priors', { params: { path: { vehicleId } }, body }))
    const params = { path: { vehicleId, id: row.id }, header: ifMatch(row.version) }
    if (backToUsual) return await got(api.DELETE('/api/vehicles/{vehicleId}/leak-priors/{id}', { params }))
    return await got(api.PUT('/api/vehicles/{vehicleId}/leak-priors/{id}', { params, body }))
  })
  field.value = String(percent(kind, condition))
}
</script>

<template>
  <Drawer v-model:open="open" :title="t('leaks.priors')" width="min(720px, 100vw)">
    <p class="soft">{{ t('leaks.priorsMore') }}</p>
    <table class="figures">
      <thead>
        <tr>
          <th />
          <th v-for="c in conditions" :key="c" class="n">{{ t(`leaks.conditions.${c}`) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="k in suspectKinds" :key="k">
          <td>{{ t(`leaks.kinds.${k}`) }}</td>
          <td v-for="c in conditions" :key="c" class="n">
            <input
              class="field"
              inputmode="numeric"
              :class="{ own: changed(k, c) }"
              :value="percent(k, c)"
              :aria-label="`${t(`leaks.kinds.${k}`)}, ${t(`leaks.conditions.${c}`)}, %`"
              @change="set(k, c, $event.target as HTMLInputElement)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </Drawer>
</template>

<style scoped>
.field {
  width: 58px;
  text-align: right;
}
.own {
  border-color: var(--rust);
  font-weight: 700;
}
</style>
