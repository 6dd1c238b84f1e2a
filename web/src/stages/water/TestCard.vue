<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'

/** The water test that tells most in the least time, or the one that was picked from the list. */
defineProps<{ test: Schemas['PlannedTest']; hunt: Schemas['LeakHunt'] }>()
const emit = defineEmits<{ run: [] }>()
const { t } = useI18n()
/** A test that is expected to tell less than this is not said to narrow anything down, bit. */
const fewBits = 0.1
</script>

<template>
  <div class="test" data-testid="next-test">
    <span class="soft">{{ t(hunt.tests[0]?.test.number === test.test.number ? 'leaks.nextTest' : 'leaks.otherTest') }}</span>
    <b>{{ test.test.name }}</b>
    <p>
      {{ t('leaks.watches', { watch: test.watch, minutes: Math.round(test.test.minutes) }) }}
      <span class="soft">{{
        t(test.test.bits < fewBits ? 'leaks.tellsLittle' : 'leaks.tells', { wet: Math.round(test.test.wetChance * 100) })
      }}</span>
    </p>
    <p class="soft">{{ t('leaks.wets', { names: test.wets.map((n) => hunt.suspects[n]!.suspect.name).join('; ') }) }}</p>
    <p v-if="test.again" class="soft">{{ t('leaks.again') }}</p>
    <p v-if="test.test.notYet" class="wrong">{{ test.test.notYet }}</p>
    <button class="btn main" type="button" @click="emit('run')">{{ t('leaks.runTest') }}</button>
  </div>
</template>

<style scoped>
.test {
  display: flex;
  flex-direction: column;
  gap: 5px;
  padding: 12px;
  border: 1px solid var(--edge);
  border-left: 4px solid var(--teal);
  background: var(--white);
}
.test b {
  font: 600 17px/1.25 'Source Sans 3';
}
.btn {
  min-height: 44px;
}
</style>
