<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Fitting, Member, Panel, Point } from '@/api/client'
import { turnedShape } from '@/drawing/geometry'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import Switch from '@/ui/Switch.vue'
import { centreAt, datums, reading, type Axis, type MeasuredTo } from './byNumber'

/** The place of an opening as the tape reads it, from whatever one hooks the tape on; typed, the fitting goes there. */
const props = defineProps<{
  panel: Panel
  members: readonly Member[]
  others: readonly { id: string; name: string; centre: Point }[]
  fitting: Fitting
  turnDeg: number
}>()
const centre = defineModel<Point>({ required: true })
const { t } = useI18n()
const to = ref<MeasuredTo>('middle')
const from = reactive<Record<Axis, string | null>>({ along: null, across: null })

const rows = computed(() => {
  const hole = turnedShape(props.fitting.cutOut, props.turnDeg)
  return (['along', 'across'] as const).map((axis) => {
    const all = datums(props.panel, props.members, props.others, axis)
    const at = axis === 'along' ? centre.value.sMm : centre.value.tMm
    // Until somebody chooses, from the middle line it is measured to the side on which the fitting lies.
    const usual = all.find((d) => d.key === 'line-') && at < 0 ? 'line-' : all[0]!.key
    const datum = all.find((d) => d.key === from[axis]) ?? all.find((d) => d.key === usual)!
    const half = (axis === 'along' ? hole.widthMm : hole.heightMm) / 2
    return { axis, all, datum, half, mm: reading(datum, at, to.value, half) }
  })
})
function type(row: (typeof rows.value)[number], mm: number) {
  const at = centreAt(row.datum, mm, to.value, row.half)
  centre.value = row.axis === 'along' ? { ...centre.value, sMm: at } : { ...centre.value, tMm: at }
}
</script>

<template>
  <div class="card">
    <h2>{{ t('byNumber.title') }}</h2>
    <Switch
      v-model="to"
      :label="t('byNumber.to')"
      :choices="(['middle', 'edge'] as const).map((key) => ({ key, text: t(`byNumber.measuredTo.${key}`) }))"
    />
    <div v-for="row in rows" :key="row.axis" class="pair" :data-testid="row.axis">
      <LengthInput :model-value="row.mm" :label="t(`byNumber.${row.axis}`)" @update:model-value="(mm: number) => type(row, mm)" />
      <Choice
        :model-value="row.datum.key"
        :label="t('byNumber.from')"
        :options="row.all.map((d) => ({ value: d.key, text: d.text }))"
        @update:model-value="(key) => (from[row.axis] = key)"
      />
    </div>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr);
  gap: 8px;
  align-items: start;
}
</style>
