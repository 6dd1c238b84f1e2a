<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { meterIntoFocus } from '@/app/meter'

/** The key that brings a reading, to be pressed by finger where there is no keyboard. It must not take the focus from its field. */
const { t } = useI18n()
</script>

<template>
  <!-- It stands in a label: hidden from its name, which is the field's; by keyboard the key itself does the same. -->
  <button
    class="meter"
    type="button"
    tabindex="-1"
    aria-hidden="true"
    :title="t('meter.take')"
    @pointerdown.prevent
    @mousedown.prevent
    @click="meterIntoFocus"
  />
</template>

<style scoped>
.meter {
  position: absolute;
  right: 5px;
  bottom: 5px;
  display: none;
  min-width: 34px;
  height: 26px;
  border: 1px solid var(--metal-3);
  border-radius: 3px;
  background: var(--paper);
  color: var(--teal);
  font: 600 12px 'Source Sans 3';
  cursor: pointer;
}
.meter::before {
  content: 'F2';
}
:focus + .meter {
  display: block;
}
@media (max-width: 1000px) {
  .meter {
    min-width: 44px;
    height: 34px;
  }
}
</style>
