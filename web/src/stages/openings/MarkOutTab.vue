<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ApiProblem, got, type Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthNumber, lengthText } from '@/app/length'
import { said, useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { facingOf, sideWord, type ViewedFrom } from '@/drawing/facing'
import MarkOutDrawing from './MarkOutDrawing.vue'
import Choice from '@/ui/Choice.vue'
import type { OpeningWork } from './useOpening'

const props = defineProps<{ work: OpeningWork; from: ViewedFrom }>()
const { t } = useI18n()
const { shell, lengths } = useState()
const startHoleMm = ref<number | null>(12)
const paper = ref<'a4' | 'a3' | 'letter'>(lengths.value.units === 'inch' ? 'letter' : 'a4')
const sheet = ref<Schemas['WorkedOfSettingOutSheet'] | null>(null)
const trouble = ref<ApiProblem | null>(null)
let asked = 0

const input = computed<Schemas['SettingOutInput'] | null>(() => {
  const row = props.work.row
  if (!props.work.site || !row || !shell.value) return null
  return {
    site: props.work.site,
    centre: row.value.centre,
    marking: {
      view: props.from,
      markerOffsetMm: shell.value.vehicle.value.markerOffsetMm,
      startHoleMm: startHoleMm.value ?? 12,
      cutSize: row.value.schools.cutSize,
    },
  }
})
async function setOut() {
  const own = ++asked
  if (!input.value) return
  try {
    const answer = await got(api.POST('/api/calculators/setting-out', { body: input.value }))
    if (own !== asked) return
    sheet.value = answer
    trouble.value = null
  } catch (e) {
    if (own === asked) trouble.value = e as ApiProblem
  }
}
watch(() => JSON.stringify(input.value), setOut, { immediate: true })

const s = computed(() => sheet.value?.result)
const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1)
const L = (mm: number) => lengthText(mm, lengths.value)
const ends = (a: number, b: number) => (L(a) === L(b) ? L(a) : `${L(a)} / ${L(b)}`)
const lying = computed(() => ['up', 'down'].includes(facingOf(props.work.panel!.value)))
const slanted = computed(() => s.value?.cutLines.some((l) => L(l.tapeFromMm) !== L(l.tapeToMm)))
const file = (ending: string) =>
  `/api/vehicles/${shell.value!.vehicle.id}/openings/${props.work.row!.id}/sheet.${ending}?view=${props.from}${ending === 'pdf' ? `&paper=${paper.value}` : ''}`
</script>

