<script setup lang="ts">
import { Popconfirm, Skeleton } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import type { Panel, Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import Action from '@/ui/Action.vue'
import PiecesTab from './PiecesTab.vue'
import ReplacementSteps from './ReplacementSteps.vue'
import ReplaceTab from './ReplaceTab.vue'
import { useFloor, useFloorJob, type Replacement } from './useFloor'

/** One replacement: where it is cut, its pieces, and all of it in order. */
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const { shell } = useState()
const { save, remove } = useFloor()
const tabs = ['replace', 'pieces', 'steps'] as const
const tab = computed(() => route.params.tab as (typeof tabs)[number])
const row = computed(
  () => shell.value?.floor.replacements.find((r) => r.id === route.params.replacementId) as Stored<Replacement> | undefined,
)
const panel = computed(() => shell.value?.panels.find((p) => p.id === row.value?.ownerId)?.value as Panel | undefined)
const draft = ref<Replacement | null>(null)
watch(
  () => [row.value?.id, row.value?.version],
  () => (draft.value = row.value ? copyOf(row.value.value) : null),
  { immediate: true },
)
useDraft({
  kind: () => `replacement ${row.value?.id ?? ''}`,
  typed: () => draft.value,
  saved: () => row.value?.value ?? null,
  what: () => `${t('floor.draft')} ${draft.value!.name}`,
  take: (typed) => (draft.value = typed),
})
const isChanged = computed(() => row.value !== undefined && JSON.stringify(draft.value) !== JSON.stringify(row.value.value))
const job = useFloorJob(() => (row.value && draft.value ? { panelId: row.value.ownerId!, value: draft.value } : null))
const toFloor = computed(() => ({ name: 'floor', params: { vehicleId: shell.value!.vehicle.id } }))
async function keep() {
  if (await lengthsRead()) await save(row.value!, draft.value!)
}
async function drop() {
  await remove(row.value!)
  await router.push(toFloor.value)
}
</script>

<template>
  <Skeleton v-if="!shell" class="empty" active :title="false" />
  <div v-else-if="!row || !panel || !draft" class="empty">
    <h2>{{ t('floor.gone') }}</h2>
    <RouterLink class="btn" :to="toFloor">{{ t('floor.title') }}</RouterLink>
  </div>
  <div v-else class="screen">
    <header>
      <RouterLink class="btn plain" :to="toFloor" :aria-label="t('floor.title')">←</RouterLink>
      <h1>{{ row.value.name }}</h1>
      <nav class="tabs" :aria-label="row.value.name">
        <RouterLink v-for="which in tabs" :key="which" :to="{ params: { tab: which } }" :class="{ on: tab === which }">
          {{ t(`floor.tab.${which}`) }}
        </RouterLink>
      </nav>
      <div class="sp" />
      <span v-if="isChanged" class="soft" role="status">{{ t('floor.unsaved') }}</span>
      <Action v-if="isChanged" look="plain" @click="draft = copyOf(row.value)">{{ t('floor.back') }}</Action>
      <Action look="main" :disabled="!isChanged" @click="keep">{{ t('app.save') }}</Action>
      <Popconfirm
        :title="t('floor.removeSure', { name: row.value.name })"
        :ok-text="t('app.remove')"
        :cancel-text="t('app.cancel')"
        @confirm="drop"
      >
        <button class="btn plain" type="button">{{ t('app.remove') }}</button>
      </Popconfirm>
    </header>
    <ReplaceTab
      v-if="tab === 'replace'"
      :key="row.id"
      v-model="draft"
      :panel="panel"
      :panel-id="row.ownerId!"
      :job="job.answer.value"
      :wrong="job.wrong.value"
    />
    <PiecesTab v-else-if="tab === 'pieces' && job.answer.value" :row="row" :job="job.answer.value" :changed="isChanged" />
    <ReplacementSteps v-else-if="tab === 'steps' && job.answer.value" :row="row" :job="job.answer.value" :changed="isChanged" />
    <div v-else class="empty" role="alert">{{ job.wrong.value || t('app.loading') }}</div>
  </div>
</template>
