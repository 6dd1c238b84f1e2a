<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import type { ViewedFrom } from '@/drawing/facing'
import { boxOf } from '@/drawing/geometry'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import ViewSwitch from '@/drawing/ViewSwitch.vue'
import PatchLayer from './PatchLayer.vue'

/** What holds the patch: every rivet where it goes, or the spots of weld in their order. */
const props = defineProps<{ panel: Schemas['Panel']; panelId: string; patch: Schemas['PatchPlan'] }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const from = ref<ViewedFrom>('outside')
const members = computed(() => shell.value!.members.filter((m) => m.ownerId === props.panelId).map((m) => m.value))
const focus = computed(() => {
  const b = boxOf(props.patch.patch)
  return { s1: b.s1 - 40, s2: b.s2 + 40, t1: b.t1 - 40, t2: b.t2 + 40 }
})
const L = (mm: number) => lengthText(mm, lengths.value)
const figures = computed(() => {
  const { rivets, weld } = props.patch
  if (rivets)
    return [
      [
        t('metal.rivet'),
        `${L(rivets.rivet.diameterMm)} × ${rivets.rivet.bodyMm === null ? t('metal.noBody') : L(rivets.rivet.bodyMm)}`,
      ],
      [t('metal.rivetHole'), L(rivets.rivet.holeMm)],
      [t('metal.grip'), L(rivets.rivet.gripMm)],
      [t('metal.edgeDistance'), L(rivets.edgeMm)],
      [t('metal.pitch'), L(rivets.pitchMm)],
      [t('metal.howMany'), t('metal.countBuy', { n: rivets.places.length, buy: rivets.buy })],
    ]
  return [
    [t('metal.spots'), String(weld!.spots.length)],
    [t('metal.pitch'), L(weld!.pitchMm)],
    [t('metal.apart'), L(weld!.leastApartMm)],
    [t('metal.pause'), t('metal.pauseAfter', { n: weld!.pauseAfter })],
  ]
})
</script>

<template>
  <PanelDrawing
    :panel="panel"
    :members="members"
    :from="from"
    :lengths="lengths"
    :focus="focus"
    :hide="{ bays: true }"
    :label="t('metal.drawing')"
  >
    <template #default="{ view }">
      <PatchLayer :view="view" :damage="[]" :patch="patch" fasteners />
    </template>
  </PanelDrawing>
  <aside>
    <ViewSwitch v-model="from" />
    <table class="figures" data-testid="fasteners">
      <tbody>
        <tr v-for="[name, text] in figures" :key="name">
          <td>{{ name }}</td>
          <td class="n">{{ text }}</td>
        </tr>
      </tbody>
    </table>
    <p class="soft">{{ patch.weld ? t('metal.weldMore') : t('metal.rivetMore') }}</p>
  </aside>
</template>
