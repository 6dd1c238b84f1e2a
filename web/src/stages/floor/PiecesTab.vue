<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas, Stored } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import PieceDrawing from './PieceDrawing.vue'
import type { Replacement } from './useFloor'

/** What is cut at the bench: new boards, timbers, and bearers that are mended; to print. */
const props = defineProps<{ row: Stored<Replacement>; job: Schemas['WorkedOfFloorJob']; changed: boolean }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const L = (mm: number) => lengthText(mm, lengths.value)
const plan = computed(() => props.job.result.plan)
/** Timbers of one kind and length stand in one line. */
const timbers = computed(() => {
  const groups = new Map<string, { kind: Schemas['SupportKind']; n: number; one: Schemas['Support'] }>()
  for (const one of plan.value.supports) {
    const key = `${one.kind} ${L(one.lengthMm)}`
    const group = groups.get(key)
    if (group) group.n++
    else groups.set(key, { kind: one.kind, n: 1, one })
  }
  return [...groups.values()]
})
const print = () => `/api/vehicles/${shell.value!.vehicle.id}/replacements/${props.row.id}/sheet.pdf`
</script>

<template>
  <div class="page" tabindex="0">
    <h2>{{ t('floor.piece') }}</h2>
    <PieceDrawing v-for="p in plan.pieces" :key="p.name" :piece="p" />
    <template v-if="timbers.length > 0">
      <h2>{{ t('floor.timbers') }}</h2>
      <table class="figures" data-testid="timbers">
        <tbody>
          <tr v-for="g in timbers" :key="g.kind + g.one.lengthMm">
            <td>{{ g.n }} {{ t(`floor.kinds.${g.kind}`) }}</td>
            <td class="n">
              {{ lengthNumber(g.one.wideMm, lengths) }} × {{ lengthNumber(g.one.highMm, lengths) }} × {{ L(g.one.lengthMm) }}
            </td>
          </tr>
        </tbody>
      </table>
    </template>
    <template v-if="plan.members.length > 0">
      <h2>{{ t('floor.members') }}</h2>
      <div v-for="m in plan.members" :key="m.memberName" data-testid="rotten">
        <b>{{ m.memberName }}</b>
        <p>{{ m.splice.verdict }}</p>
        <p v-if="m.splice.steel" class="soft">
          {{ t('floor.steel', { name: m.splice.steel.name, mass: m.splice.steel.massKgPerM.toFixed(1) }) }}
        </p>
      </div>
    </template>
  </div>
  <aside>
    <div class="card">
      <h2>{{ t('metal.print') }}</h2>
      <p v-if="changed" class="warn">{{ t('floor.printsSaved') }}</p>
      <a class="btn main" :href="print()" download>{{ t('floor.printSheet') }}</a>
    </div>
    <div class="card">
      <h2>{{ t('floor.boardsCut') }}</h2>
      <table class="figures">
        <tbody>
          <tr v-for="b in plan.boards" :key="b.name">
            <td>{{ b.name }}</td>
            <td>{{ t(`floor.fates.${b.fate}`) }}</td>
            <td class="n">{{ b.fate === 'stays' ? '' : `${t('floor.saw')} ${L(b.sawDepthMm)}` }}</td>
          </tr>
        </tbody>
      </table>
      <p>{{ t('floor.screws', { n: job.result.screws, mm: L(job.result.screwMm) }) }}</p>
    </div>
  </aside>
</template>

<style scoped>
.page > * {
  max-width: 680px;
}
</style>