<template>
  <MarkOutDrawing
    v-if="s"
    :sheet="s"
    :fitting="work.fitting!"
    :turn-deg="work.row!.value.turnDeg"
    :lengths="lengths"
    :panel="work.panel!.value"
  />
  <Waiting v-else :wrong="trouble ? said(trouble) : undefined">
    <button class="btn" type="button" @click="setOut">{{ t('app.tryAgain') }}</button>
  </Waiting>
  <aside>
    <p v-if="work.moved" class="warn">{{ t('markOut.unsaved') }}</p>
    <div class="card">
      <h2>{{ t('markOut.print') }}</h2>
      <div class="row">
        <Choice
          v-model="paper"
          class="paper"
          hide-label
          :label="t('markOut.paper')"
          :options="(['a4', 'a3', 'letter'] as const).map((p) => ({ value: p, text: t(`markOut.papers.${p}`) }))"
        />
        <a class="btn main" :href="file('pdf')" download>{{ t('markOut.pdf') }}</a>
        <a class="btn" :href="file('svg')" download>{{ t('markOut.svg') }}</a>
        <a class="btn" :href="file('dxf')" download>{{ t('markOut.dxf') }}</a>
      </div>
      <p class="soft">{{ t('markOut.printNote') }}</p>
    </div>
    <template v-if="s">
      <p v-for="warning in sheet!.warnings" :key="warning" class="warn" role="alert">{{ warning }}</p>
      <div class="card">
        <h2>{{ t('markOut.lines') }}</h2>
        <table class="figures" data-testid="cut-lines">
          <thead>
            <tr>
              <th>{{ t('markOut.datum') }}</th>
              <th class="n">{{ t('markOut.reads') }}</th>
              <th class="n">{{ t('markOut.set') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in s.cutLines" :key="line.side" :data-side="line.side">
              <td>
                <b>{{ capital(sideWord(facingOf(work.panel!.value), line.side)) }}</b>
                <div class="soft">{{ line.datum }}</div>
              </td>
              <td class="n">{{ ends(line.tapeFromMm, line.tapeToMm) }}</td>
              <td class="n">
                <b>{{ ends(line.setFromMm, line.setToMm) }}</b>
              </td>
            </tr>
          </tbody>
        </table>
        <p class="soft">{{ t('markOut.offset', { reads: L(s.cutLines[0]!.tapeFromMm), set: L(s.cutLines[0]!.setFromMm) }) }}</p>
        <p v-if="slanted" class="soft">{{ t('markOut.twoEnds') }}</p>
      </div>
      <div class="card">
        <h2>{{ t('markOut.centreLines') }}</h2>
        <table class="figures">
          <tbody>
            <tr
              v-for="[name, line] in [
                [lying ? 'across' : 'upright', s.acrossLine],
                [lying ? 'along' : 'level', s.alongLine],
              ] as const"
              :key="name"
            >
              <td>{{ t(`markOut.${name}`) }}</td>
              <td class="soft">
                {{ t('markOut.fromDatum', { mm: L(line.lowMm), datum: line.lowDatum }) }}<br />
                {{ t('markOut.fromDatum', { mm: L(line.highMm), datum: line.highDatum }) }}<br />
                {{ t('markOut.half', { mm: L(line.halfMm) }) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="card">
        <h2>{{ t('markOut.diagonals') }}</h2>
        <table class="figures">
          <tbody>
            <tr>
              <td>{{ t('markOut.crossings') }}</td>
              <td class="n" data-testid="diagonal">{{ L(s.diagonalMm) }}</td>
            </tr>
            <tr>
              <td>{{ t('markOut.through') }}</td>
              <td class="n">{{ L(s.throughDiagonalMm) }}</td>
            </tr>
            <tr>
              <td>{{ t('markOut.arcs') }}</td>
              <td class="n">{{ L(s.arcDiagonalMm) }}</td>
            </tr>
            <tr>
              <td>{{ t('markOut.perimeter') }}</td>
              <td class="n">{{ L(s.perimeterMm) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="card">
        <h2>{{ t('markOut.holes') }}</h2>
        <LengthInput v-model="startHoleMm" :label="t('markOut.startHole')" />
        <p>
          {{ t('markOut.start', { n: s.startHoles.length, mm: s.startHoles[0]!.drill }) }},
          {{ t('markOut.throughHoles', { n: s.throughHoles.length, mm: s.throughHoles[0]!.drill })
          }}<template v-if="s.screwHoles.length"
            >, {{ t('markOut.screws', { n: s.screwHoles.length, mm: s.screwHoles[0]!.drill }) }}</template
          >
        </p>
      </div>
      <div class="card">
        <h2>
          {{ t('markOut.cut') }}:
          {{ t('markOut.cutSize', { w: lengthNumber(s.cutPath.path.widthMm, lengths), h: L(s.cutPath.path.heightMm) }) }}
        </h2>
        <p class="soft">
          {{
            t('markOut.fits', {
              least: `${lengthNumber(s.cutPath.leastHole.widthMm, lengths)} x ${L(s.cutPath.leastHole.heightMm)}`,
              most: `${lengthNumber(s.cutPath.mostHole.widthMm, lengths)} x ${L(s.cutPath.mostHole.heightMm)}`,
            })
          }}
        </p>
        <ol>
          <li v-for="step in [...s.order, ...(from === 'outside' ? s.cutPath.howTo : [])]" :key="step">{{ step }}</li>
        </ol>
        <WorkedSteps :title="t('openings.tab.mark-out')" :worked="sheet" />
      </div>
    </template>
  </aside>
</template>

<style scoped>
.paper {
  width: 84px;
}
.warn {
  padding: 10px 12px;
  border-left: 4px solid var(--amber);
  background: var(--amber-soft);
}
ol {
  margin: 0;
  padding-left: 20px;
}
</style>
