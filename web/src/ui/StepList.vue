<script setup lang="ts">
import Explained from './Explained.vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { useState } from '@/app/state'
import { stepNeeds, wantedText } from '@/app/stepText'

/** What is done, in order: where, by how many, in what weather, what is measured before the next step, what can hurt. */
defineProps<{ steps: readonly Schemas['WorkStep'][] }>()
const { t } = useI18n()
const { lengths } = useState()
</script>

<template>
  <ol class="steps" data-testid="steps">
    <li v-for="s in steps" :key="s.key" :class="s.shell">
      <b class="number">{{ s.number }}</b>
      <div class="what">
        <div class="row head">
          <b>{{ s.title }}</b>
          <span v-if="s.shell !== 'none'" class="shell">{{ t(`steps.${s.shell}`) }}</span>
          <span class="soft">{{ stepNeeds(s) }}</span>
        </div>
        <p><Explained :text="s.do" /></p>
        <ul v-if="s.holds.length > 0" class="holds">
          <li v-for="h in s.holds" :key="h.name">
            {{ h.name }}<b v-if="wantedText(h, lengths)">: {{ wantedText(h, lengths) }}</b>
          </li>
        </ul>
        <p v-for="c in s.cautions" :key="c.id" class="caution"><Explained :text="c.text" /></p>
        <p v-if="s.waitHours > 0" class="soft">{{ t('steps.wait', { h: s.waitHours }) }}</p>
      </div>
    </li>
  </ol>
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
  font: 600 16px 'Source Sans 3';
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
