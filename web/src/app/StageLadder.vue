<script setup lang="ts">
// The stages of the work and what lies beside them: a ladder on the left, a row above on a tablet, large in the sheet of a phone.
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { stages } from './stages'
import { useState } from './state'

defineProps<{ vehicleId: string | undefined }>()
defineEmits<{ keys: [] }>()

const { t } = useI18n()
const route = useRoute()
const { shell } = useState()
const beside = ['figures', 'fittings', 'vehicles'] as const
</script>

<template>
  <nav class="ladder" :aria-label="t('stages.ladder')">
    <template v-if="vehicleId">
      <RouterLink
        v-for="stage in stages.filter((s) => !s.beside)"
        :key="stage.name"
        class="rung"
        :to="{ name: stage.name, params: { vehicleId } }"
        :class="{ on: stage.screens.some((screen) => screen.name === route.name) }"
      >
        <span>{{ t(`stages.${stage.name}`) }}</span>
        <i v-if="shell && stage.waiting?.(shell)">{{ stage.waiting(shell) }}</i>
      </RouterLink>
    </template>
    <div class="beside">
      <template v-if="vehicleId">
        <RouterLink
          v-for="stage in stages.filter((s) => s.beside)"
          :key="stage.name"
          :to="{ name: stage.name, params: { vehicleId } }"
          :class="{ on: stage.screens.some((screen) => screen.name === route.name) }"
        >
          {{ t(`stages.${stage.name}`) }}
        </RouterLink>
      </template>
      <RouterLink v-for="name in beside" :key="name" :to="{ name }" :class="{ on: route.name === name }">
        {{ t(`stages.${name}`) }} <span v-if="name === 'figures'" class="key">K</span>
      </RouterLink>
      <button type="button" @click="$emit('keys')"><span class="key">?</span> {{ t('app.allKeys') }}</button>
    </div>
  </nav>
</template>

<style scoped>
.ladder {
  position: relative;
  display: flex;
  flex-direction: column;
  padding-top: 14px;
  border-right: 1px solid var(--line);
  background: var(--ladder);
  overflow: auto;
}
.rung {
  position: relative;
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 44px;
  padding: 0 14px 0 46px;
  color: var(--label);
  font: 500 15px 'Source Sans 3';
  text-decoration: none;
}
.rung::before {
  content: '';
  position: absolute;
  left: 20px;
  width: 16px;
  height: 2px;
  background: var(--edge-strong);
}
.rung::after {
  content: '';
  position: absolute;
  left: 27px;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--metal-3);
}
.rung.on {
  background: var(--paper);
  color: var(--ink);
  font-weight: 600;
  box-shadow: inset 4px 0 0 var(--rust);
}
.rung.on::before {
  background: var(--rust);
  height: 4px;
}
.rung i {
  font: 600 12.5px 'Source Sans 3';
  color: var(--soft);
}
.beside {
  display: flex;
  flex-direction: column;
  margin-top: auto;
  padding-bottom: 8px;
}
.beside a,
.beside button {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 36px;
  padding: 6px 14px 6px 46px;
  border: 0;
  background: none;
  color: var(--label);
  font: 500 14px 'Source Sans 3';
  text-decoration: none;
  text-align: left;
  cursor: pointer;
}
.beside a.on {
  background: var(--paper);
  font-weight: 600;
  box-shadow: inset 4px 0 0 var(--rust);
}
@media (min-width: 561px) and (max-width: 1000px) {
  .ladder,
  .beside {
    flex-flow: row wrap;
    margin: 0;
    padding: 0;
  }
  .rung,
  .beside a,
  .beside button {
    gap: 6px;
    min-height: 44px;
    padding: 0 14px;
  }
  .rung::before,
  .rung::after {
    display: none;
  }
}
/* In the sheet of a phone: two columns of large targets, nothing to scroll for. */
@media (max-width: 560px) {
  .ladder,
  .beside {
    display: grid;
    grid-template-columns: 1fr 1fr;
    border: 0;
    background: none;
  }
  .ladder {
    padding: 0;
  }
  .beside {
    grid-column: 1 / -1;
    margin-top: 8px;
    padding: 8px 0 0;
    border-top: 1px solid var(--line);
  }
  .rung,
  .beside a,
  .beside button {
    min-height: 52px;
    padding: 0 14px;
    font-size: 17px;
  }
  .rung::before,
  .rung::after {
    display: none;
  }
}
</style>
