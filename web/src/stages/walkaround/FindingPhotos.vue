<script setup lang="ts">
import { message } from 'ant-design-vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { sendable } from '@/app/photo'
import { useState } from '@/app/state'

/** Photos of a finding: those that are kept, and those that go up when it is saved. */
const waiting = defineModel<File[]>({ required: true })
const props = defineProps<{ photos: readonly Schemas['StoredOfPhoto'][]; vehicleId: string }>()
const { t } = useI18n()
const { change } = useState()

async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const files = [...(input.files ?? [])]
  input.value = ''
  for (const file of files) {
    const photo = await sendable(file)
    if (photo) waiting.value = [...waiting.value, photo]
    else void message.error(t('findings.photoTooLarge', { name: file.name }))
  }
}
const remove = (id: string) =>
  change(() => got(api.DELETE('/api/vehicles/{vehicleId}/photos/{id}', { params: { path: { vehicleId: props.vehicleId, id } } })))
</script>

<template>
  <div class="photos">
    <span class="head">{{ t('findings.photos') }}</span>
    <div class="row">
      <figure v-for="p in photos" :key="p.id">
        <a :href="`/api/vehicles/${vehicleId}/photos/${p.id}`" target="_blank" rel="noopener">
          <img :src="`/api/vehicles/${vehicleId}/photos/${p.id}`" :alt="t('findings.photo')" />
        </a>
        <button type="button" :aria-label="t('findings.removePhoto')" @click="remove(p.id)">×</button>
      </figure>
      <span v-for="(file, i) in waiting" :key="i" class="soft waiting">
        {{ file.name }}
        <button
          class="btn plain"
          type="button"
          :aria-label="t('findings.removePhoto')"
          @click="waiting = waiting.filter((_, k) => k !== i)"
        >
          ×
        </button>
      </span>
      <label class="btn">
        {{ t('findings.addPhoto') }}
        <input class="hidden" type="file" accept="image/*" capture="environment" multiple @change="choose" />
      </label>
    </div>
  </div>
</template>

<style scoped>
.head {
  font-weight: 500;
  font-size: 13.5px;
}
figure {
  position: relative;
  margin: 0;
}
img {
  display: block;
  width: 76px;
  height: 76px;
  object-fit: cover;
  border: 1px solid var(--edge);
  border-radius: 4px;
}
figure button {
  position: absolute;
  top: 2px;
  right: 2px;
  width: 26px;
  height: 26px;
  border: 0;
  border-radius: 4px;
  background: color-mix(in srgb, var(--night) 80%, transparent);
  color: var(--white);
  cursor: pointer;
}
.waiting {
  padding: 4px 0 4px 8px;
  border: 1px dashed var(--edge);
  border-radius: 4px;
}
.hidden {
  position: absolute;
  clip-path: inset(50%);
}
</style>
