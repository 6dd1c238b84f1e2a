<script setup lang="ts">
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { computed, onMounted, ref, type UnwrapNestedRefs } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Finding } from '@/api/client'
import { enums } from '@/api/enums'
import { lengthNumber } from '@/app/length'
import { useState } from '@/app/state'
import { facingOf, panelName } from '@/drawing/facing'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import SeverityMark from '@/ui/SeverityMark.vue'
import Switch from '@/ui/Switch.vue'
import TextField from '@/ui/TextField.vue'
import Tiles from '@/ui/Tiles.vue'
import Wrong from '@/ui/Wrong.vue'
import FindingIcon from './FindingIcon.vue'
import FindingPhotos from './FindingPhotos.vue'
import { reachOf } from './findingShape'
import PointList from './PointList.vue'
import RecordHistory from './RecordHistory.vue'
import type { FindingWork } from './useFindings'

/** A finding being written down beside the drawing on which it lies: what it is by its picture, how bad, and what there is to measure at it. */
const props = defineProps<{ work: UnwrapNestedRefs<FindingWork> }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const finding = computed(() => props.work.edited!.value)
/** On a phone findings are added and looked at; they are changed on something one can prop up. */
const phone = useMediaQuery('(max-width: 560px)')
const isNew = computed(() => props.work.edited!.id === null)
const readOnly = computed(() => phone.value && !isNew.value)
const panel = computed(() => shell.value?.panels.find((p) => p.id === props.work.edited!.panelId))
const photos = computed(() => shell.value?.photos.filter((p) => p.ownerId === props.work.edited!.id) ?? [])
const facing = computed(() => (panel.value ? facingOf(panel.value.value) : 'up'))
const least = { point: 1, line: 2, area: 3 }

const kinds = enums.FindingKind.map((value) => ({ value, text: t(`findings.kinds.${value}`) }))
const severities = enums.Severity.map((value) => ({ value, text: t(`findings.severities.${value}`) }))
const states = enums.FindingState.map((value) => ({ value, text: t(`findings.states.${value}`) }))
const panels = computed(() => (shell.value?.panels ?? []).map((p) => ({ value: p.id, text: panelName(p.value) })))

/** The measures that this kind has and the drawing does not already give; what an older record says stays in sight. */
const asked = computed(() => {
  const f = finding.value
  const figures = props.work.nature?.figures ?? []
  const drawn = { point: [], line: ['length'], area: ['length', 'width'] }[f.shape] as string[]
  const name = (...names: string[]) => names.find((n) => (figures as string[]).includes(n) && !drawn.includes(n))
  return {
    length: name('length', 'diameter') ?? (f.measures.lengthMm === null ? null : 'length'),
    width: name('width', 'gap') ?? (f.measures.widthMm === null ? null : 'width'),
    depth: name('depth') ?? (f.measures.depthMm === null ? null : 'depth'),
    moisture: name('moisture') ?? (f.measures.moisturePercent === null ? null : 'moisture'),
  }
})
const size = computed(() => {
  const { along, across } = reachOf(finding.value.points)
  const f = finding.value
  if (f.shape === 'line') return lengthNumber(Math.hypot(along, across), lengths.value)
  return f.shape === 'area' ? `${lengthNumber(along, lengths.value)} x ${lengthNumber(across, lengths.value)}` : ''
})
const set = (part: Partial<Finding['measures']>) => (finding.value.measures = { ...finding.value.measures, ...part })

/** What lies over the form and takes Esc first. */
const openOver = '.ant-modal-wrap:not([style*="none"]), .ant-select-dropdown:not(.ant-select-dropdown-hidden)'
const head = ref<HTMLElement | null>(null)
onMounted(() => head.value?.focus({ preventScroll: true }))
useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.key !== 'Escape' || event.defaultPrevented || document.querySelector(openOver)) return
  event.preventDefault()
  props.work.leave()
})
</script>

