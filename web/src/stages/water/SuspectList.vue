<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'

/** The suspects, likeliest cause first, each with what speaks for and against it; then the tests that could be made. */
const props = defineProps<{ hunt: Schemas['LeakHunt']; chosen: number | null }>()
const emit = defineEmits<{
  choose: [number: number]
  look: [number: number]
  writeDown: [number: number]
  test: [test: Schemas['PlannedTest']]
}>()
const { t } = useI18n()
const more = ref(false)
const few = 6
/** Those whose water makes no mark are looked at too, but they explain nothing. */
const rows = computed(() => {
  const possible = props.hunt.ranking.suspects.filter((s) => s.causes >= 0.005)
  return more.value ? props.hunt.ranking.suspects : possible.slice(0, few)
})
const percent = (p: number) => `${p >= 0.995 ? '>99' : p < 0.005 ? '<1' : Math.round(p * 100)}\u00a0%`
</script>

<template>
  <div class="card">
    <h2>{{ t('leaks.suspects') }}</h2>
    <ol data-testid="suspects">
      <li v-for="s in rows" :key="s.number" :class="{ chosen: s.number === chosen }">
        <button class="line" type="button" :aria-expanded="s.number === chosen" @click="emit('choose', s.number)">
          <span class="name">{{ s.name }}</span>
          <span class="bar" aria-hidden="true"><i :style="{ width: `${100 * s.causes}%` }" /></span>
          <b>{{ percent(s.causes) }}</b>
        </button>
        <div v-if="s.number === chosen" class="why">
          <p v-if="hunt.suspects[s.number]!.wayWords">
            {{ t('leaks.way') }} {{ hunt.suspects[s.number]!.wayWords }} ({{ percent(hunt.suspects[s.number]!.reach) }}).
          </p>
          <p>
            {{
              t('leaks.prior', {
                kind: t(`leaks.kinds.${hunt.suspects[s.number]!.suspect.kind}`),
                condition: t(`leaks.conditions.${hunt.suspects[s.number]!.suspect.condition}`),
                prior: percent(s.prior),
              })
            }}
            {{ hunt.suspects[s.number]!.why }}
          </p>
          <ul>
            <li v-for="line in s.for" :key="line" class="for">{{ line }}</li>
            <li v-for="line in s.against" :key="line" class="against">{{ line }}</li>
          </ul>
          <div class="row">
            <button class="btn" type="button" @click="emit('look', s.number)">{{ t('leaks.look') }}</button>
            <button
              v-if="hunt.suspects[s.number]!.origin !== 'finding'"
              class="btn"
              type="button"
              @click="emit('writeDown', s.number)"
            >
              {{ t('leaks.writeDown') }}
            </button>
          </div>
        </div>
      </li>
    </ol>
    <p v-if="hunt.ranking.noCause >= 0.05 && hunt.spots.length > 0" class="soft">
      {{ t('leaks.none', { n: percent(hunt.ranking.noCause) }) }}
    </p>
    <button class="btn plain" type="button" @click="more = !more">
      {{ more ? t('leaks.fewer') : t('leaks.more', hunt.ranking.suspects.length) }}
    </button>
    <template v-if="hunt.tests.length > 1">
      <h2>{{ t('leaks.tests') }}</h2>
      <table class="figures tests">
        <tbody>
          <tr v-for="planned in hunt.tests" :key="planned.test.number">
            <td>
              <button class="btn plain" type="button" @click="emit('test', planned)">{{ planned.test.name }}</button>
              <div v-if="planned.test.notYet" class="soft">{{ planned.test.notYet }}</div>
            </td>
            <td class="n">{{ t('leaks.minutes', { n: Math.round(planned.test.minutes) }) }}</td>
            <td class="n soft">{{ t('leaks.wetChance', { n: Math.round(planned.test.wetChance * 100) }) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>

<style scoped>
ol {
  margin: 0;
  padding: 0;
  list-style: none;
  counter-reset: place;
}
ol > li {
  border-top: 1px solid var(--rule);
  counter-increment: place;
}
.line {
  display: grid;
  grid-template-columns: 1fr 64px 46px;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 40px;
  padding: 4px 2px;
  border: 0;
  background: none;
  color: var(--ink);
  font: 500 14.5px/1.25 'Source Sans 3';
  text-align: left;
  cursor: pointer;
}
.line:hover {
  background: var(--hover);
}
.name::before {
  content: counter(place) '  ';
  color: var(--soft);
}
.line b {
  text-align: right;
}
.bar {
  height: 8px;
  background: var(--rule);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--rust);
}
.why {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 2px 0 10px 2px;
  font-size: 13.5px;
}
.why ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.for::before {
  content: '+ ';
  font-weight: 600;
  color: var(--rust);
}
.against::before {
  content: '− ';
  font-weight: 600;
  color: var(--teal);
}
.tests .btn {
  padding: 2px 0;
  white-space: normal;
  text-align: left;
}
</style>
