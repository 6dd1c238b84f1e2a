<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Panel, type Schemas, type Stored } from '@/api/client'
import { fileText } from '@/app/fileText'
import Choice from '@/ui/Choice.vue'
import { said, useState } from '@/app/state'

/** Outline and members from an SVG or DXF file: read and shown first, taken over only when somebody says so. */
const props = defineProps<{ row: Stored<Panel>; vehicleId: string }>()
const { t } = useI18n()
const { load } = useState()
const unit = ref<'' | 'mm' | 'inch'>('')
const read = ref<Schemas['PanelDrawing'] | null>(null)
const wrong = ref('')
const mostBytes = 5 * 1024 * 1024
let last: File | null = null

async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  last = input.files?.[0] ?? last
  input.value = ''
  await look()
}
async function look() {
  if (!last) return
  read.value = null
  wrong.value = ''
  try {
    const body = await fileText(last, mostBytes)
    read.value = await got(
      api.POST('/api/drawings/read', {
        params: { query: unit.value ? { unit: unit.value } : {} } as never,
        body: body as never,
        bodySerializer: (b) => b as unknown as string,
        headers: { 'Content-Type': last.name.toLowerCase().endsWith('.svg') ? 'image/svg+xml' : 'application/dxf' },
      }),
    )
  } catch (e) {
    wrong.value = said(e)
  }
}
async function take() {
  const drawing = read.value
  if (!drawing) return
  try {
    if (drawing.outline) {
      await got(
        api.PUT('/api/vehicles/{vehicleId}/panels/{id}', {
          params: { path: { vehicleId: props.vehicleId, id: props.row.id }, header: ifMatch(props.row.version) },
          body: { ...props.row.value, outline: drawing.outline },
        }),
      )
    }
    if (drawing.members.length > 0) {
      await got(
        api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/members', {
          params: { path: { vehicleId: props.vehicleId, panelId: props.row.id } },
          body: { members: drawing.members },
        }),
      )
    }
    read.value = null
  } catch (e) {
    wrong.value = said(e)
  }
  await load(props.vehicleId)
}
</script>

<template>
  <div class="card">
    <h2>{{ t('drawingImport.title') }}</h2>
    <p class="soft">{{ t('drawingImport.more') }}</p>
    <div class="row">
      <label class="btn">
        {{ t('drawingImport.choose') }}
        <input class="hidden" type="file" accept=".svg,.dxf" @change="choose" />
      </label>
      <Choice
        :model-value="unit"
        class="unit"
        hide-label
        :label="t('drawingImport.unit')"
        :options="[
          { value: '', text: t('drawingImport.unitOfFile') },
          { value: 'mm', text: t('app.mm') },
          { value: 'inch', text: t('app.inch') },
        ]"
        @update:model-value="(u) => ((unit = u), look())"
      />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <template v-if="read">
      <p data-testid="drawing-read">
        {{ read.outline ? t('drawingImport.outline', read.outline.length) : t('drawingImport.noOutline') }}
        {{ t('drawingImport.members', read.members.length) }}
      </p>
      <template v-if="read.leftOut.length > 0">
        <p>{{ t('drawingImport.leftOut') }}</p>
        <ul data-testid="left-out">
          <li v-for="what in read.leftOut" :key="what">{{ what }}</li>
        </ul>
      </template>
      <button class="btn main" type="button" @click="take">{{ t('drawingImport.take') }}</button>
    </template>
  </div>
</template>

<style scoped>
.hidden {
  position: absolute;
  clip-path: inset(50%);
}
.unit {
  width: auto;
}
</style>
