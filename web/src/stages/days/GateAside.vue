<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import StateMark from '@/ui/StateMark.vue'
import ShutWays from './ShutWays.vue'
import type { JobGate } from './useDays'

/** What must be true before the first hole of a job, and what lies ready if the weather turns. */
const props = defineProps<{ gate: JobGate }>()
const emit = defineEmits<{ tick: [item: Schemas['ReadyItem'], seen: boolean] }>()
const { t } = useI18n()
const left = computed(() => props.gate.ready.filter((r) => r.state !== 'good').length)
const cover = computed(() => props.gate.cover?.result ?? null)
</script>

<template>
  <h2>{{ t('days.ready') }}</h2>
  <p class="soft">{{ gate.name }}. {{ t('days.readyLeft', left) }}</p>
  <ul class="ready" data-testid="ready">
    <li v-for="r in gate.ready" :key="r.title">
      <Checkbox
        v-if="r.item"
        :checked="r.state === 'good'"
        @change="(e) => emit('tick', r.item!, (e.target as HTMLInputElement).checked)"
      >
        <b>{{ r.title }}</b>
        <small>{{ r.why }}</small>
      </Checkbox>
      <div v-else class="told">
        <StateMark :state="r.state" />
        <span>
          <b>{{ r.title }}</b>
          <small>{{ r.why }}</small>
        </span>
      </div>
    </li>
  </ul>
  <template v-if="cover">
    <h2>{{ t('days.cover') }}</h2>
    <ShutWays :cover="cover" />
  </template>
</template>

<style scoped>
.ready {
  margin: 0;
  padding: 0;
  list-style: none;
}
.ready li {
  padding: 6px 0;
  border-top: 1px solid var(--rule);
}
.told {
  display: flex;
  gap: 8px;
}
b {
  font-weight: 600;
}
small {
  display: block;
  color: var(--soft);
  font-size: 13px;
  line-height: 1.3;
}
</style>
