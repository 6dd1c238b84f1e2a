<script setup lang="ts">
import { ref } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas, Stored } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import Choice from '@/ui/Choice.vue'
import JudgementList from '@/ui/JudgementList.vue'
import Ticks from '@/ui/Ticks.vue'
import BlankDrawing from './BlankDrawing.vue'

/** The blank to cut, its folds in order, and the sheets at 1:1. */
const props = defineProps<{
  panel: Schemas['Panel']
  row: Stored<Schemas['Repair']>
  patch: Schemas['PatchPlan']
  changed: boolean
}>()
/** Whether it is cut: then no sheet is kept free for it any more. */
const cut = defineModel<boolean>('cut', { required: true })
const { t } = useI18n()
const { shell, lengths } = useState()
const papers = ['a4', 'a3', 'letter'] as const
const paper = ref<(typeof papers)[number]>(lengths.value.units === 'inch' ? 'letter' : 'a4')
const sheet = (name: string) =>
  `/api/vehicles/${shell.value!.vehicle.id}/repairs/${props.row.id}/${name}` +
  (name.endsWith('.pdf') ? `?paper=${paper.value}` : '')
</script>

<template>
  <BlankDrawing :panel="panel" :patch="patch" />
  <aside>
    <table class="figures" data-testid="blank-figures">
      <tbody>
        <tr>
          <td>{{ t('metal.blank') }}</td>
          <td class="n">
            <b>{{ lengthText(patch.blank.widthMm, lengths) }} × {{ lengthText(patch.blank.heightMm, lengths) }}</b>
          </td>
        </tr>
        <tr>
          <td>{{ t('metal.area') }}</td>
          <td class="n">{{ Math.round(patch.blank.areaMm2 / 100) }} cm²</td>
        </tr>
        <tr>
          <td>{{ t('metal.mass') }}</td>
          <td class="n">{{ patch.massKg.toFixed(2) }} kg</td>
        </tr>
      </tbody>
    </table>
    <Ticks :of="{ cut }" :choices="[{ key: 'cut', text: t('metal.blankCut') }]" @tick="(_, on) => (cut = on)" />
    <table v-if="patch.blank.foldLines.length > 0" class="figures">
      <thead>
        <tr>
          <th>{{ t('metal.order') }}</th>
          <th>{{ t('metal.foldTo') }}</th>
          <th class="n">{{ t('metal.degrees') }}</th>
          <th class="n">{{ t('metal.allowance') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(f, i) in [...patch.blank.foldLines].sort((a, b) => (a.order ?? 0) - (b.order ?? 0))" :key="i">
          <td>{{ f.order ?? '?' }}</td>
          <td>{{ t(`metal.foldTos.${f.towards}`) }}</td>
          <td class="n">{{ f.degrees }}</td>
          <td class="n">{{ f.allowanceMm.toFixed(2) }} mm</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="soft">{{ t('metal.flat') }}</p>
    <JudgementList v-if="patch.blank.rows.length > 0" :rows="patch.blank.rows" />
    <div class="card">
      <h2>{{ t('markOut.print') }}</h2>
      <p v-if="changed" class="warn">{{ t('metal.printsSaved') }}</p>
      <Choice
        v-model="paper"
        :label="t('markOut.paper')"
        :options="papers.map((p) => ({ value: p, text: t(`markOut.papers.${p}`) }))"
      />
      <div class="row">
        <a class="btn main" :href="sheet('blank.pdf')" download>{{ t('metal.printBlank') }}</a>
        <a class="btn" :href="sheet('place.pdf')" download>{{ t('metal.printPlace') }}</a>
      </div>
      <div class="row">
        <a class="btn plain" :href="sheet('blank.dxf')" download>DXF</a>
        <a class="btn plain" :href="sheet('blank.svg')" download>SVG</a>
      </div>
      <p class="soft">{{ t('metal.printMore') }}</p>
    </div>
  </aside>
</template>
