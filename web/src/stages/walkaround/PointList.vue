<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Point } from '@/api/client'
import LengthInput from '@/app/LengthInput.vue'

/** Points of an outline or a spine, each typed along and across. */
const points = defineModel<Point[]>({ required: true })
const props = defineProps<{ least: number; addLabel: string }>()
const { t } = useI18n()
const set = (i: number, part: Partial<Point>) => (points.value = points.value.map((p, j) => (j === i ? { ...p, ...part } : p)))
const add = () => (points.value = [...points.value, { ...points.value.at(-1)! }])
const remove = (i: number) => (points.value = points.value.filter((_, j) => j !== i))
</script>

<template>
  <div class="points">
    <div v-for="(p, i) in points" :key="i" class="point">
      <LengthInput
        :model-value="p.sMm"
        :label="t('walkaround.along')"
        :hide-label="i > 0"
        @update:model-value="(mm) => set(i, { sMm: mm ?? 0 })"
      />
      <LengthInput
        :model-value="p.tMm"
        :label="t('walkaround.across')"
        :hide-label="i > 0"
        @update:model-value="(mm) => set(i, { tMm: mm ?? 0 })"
      />
      <button
        class="btn plain"
        type="button"
        :disabled="points.length <= props.least"
        :aria-label="t('walkaround.removeCorner', { n: i + 1 })"
        @click="remove(i)"
      >
        ×
      </button>
    </div>
    <button class="btn plain" type="button" @click="add">{{ addLabel }}</button>
  </div>
</template>

<style scoped>
.point {
  display: grid;
  grid-template-columns: 1fr 1fr 40px;
  gap: 8px;
  align-items: end;
}
.point .btn {
  margin-bottom: 18px;
}
</style>
