<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import Switch from '@/ui/Switch.vue'
import { lengthText } from './length'
import { fieldName, together, twoVersions, type Difference } from './newer'
import { useState } from './state'

/** Two people have changed one record: both versions side by side, field by field, and the choice is saved. */
const { t } = useI18n()
const { lengths } = useState()
const choices = ref<('mine' | 'theirs')[]>([])
watch(twoVersions, (now) => (choices.value = now?.differences.map((d) => d.usual) ?? []), { immediate: true })

/** A figure or a word as it stands in forms; what is too long for a line is counted. */
function written({ path }: Difference, value: unknown): string {
  const name = path.at(-1)!
  if (value === null || value === undefined || value === '') return t('newer.nothing')
  if (typeof value === 'boolean') return t(value ? 'app.yes' : 'app.no')
  if (typeof value === 'number') return /Mm$/.test(name) ? lengthText(value, lengths.value) : String(value)
  if (Array.isArray(value)) return t('newer.list', { n: value.length }, value.length)
  if (typeof value === 'object')
    return Object.entries(value)
      .map(([part, one]) => written({ path: [part] } as unknown as Difference, one))
      .join(' / ')
  if (/Ids?$/.test(name)) return t('newer.another')
  if (/^\d{4}-\d\d-\d\dT/.test(value as string)) return new Date(value as string).toLocaleString()
  return (value as string).replace(
    /^([a-z]+)((?:[A-Z][a-z]+)+)$/,
    (_, a: string, b: string) => a + b.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`),
  )
}
function save() {
  const two = twoVersions.value!
  two.decide(
    together(
      two.mine,
      two.differences.filter((_, i) => choices.value[i] === 'theirs'),
    ),
  )
}
</script>

<template>
  <Modal
    :open="twoVersions !== null"
    :title="t('newer.title')"
    :ok-text="t('newer.save')"
    :cancel-text="t('newer.later')"
    :mask-closable="false"
    destroy-on-close
    @ok="save"
    @cancel="twoVersions?.decide(null)"
  >
    <p>{{ t('newer.more') }}</p>
    <table v-if="twoVersions" class="figures" data-testid="newer">
      <thead>
        <tr>
          <th>{{ t('newer.field') }}</th>
          <th>{{ t('newer.mine') }}</th>
          <th>{{ t('newer.theirs') }}</th>
          <th>{{ t('newer.stands') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(d, i) in twoVersions.differences" :key="d.path.join('.')">
          <td>{{ fieldName(d.path) }}</td>
          <td :class="{ chosen: choices[i] === 'mine' }">{{ written(d, d.mine) }}</td>
          <td :class="{ chosen: choices[i] === 'theirs' }">{{ written(d, d.theirs) }}</td>
          <td>
            <Switch
              v-model="choices[i]!"
              :label="fieldName(d.path)"
              :choices="[
                { key: 'mine', text: t('newer.mine') },
                { key: 'theirs', text: t('newer.theirs') },
              ]"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </Modal>
</template>

<style scoped>
td {
  overflow-wrap: anywhere;
}
.chosen {
  font-weight: 600;
}
</style>
