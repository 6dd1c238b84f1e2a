<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { amountText } from '@/app/length'
import { said, useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import type { OpeningWork } from './useOpening'

/** What is done, in order, with the figures of this opening: to read through before the first cut, and to print. */
const props = defineProps<{ work: OpeningWork }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const answer = shallowRef<Schemas['WorkedOfProcedure'] | null>(null)
const trouble = ref('')
const paper = ref<'a4' | 'a3' | 'letter'>(lengths.value.units === 'inch' ? 'letter' : 'a4')
const path = computed(() => ({ vehicleId: shell.value!.vehicle.id, id: props.work.row!.id }))
const sheet = (name: string) => `/api/vehicles/${path.value.vehicleId}/openings/${path.value.id}/${name}?paper=${paper.value}`
watch(
  () => `${props.work.row!.id} ${props.work.row!.version} ${JSON.stringify(props.work.site)}`,
  async () => {
    try {
      answer.value = await got(api.GET('/api/vehicles/{vehicleId}/openings/{id}/steps', { params: { path: path.value } }))
      trouble.value = ''
    } catch (e) {
      ;[answer.value, trouble.value] = [null, said(e)]
    }
  },
  { immediate: true },
)
const p = computed(() => answer.value?.result)
const span = (minutes: number) =>
  minutes < 90 ? t('steps.min', { n: Math.round(minutes) }) : t('steps.hours', { n: Math.round(minutes / 6) / 10 })
const range = (m: Schemas['Minutes']) => t('steps.span', { quick: span(m.quick), slow: span(m.slow), likely: span(m.likely) })
function flags(s: Schemas['WorkStep']): string[] {
  const w = s.weather
  return [
    t(`steps.place.${s.place}`),
    ...(s.people > 1 ? [t('steps.people', { n: s.people })] : []),
    ...(w.dry ? [t('steps.dry')] : []),
    ...(w.windBelowMs !== null ? [t('steps.wind', { n: w.windBelowMs })] : []),
    ...(w.fromC !== null && w.toC !== null ? [t('steps.warm', { from: w.fromC, to: w.toC })] : []),
    span(s.minutes.likely),
  ]
}
function wanted(h: Schemas['HoldPoint']): string {
  if (h.wanted === null) return ''
  const text = (n: number) => amountText(n, h.unit ?? '', lengths.value)
  if (!h.less && !h.more) return text(h.wanted)
  return h.less === h.more
    ? t('steps.measured', { wanted: text(h.wanted), within: text(h.less!) })
    : t('steps.between', { least: text(h.wanted - (h.less ?? 0)), most: text(h.wanted + (h.more ?? 0)) })
}
const amount = (c: Schemas['Consumable']) => amountText(c.amount, c.material.unit, lengths.value, 0)
</script>

<template>
  <div v-if="!p" class="empty" role="alert">{{ trouble || t('app.loading') }}</div>
  <!-- Nothing in it takes the focus, so it takes it itself to be scrolled by keyboard. -->
  <div v-else class="page" tabindex="0">
    <ol class="steps" data-testid="steps">
      <li v-for="s in p.steps" :key="s.key" :class="s.shell">
        <b class="number">{{ s.number }}</b>
        <div class="what">
          <div class="row head">
            <b>{{ s.title }}</b>
            <span v-if="s.shell !== 'none'" class="shell">{{ t(`steps.${s.shell}`) }}</span>
            <span class="soft">{{ flags(s).join(', ') }}</span>
          </div>
          <p>{{ s.do }}</p>
          <ul v-if="s.holds.length > 0" class="holds">
            <li v-for="h in s.holds" :key="h.name">
              {{ h.name }}<b v-if="wanted(h)">: {{ wanted(h) }}</b>
            </li>
          </ul>
          <p v-for="c in s.cautions" :key="c.id" class="caution">{{ c.text }}</p>
          <p v-if="s.waitHours > 0" class="soft">{{ t('steps.wait', { h: s.waitHours }) }}</p>
        </div>
      </li>
    </ol>
  </div>
  <aside>
    <p v-if="work.moved" class="warn">{{ t('markOut.unsaved') }}</p>
    <template v-if="p">
      <table class="figures" data-testid="times">
        <tbody>
          <tr>
            <td>{{ t('steps.work') }}</td>
            <td class="n">{{ range(p.work) }}</td>
          </tr>
          <tr>
            <td>{{ t('steps.open') }}</td>
            <td class="n">
              <b>{{ range(p.openMinutes) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <div class="card">
        <h2>{{ t('markOut.print') }}</h2>
        <label class="named">
          {{ t('markOut.paper') }}
          <select v-model="paper" class="field">
            <option v-for="size in ['a4', 'a3', 'letter'] as const" :key="size" :value="size">
              {{ t(`markOut.papers.${size}`) }}
            </option>
          </select>
        </label>
        <div class="row">
          <a class="btn main" :href="sheet('steps.pdf')" download>{{ t('steps.print') }}</a>
          <a v-if="work.fitting!.clamp" class="btn" :href="sheet('frame.pdf')" download>{{ t('steps.printFrame') }}</a>
        </div>
      </div>
      <div class="card">
        <h2>{{ t('steps.tools') }}</h2>
        <p>{{ p.tools.join(', ') }}</p>
      </div>
      <div class="card">
        <h2>{{ t('steps.consumables') }}</h2>
        <table class="figures">
          <tbody>
            <tr v-for="c in p.consumables" :key="c.material.name">
              <td>{{ c.material.name }}</td>
              <td class="n">{{ amount(c) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <WorkedSteps :title="t('openings.tab.steps')" :worked="answer" />
    </template>
  </aside>
</template>

<style scoped>
.steps {
  max-width: 900px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.steps > li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr);
  padding: 10px 0 12px 12px;
  border-top: 1px solid var(--rule);
  border-left: 4px solid transparent;
}
.steps > li.opens {
  border-left-color: var(--rust);
}
.steps > li.closes {
  border-left-color: var(--teal);
}
.number {
  font: 600 19px/1.1 'Barlow Semi Condensed';
}
.what {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.head b {
  font: 600 16px Barlow;
}
.shell {
  padding: 1px 8px;
  border-radius: 3px;
  background: var(--rust);
  color: var(--white);
  font-weight: 600;
  font-size: 12.5px;
}
.closes .shell {
  background: var(--teal);
}
.holds {
  margin: 0;
  padding: 0;
  list-style: none;
}
.holds li::before {
  content: '☐ ';
}
.caution {
  padding-left: 8px;
  border-left: 3px solid var(--amber);
  font-size: 13.5px;
}
</style>
