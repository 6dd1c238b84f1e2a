<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { RouteLocationRaw } from 'vue-router'
import { api, got, type Opening, type Panel, type Schemas, type Stored } from '@/api/client'
import StateMark from '@/ui/StateMark.vue'
import { said, useState } from '@/app/state'
import { panelName } from '@/drawing/facing'
import Choice from '@/ui/Choice.vue'
import { placeText } from './placeText'

/** The openings of the vehicle: how each stands, and what comes next. */
const { t } = useI18n()
const { shell, fittings, lengths } = useState()
const listed = shallowRef<Map<string, Schemas['ListedOpening']>>(new Map())
const trouble = ref('')
const search = ref('')
const sort = ref<'order' | 'name' | 'panel'>('order')

let asked = 0
watch(
  shell,
  async (now) => {
    const own = ++asked
    if (!now) return
    try {
      const all = await got(api.GET('/api/vehicles/{vehicleId}/openings', { params: { path: { vehicleId: now.vehicle.id } } }))
      if (own === asked) [listed.value, trouble.value] = [new Map(all.map((o) => [o.id, o])), '']
    } catch (e) {
      if (own === asked) trouble.value = said(e)
    }
  },
  { immediate: true },
)

const tabs: Record<Schemas['NextPlace'], string> = {
  place: 'place',
  settings: 'place',
  markOut: 'mark-out',
  asCut: 'as-cut',
  clamp: 'clamp',
  bond: 'bond',
  steps: 'steps',
  sealing: 'sealing',
}
interface Row {
  id: string
  opening: Opening
  panel: string
  where: string
  fitting: string
  standing?: Schemas['OpeningStanding']
  product?: string | null
}
const rows = computed<Row[]>(() => {
  const words = search.value.trim().toLowerCase()
  const all = ((shell.value?.openings ?? []) as Stored<Opening>[]).map((o) => {
    const on = (shell.value!.panels as Stored<Panel>[]).find((p) => p.id === o.ownerId)!
    const known = listed.value.get(o.id)
    return {
      id: o.id,
      opening: o.value,
      panel: panelName(on.value),
      where: `${panelName(on.value)}, ${placeText(on.value, o.value.centre, lengths.value)}`,
      fitting: fittings.value.find((f) => f.id === o.value.fittingId)?.value.name ?? '',
      standing: known?.standing,
      product: known?.product,
    }
  })
  // What is cut stands open and comes first; what is fitted is done with.
  const order = { cut: 0, planned: 1, fitted: 2 }
  return all
    .filter((r) =>
      `${r.opening.name} ${r.fitting} ${r.panel} ${r.product ?? ''} ${r.standing?.next ?? ''}`.toLowerCase().includes(words),
    )
    .sort((a, b) =>
      sort.value === 'order'
        ? order[a.opening.state] - order[b.opening.state]
        : sort.value === 'name'
          ? a.opening.name.localeCompare(b.opening.name)
          : a.panel.localeCompare(b.panel),
    )
})
const to = (r: Row, tab = 'place'): RouteLocationRaw => ({
  name: 'opening',
  params: { vehicleId: shell.value!.vehicle.id, openingId: r.id, tab },
})
const next = (r: Row): RouteLocationRaw =>
  r.standing!.where === 'sealing'
    ? { name: 'sealing', params: { vehicleId: shell.value!.vehicle.id }, query: { joint: r.id } }
    : { ...(to(r, tabs[r.standing!.where]) as object), query: r.standing!.where === 'settings' ? { settings: '1' } : {} }
</script>

<template>
  <div class="openings">
    <div v-if="shell!.openings.length > 6" class="row tools">
      <input
        v-model="search"
        class="field find"
        type="search"
        :placeholder="t('openings.find')"
        :aria-label="t('openings.find')"
      />
      <Choice
        v-model="sort"
        class="sort"
        :label="t('openings.sort')"
        :options="(['order', 'name', 'panel'] as const).map((s) => ({ value: s, text: t(`openings.sorts.${s}`) }))"
      />
    </div>
    <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
    <ul class="list" data-testid="openings">
      <li v-for="r in rows" :key="r.id" :class="r.opening.state">
        <StateMark v-if="r.standing" :state="r.standing.state" />
        <span v-else class="blank" />
        <RouterLink class="name" :to="to(r)">
          <b>{{ r.opening.name }}</b>
          <span class="soft">{{ r.fitting }}</span>
        </RouterLink>
        <div class="stands">
          <span>{{ r.standing?.summary }}</span>
          <span class="soft">{{ r.where }}</span>
        </div>
        <div class="next">
          <span class="state">{{ t(`openings.state.${r.opening.state}`) }}</span>
          <RouterLink v-if="r.standing?.next" class="btn" :to="next(r)">{{ r.standing.next }}</RouterLink>
        </div>
      </li>
    </ul>
    <p v-if="rows.length === 0" class="soft">{{ t('openings.noneFound') }}</p>
    <a class="btn plain csv" :href="`/api/vehicles/${shell!.vehicle.id}/openings.csv`" download>{{ t('openings.csv') }}</a>
  </div>
</template>

<style scoped>
.openings {
  max-width: 1060px;
}
.tools {
  margin-bottom: 8px;
}
.csv {
  margin: 6px 0 10px;
}
.find {
  max-width: 320px;
}
.sort {
  flex-direction: row;
  align-items: center;
  gap: 8px;
}
.list {
  display: flex;
  flex-direction: column;
  gap: 8px;
  margin: 0;
  padding: 0;
  list-style: none;
}
.list li {
  display: grid;
  grid-template-columns: 18px minmax(190px, 1.1fr) minmax(200px, 1.3fr) minmax(190px, 1fr);
  gap: 14px;
  align-items: center;
  padding: 9px 14px;
  background: var(--paper);
  border-left: 4px solid var(--edge);
}
.list li.cut {
  border-left-color: var(--rust);
}
.list li.fitted {
  border-left-color: var(--teal);
}
.name,
.stands,
.next {
  display: flex;
  flex-direction: column;
  color: inherit;
  text-decoration: none;
}
.name b {
  font: 600 16px 'Source Sans 3';
}
.name:hover b {
  text-decoration: underline;
}
.stands {
  font-size: 13.5px;
}
.next {
  align-items: flex-end;
  gap: 3px;
}
.next .btn {
  text-align: center;
}
.state {
  font-size: 13px;
  font-weight: 600;
}
.cut .state {
  color: var(--rust);
}
.fitted .state {
  color: var(--teal);
}
@media (max-width: 900px) {
  .list li {
    grid-template-columns: 18px 1fr;
  }
  .stands,
  .next {
    grid-column: 2;
    align-items: flex-start;
  }
}
</style>
