<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bounds } from '@/api/bounds'
import type { Point, Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import type { Facing } from '@/drawing/facing'
import { boxOf } from '@/drawing/geometry'
import { usualMarkMm } from './marks'
import PointList from '@/stages/walkaround/PointList.vue'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import LengthInput from '@/ui/LengthInput.vue'
import Ticks from '@/ui/Ticks.vue'

/** An old window: by what it is held, its pane, what comes there, and the marks round it. */
const props = defineProps<{ plan: Schemas['WindowOutPlan'] | null; outline: readonly Point[]; facing: Facing }>()
const old = defineModel<Schemas['OldWindow']>({ required: true })
const { t } = useI18n()
const { lengths } = useState()
/** A mark begins in the middle of the window's lower edge. */
const begin = computed(() => {
  const b = boxOf(props.outline)
  return { at: { sMm: (b.s1 + b.s2) / 2, tMm: b.t1 }, acrossMm: usualMarkMm }
})
const put = (i: number, at: Point) => (old.value.marks = old.value.marks.map((m, k) => (k === i ? { ...m, at } : m)))
</script>

<template>
  <Choice
    v-model="old.held"
    class="wide"
    :label="t('metal.heldBy')"
    :options="enums.WindowHeld.map((h) => ({ value: h, text: t(`metal.windowHeld.${h}`) }))"
  />
  <LengthInput v-model="old.glassMm" :bounds="bounds.OldWindow.glassMm" :label="t('metal.pane')" />
  <Choice
    v-model="old.after"
    :label="t('metal.afterWindow')"
    :options="enums.AfterWindow.map((a) => ({ value: a, text: t(`metal.afterWindows.${a}`) }))"
  />
  <Ticks
    class="wide"
    :of="old"
    :choices="[
      { key: 'keepPane', text: t('metal.keepPane') },
      { key: 'stuck', text: t('metal.stuck') },
      ...(old.held.startsWith('adhesive') && old.after === 'newWindow'
        ? [{ key: 'sameAdhesive' as const, text: t('metal.sameAdhesive') }]
        : []),
    ]"
    @tick="(key, on) => (old[key] = on)"
  />
  <fieldset class="wide marks">
    <legend>{{ t('metal.marks') }}</legend>
    <div v-for="(m, i) in old.marks" :key="i" class="mark" :data-testid="`mark-${i}`">
      <PointList
        :model-value="[m.at]"
        :least="1"
        :most="1"
        add-label=""
        :facing="facing"
        @update:model-value="(p) => put(i, p[0]!)"
      />
      <LengthInput v-model="m.acrossMm" :bounds="bounds.DigMark.acrossMm" :label="t('metal.across')" />
      <span class="soft">{{ plan?.marks[i] ? t(`metal.fates.${plan.marks[i].fate}`) : '' }}</span>
      <button class="btn plain" type="button" :aria-label="t('metal.dropMark', { n: i + 1 })" @click="old.marks.splice(i, 1)">
        ×
      </button>
    </div>
    <div class="row">
      <Action @click="old.marks = [...old.marks, begin]">{{ t('metal.addMark') }}</Action>
      <span class="soft">{{ t('metal.markHint') }}</span>
    </div>
  </fieldset>
  <table v-if="plan" class="figures wide" data-testid="window-figures">
    <tbody>
      <tr>
        <td>{{ t('metal.paneEdge') }}</td>
        <td class="n">{{ lengthText(plan.edgeMm, lengths) }}</td>
      </tr>
      <tr>
        <td>{{ t('metal.paneMass') }}</td>
        <td class="n">{{ t('metal.paneLift', { kg: plan.paneKg.toFixed(1), n: plan.people }) }}</td>
      </tr>
      <tr>
        <td>{{ t('metal.cover') }}</td>
        <td class="n">{{ lengthText(plan.coverWideMm, lengths) }} × {{ lengthText(plan.coverHighMm, lengths) }}</td>
      </tr>
    </tbody>
  </table>
  <div v-if="plan" class="wide">
    <h3>{{ t('metal.breaks') }}</h3>
    <ul>
      <li v-for="b in plan.breaks" :key="b">{{ b }}</li>
    </ul>
    <h3>{{ t('metal.whenStuck') }}</h3>
    <ol>
      <li v-for="w in plan.whenStuck" :key="w">{{ w }}</li>
    </ol>
  </div>
</template>

<style scoped>
.marks {
  margin: 0;
  padding: 8px 10px;
  border: 1px solid var(--rule);
  border-radius: 4px;
}
.mark {
  display: grid;
  grid-template-columns: 1fr 1fr 36px;
  gap: 6px;
  align-items: center;
  margin-bottom: 8px;
  border-bottom: 1px solid var(--rule);
}
.mark > :first-child {
  grid-column: 1 / -1;
}
h3 {
  margin: 8px 0 2px;
  font-size: 14px;
}
ul,
ol {
  margin: 0;
  padding-left: 20px;
}
</style>
