<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Panel, Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import { facingOf, sideWord } from '@/drawing/facing'
import LiningBoardDrawing from './LiningBoardDrawing.vue'

/** The boards of a lining with their holes, from their own edges; to print and for the machine. */
const props = defineProps<{
  panel: Panel
  job: Schemas['LiningJob']
  changed: boolean
  print: (what: string) => string
}>()
const { t } = useI18n()
const { lengths } = useState()
const L = (mm: number) => lengthText(mm, lengths.value)
const span = (from: number, to: number) => `${lengthNumber(from, lengths.value)} – ${lengthNumber(to, lengths.value)}`
const side = (which: 'front' | 'bottom') => t('lining.fromFront', { side: sideWord(facingOf(props.panel), which).toLowerCase() })
</script>

<template>
  <div class="page" tabindex="0">
    <p class="soft">{{ t('lining.faceUp') }}</p>
    <section v-for="(b, i) in job.plan.boards" :key="b.name" data-testid="lining-board">
      <LiningBoardDrawing :panel="panel" :plan="job.plan" :board="b" />
      <table v-if="b.holes.length > 0" class="figures">
        <thead>
          <tr>
            <th>{{ t('lining.hole') }}</th>
            <th></th>
            <th class="n">{{ side('front') }}</th>
            <th class="n">{{ side('bottom') }}</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="h in b.holes" :key="h.hole">
            <tr>
              <td>{{ h.hole + 1 }} {{ job.plan.holes[h.hole]!.opening }}</td>
              <td>{{ t('lining.first') }}</td>
              <td class="n">{{ span(h.first.sMinMm, h.first.sMaxMm) }}</td>
              <td class="n">{{ span(h.first.tMinMm, h.first.tMaxMm) }}</td>
            </tr>
            <tr class="soft">
              <td></td>
              <td>{{ t('lining.line') }}</td>
              <td class="n">{{ span(h.box.sMinMm, h.box.sMaxMm) }}</td>
              <td class="n">{{ span(h.box.tMinMm, h.box.tMaxMm) }}</td>
            </tr>
          </template>
        </tbody>
      </table>
      <a class="btn plain" :href="print(`boards/${i + 1}.dxf`)" download>{{ t('lining.dxf') }}</a>
    </section>
  </div>
  <aside>
    <div class="card">
      <h2>{{ t('metal.print') }}</h2>
      <p v-if="changed" class="warn">{{ t('floor.printsSaved') }}</p>
      <a class="btn main" :href="print('sheet.pdf')" download>{{ t('lining.printSheet') }}</a>
    </div>
    <p>{{ job.screws > 0 ? t('lining.screws', { n: job.screws, mm: L(job.screwMm) }) : t('lining.noScrews') }}</p>
  </aside>
</template>

<style scoped>
section {
  max-width: 760px;
  margin-bottom: 28px;
}
</style>