<template>
  <form class="finding" :aria-label="t('findings.one')" @submit.prevent="work.save()">
    <h2 ref="head" tabindex="-1">{{ isNew ? t('findings.add') : finding.name }}</h2>
    <p v-if="isNew" class="soft">{{ t('findings.tapWhere') }}</p>
    <fieldset class="form" :disabled="readOnly">
      <Tiles
        class="wide"
        :class="{ shut: !isNew }"
        :label="t('findings.what')"
        :options="isNew ? kinds : kinds.filter((k) => k.value === finding.kind)"
        :model-value="finding.kind"
        :disabled="readOnly"
        @update:model-value="(kind) => work.setKind(kind!)"
      >
        <template #default="{ value }"><FindingIcon :kind="value" /></template>
      </Tiles>
      <Tiles
        v-model="finding.severity"
        class="wide three"
        :label="t('findings.severity')"
        :options="severities"
        :disabled="readOnly"
      >
        <template #default="{ value }"><SeverityMark :severity="value" /></template>
      </Tiles>
      <p v-if="size" class="soft wide">{{ t(`findings.drawn.${finding.shape as 'line' | 'area'}`, { size }) }}</p>
      <LengthInput
        v-if="asked.length"
        :model-value="finding.measures.lengthMm"
        :label="t(`findings.figure.${asked.length as 'length'}`)"
        :bounds="bounds.FindingMeasures.lengthMm"
        optional
        @update:model-value="(mm) => set({ lengthMm: mm })"
      />
      <LengthInput
        v-if="asked.width"
        :model-value="finding.measures.widthMm"
        :label="t(`findings.figure.${asked.width as 'width'}`)"
        :bounds="bounds.FindingMeasures.widthMm"
        optional
        @update:model-value="(mm) => set({ widthMm: mm })"
      />
      <LengthInput
        v-if="asked.depth"
        :model-value="finding.measures.depthMm"
        :label="t('findings.figure.depth')"
        :bounds="bounds.FindingMeasures.depthMm"
        optional
        @update:model-value="(mm) => set({ depthMm: mm })"
      />
      <NumberInput
        v-if="asked.moisture"
        :model-value="finding.measures.moisturePercent"
        :label="t('findings.figure.moisture')"
        :bounds="bounds.FindingMeasures.moisturePercent"
        meter="moisturePercent"
        @update:model-value="(n) => set({ moisturePercent: n })"
      />
      <FindingPhotos
        :model-value="work.waiting"
        class="wide"
        :photos="photos"
        :vehicle-id="shell!.vehicle.id"
        @update:model-value="(files) => work.setPhotos(files)"
      />
      <Switch
        v-model="finding.seen"
        class="wide"
        :label="t('findings.seen')"
        :choices="(['outside', 'inside'] as const).map((key) => ({ key, text: t(`findings.seenFrom.${key}`) }))"
      />
      <Choice v-if="!isNew" v-model="finding.state" :label="t('findings.state')" :options="states" :disabled="readOnly" />
      <TextField v-model="finding.name" class="wide" :label="t('app.name')" :most="80" />
      <TextField v-model="finding.notes" class="wide" :label="t('app.notes')" :most="4000" lines />
      <details class="wide">
        <summary>{{ t('findings.byNumbers') }}</summary>
        <div class="form">
          <Choice
            class="wide"
            :model-value="work.edited!.panelId"
            :label="t('findings.where')"
            :options="panels"
            :disabled="!isNew"
            @update:model-value="(id) => work.setPanel(id)"
          />
          <Switch
            class="wide"
            :model-value="finding.shape"
            :label="t('findings.shape')"
            :choices="enums.FindingShape.map((key) => ({ key, text: t(`findings.shapes.${key}`) }))"
            @update:model-value="(shape) => work.setShape(shape)"
          />
          <PointList
            v-model="finding.points"
            class="wide"
            :least="least[finding.shape]"
            :most="finding.shape === 'point' ? 1 : undefined"
            :add-label="t('walkaround.addPoint')"
            :along="facing === 'rear' || facing === 'front' ? undefined : t('walkaround.fromFront')"
            :facing="facing"
          />
          <TextField v-model="finding.seenBy" class="wide" :label="t('findings.seenBy')" :most="80" />
          <Choice
            v-if="!isNew"
            class="wide"
            :model-value="finding.kind"
            :label="t('findings.what')"
            :options="kinds"
            @update:model-value="(kind) => work.setKind(kind)"
          />
        </div>
      </details>
      <RecordHistory v-if="work.edited!.id" class="wide" :vehicle-id="shell!.vehicle.id" :record-id="work.edited!.id" />
      <Wrong :text="work.wrong" class="wide" />
    </fieldset>
    <div class="row foot">
      <template v-if="!readOnly">
        <Action look="main" submit class="grow">{{ t('app.save') }}</Action>
        <Action v-if="!isNew" @click="work.remove()">{{ t('app.remove') }}</Action>
      </template>
      <Action @click="work.close()">{{ t(readOnly ? 'app.close' : 'app.cancel') }}</Action>
    </div>
  </form>
</template>

<style scoped>
.finding {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 100%;
}
h2 {
  outline: none;
}
.form {
  grid-template-columns: 1fr 1fr;
}
.three {
  grid-template-columns: repeat(3, 1fr);
}
.shut {
  grid-template-columns: 110px;
}
summary {
  padding: 6px 0;
  color: var(--teal);
  font-weight: 500;
  cursor: pointer;
}
/* Save is in reach however far one has scrolled. */
.foot {
  position: sticky;
  bottom: -14px;
  margin: auto -16px -14px;
  padding: 10px 16px 14px;
  border-top: 1px solid var(--line);
  background: var(--paper);
}
.grow {
  flex: 1;
}
</style>
