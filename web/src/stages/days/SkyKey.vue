<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'

/** A part of a day: the first tap says that it is dry, each further one the next worse sky, and after the worst the best again. */
const props = defineProps<{ part: string; day: string; over?: boolean }>()
const sky = defineModel<Schemas['Sky'] | null>({ required: true })
const { t } = useI18n()
const tap = () => (sky.value = enums.Sky[sky.value === null ? 0 : (enums.Sky.indexOf(sky.value) + 1) % enums.Sky.length]!)
const word = computed(() =>
  props.over ? t('days.get.over') : sky.value === null ? t('days.get.unsaid') : t(`days.get.sky.${sky.value}`),
)
const drops = { dry: 0, showers: 1, rain: 3, storm: 3 }
</script>

<template>
  <button
    class="sky"
    :class="over ? '' : sky"
    :disabled="over"
    type="button"
    :aria-label="`${props.day} ${part.toLowerCase()}: ${word}`"
    @click="tap"
  >
    <small>{{ part }}</small>
    <svg v-if="sky !== null && !over" width="34" height="18" viewBox="0 0 34 18" aria-hidden="true">
      <circle v-if="sky === 'dry'" cx="17" cy="9" r="6" class="sun" />
      <path v-for="n in drops[sky]" :key="n" class="drop" :d="`M${17 + (n - (drops[sky] + 1) / 2) * 9} 3l-3 11`" />
      <path v-if="sky === 'storm'" class="gust" d="M3 16h28" />
    </svg>
    <b :class="{ unsaid: sky === null || over }">{{ word }}</b>
  </button>
</template>

<style scoped>
.sky {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 2px;
  min-height: 64px;
  padding: 6px;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--white);
  color: var(--ink);
  font: 400 14px 'Source Sans 3';
  cursor: pointer;
}
small {
  color: var(--soft);
  font-size: 12.5px;
}
b {
  font: 600 14px 'Source Sans 3';
}
b.unsaid {
  color: var(--faint);
  font-weight: 500;
}
.sun {
  fill: none;
  stroke: var(--amber);
  stroke-width: 2;
}
.drop {
  stroke: var(--water);
  stroke-width: 3;
  stroke-linecap: round;
}
.gust {
  stroke: var(--stop);
  stroke-width: 2;
}
.rain,
.storm {
  background: var(--teal-soft);
}
.storm {
  border-color: var(--stop);
}
</style>
