<script setup lang="ts" generic="T extends string">
import { Popconfirm } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import { RouterLink, type RouteLocationRaw } from 'vue-router'
import Action from './Action.vue'

/** The head of a bench, where one record is worked on: back to the list, its tabs, what is not saved yet, save and remove. */
defineProps<{
  name: string
  back: RouteLocationRaw
  backLabel: string
  tabs: readonly { key: T; text: string }[]
  tab: T
  changed: boolean
  removeSure: string
}>()
const emit = defineEmits<{ save: []; undo: []; remove: [] }>()
const { t } = useI18n()
</script>

<template>
  <header>
    <RouterLink class="btn plain" :to="back" :aria-label="backLabel">←</RouterLink>
    <h1>{{ name }}</h1>
    <nav class="tabs" :aria-label="name">
      <RouterLink v-for="which in tabs" :key="which.key" :to="{ params: { tab: which.key } }" :class="{ on: tab === which.key }">
        {{ which.text }}
      </RouterLink>
    </nav>
    <div class="sp" />
    <span v-if="changed" class="soft" role="status">{{ t('app.unsaved') }}</span>
    <Action v-if="changed" look="plain" @click="emit('undo')">{{ t('app.takeBack') }}</Action>
    <Action look="main" :disabled="!changed" @click="emit('save')">{{ t('app.save') }}</Action>
    <Popconfirm :title="removeSure" :ok-text="t('app.remove')" :cancel-text="t('app.cancel')" @confirm="emit('remove')">
      <button class="btn plain" type="button">{{ t('app.remove') }}</button>
    </Popconfirm>
  </header>
</template>
