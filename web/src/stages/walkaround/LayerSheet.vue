<script setup lang="ts">
import { Checkbox, Drawer } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'

/** What the shell shows, chosen from a sheet at the foot of a phone; the drawing stays in sight above it. */
defineProps<{ names: readonly string[] }>()
const open = defineModel<boolean>('open', { required: true })
const layers = defineModel<Record<string, boolean>>({ required: true })
const { t } = useI18n()
</script>

<template>
  <Drawer
    v-model:open="open"
    placement="bottom"
    height="auto"
    :mask-style="{ background: 'transparent' }"
    :title="t('walkaround.layers')"
  >
    <div role="group" :aria-label="t('walkaround.layers')">
      <Checkbox v-for="name in names" :key="name" v-model:checked="layers[name]" class="layer">
        {{ t(`walkaround.layer.${name}`) }}
      </Checkbox>
    </div>
  </Drawer>
</template>

<style scoped>
.layer {
  width: 50%;
  min-height: 48px;
  margin: 0;
  align-items: center;
  font-size: 17px;
}
</style>
