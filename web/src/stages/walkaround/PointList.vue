<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Point } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { isLevel, type Facing } from '@/drawing/facing'

/** Points of an outline or a spine, each typed along and across. */
const points = defineModel<Point[]>({ required: true })
const props = defineProps<{ least: number; most?: number; addLabel: string; facing: Facing; along?: string; up?: string }>()
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
        :label="along ?? t(facing === 'rear' || facing === 'front' ? 'walkaround.acrossLeft' : 'walkaround.along')"
        :hide-label="i > 0"
        @update:model-value="(mm) => set(i, { sMm: mm ?? 0 })"
      />
      <LengthInput
        :model-value="p.tMm"
        :label="up ?? t(isLevel(facing) ? 'walkaround.acrossLeft' : 'walkaround.up')"
        :hide-label="i > 0"
        @update:model-value="(mm) => set(i, { tMm: mm ?? 0 })"
      />
      <button
        v-if="points.length > props.least"
        class="btn plain"
        type="button"
        :aria-label="t('walkaround.removeCorner', { n: i + 1 })"
        @click="remove(i)"
      >
        ×
      </button>
    </div>
    <button v-if="!most || points.length < most" class="btn plain" type="button" @click="add">{{ addLabel }}</button>
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
