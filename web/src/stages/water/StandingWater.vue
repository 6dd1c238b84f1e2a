<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { message } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Schemas } from '@/api/client'
import { copyOf } from '@/app/copy'
import { useKeys } from '@/app/keys'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import FieldImage from '@/drawing/FieldImage.vue'
import { drawingKey } from '@/drawing/keys'
import OpeningShape from '@/drawing/OpeningShape.vue'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import type { ViewedFrom } from '@/drawing/facing'
import { useWater } from './useWater'
import WaterTabs from './WaterTabs.vue'

/** Where rain stands on the roof as the vehicle is parked, or would be: tried by two sliders. */
const { t } = useI18n()
const { shell, fittings, lengths, change } = useState()
const drawing = ref<InstanceType<typeof PanelDrawing> | null>(null)
const from = ref<ViewedFrom>('outside')
const { roof, map, worst, parking, mends, attitude, trouble, searching, findWorst } = useWater(
  () => shell.value!.vehicle.id,
  () => shell.value!.vehicle.value.attitude,
)
const m = computed(() => map.value?.result)
const openings = computed(() => {
  const id = shell.value!.panels.find((p) => p.value.kind === 'roof')?.id
  return shell.value!.openings.filter((o) => o.ownerId === id)
})
const fittingOf = (id: string) => fittings.value.find((f) => f.id === id)?.value
const area = computed(() => {
  const half = m.value!.cellMm / 2
  return {
    sMinMm: m.value!.sMinMm - half,
    sMaxMm: m.value!.sMinMm + (m.value!.columns - 0.5) * m.value!.cellMm,
    tMinMm: m.value!.tMinMm - half,
    tMaxMm: m.value!.tMinMm + (m.value!.rows - 0.5) * m.value!.cellMm,
  }
})
/** Depth at which the tint is full, mm. */
const fullMm = 10
function colour(cell: number): [number, number, number, number] {
  const depth = m.value!.depthsMm[cell]!
  if (depth > 0) return [24, 92, 138, 90 + 150 * Math.min(1, depth / fullMm)]
  const share = m.value!.pathShares[cell]!
  return share > 0 ? [70, 140, 180, 60 + 150 * Math.min(1, share * 6)] : [0, 0, 0, 0]
}
/** Of each way one of a kind: the least work that does most. */
const best = computed(() => {
  const kept = new Map<string, Schemas['PondingMend']>()
  for (const mend of mends.value?.result.mends ?? []) {
    const known = kept.get(mend.dam + mend.kind)
    if (!known || mend.thenMm < known.thenMm - 0.3) kept.set(mend.dam + mend.kind, mend)
  }
  return [...kept.values()]
})
const deg = (n: number) => `${Math.round(n * 100) / 100}°`
/** How it stands, in words: level, nose 1° down, left side 3° low. */
function stand({ pitchDeg, rollDeg }: Schemas['Attitude']): string {
  const one = (by: number, up: string, down: string) =>
    Math.abs(by) < 0.05 ? [] : [t(by > 0 ? up : down, { deg: deg(Math.abs(by)) })]
  const words = [...one(pitchDeg, 'water.noseUp', 'water.noseDown'), ...one(rollDeg, 'water.leftHigh', 'water.leftLow')]
  return words.join(', ') || t('water.level')
}
const parked = computed(() => shell.value!.vehicle.value.attitude ?? { pitchDeg: 0, rollDeg: 0 })
const tried = computed(() => attitude.pitchDeg !== parked.value.pitchDeg || attitude.rollDeg !== parked.value.rollDeg)
async function keepAttitude() {
  const { id, version, value } = shell.value!.vehicle
  const done = await change(() =>
    got(
      api.PUT('/api/vehicles/{id}', {
        params: { path: { id }, header: ifMatch(version) },
        body: { ...copyOf(value), attitude: { ...attitude } },
      }),
    ),
  )
  if (done) void message.success(t('water.attitudeKept', { how: stand(attitude) }))
}
useKeys((event) => drawingKey(event, from, drawing.value))
</script>

<template>
  <div v-if="!roof" class="empty">
    <WaterTabs />
    <Waiting :wrong="trouble" />
    <RouterLink v-if="trouble" class="btn" :to="{ name: 'walkaround', params: { vehicleId: shell!.vehicle.id } }">{{
      t('stages.walkaround')
    }}</RouterLink>
  </div>
  <div v-else class="screen">
    <header>
      <WaterTabs />
      <div class="sp" />
      <label v-for="axis in ['pitchDeg', 'rollDeg'] as const" :key="axis" class="slider">
        {{ t(`water.${axis}`) }}
        <input v-model.number="attitude[axis]" type="range" min="-5" max="5" step="0.1" :aria-valuetext="deg(attitude[axis])" />
        <b>{{ deg(attitude[axis]) }}</b>
      </label>
    </header>
    <PanelDrawing
      ref="drawing"
      :panel="roof.panel"
      :members="roof.members"
      :from="from"
      :lengths="lengths"
      :hide="{ zones: true, bays: true }"
      :label="t('water.drawing')"
    >
      <template #default="{ view }">
        <FieldImage v-if="m" :view="view" :columns="m.columns" :rows="m.rows" :area="area" :colour="colour" />
        <template v-for="o in openings" :key="o.id">
          <OpeningShape
            v-if="fittingOf(o.value.fittingId)"
            :view="view"
            :fitting="fittingOf(o.value.fittingId)!"
            :centre="o.value.centre"
            :turn-deg="o.value.turnDeg"
            :name="o.value.name"
            :state="o.value.state"
          />
        </template>
        <g v-for="pond in m?.ponds.slice(0, 9) ?? []" :key="pond.number" class="pond">
          <circle :cx="view.x(pond.deepest.sMm)" :cy="view.y(pond.deepest.tMm)" r="10" />
          <text :x="view.x(pond.deepest.sMm)" :y="view.y(pond.deepest.tMm) + 4">{{ pond.number }}</text>
        </g>
        <g :transform="`translate(50 ${view.height.value - (view.width.value < 560 ? 112 : 56)})`" class="legend">
          <rect class="plate" x="-6" y="-6" width="330" height="28" />
          <rect x="0" y="2" width="18" height="12" fill="var(--water-standing)" />
          <text x="24" y="12">{{ t('water.stands', { mm: lengthText(fullMm, lengths) }) }}</text>
          <path d="M176 8h22" stroke="var(--water-way)" stroke-width="4" />
          <text x="204" y="12">{{ t('water.runs') }}</text>
        </g>
      </template>
    </PanelDrawing>
    <aside>
      <p v-if="trouble" class="wrong" role="alert">{{ trouble }}</p>
      <div v-if="m" class="summary" :class="{ wet: m.dams.some((d) => d.depthMm > 0) }" role="status" data-testid="water">
        <b>{{ m.litres > 0.005 ? t('water.litres', { n: m.litres.toFixed(m.litres < 0.1 ? 2 : 1) }) : t('water.dry') }}</b>
        <span>{{ stand(attitude) }}</span>
        <button v-if="tried" class="btn keep" type="button" @click="keepAttitude">{{ t('water.keepAttitude') }}</button>
      </div>
      <div v-if="parking" class="card" data-testid="parking">
        <p v-if="parking.result.pitchByDeg === 0">{{ t('water.runsOff') }}</p>
        <p v-else-if="parking.result.pitchByDeg !== null">
          {{
            t('water.park', {
              how: stand({ pitchDeg: attitude.pitchDeg + parking.result.pitchByDeg, rollDeg: attitude.rollDeg }),
            })
          }}
          <button
            class="btn plain"
            type="button"
            @click="attitude.pitchDeg = Math.round((attitude.pitchDeg + parking.result.pitchByDeg) * 100) / 100"
          >
            {{ t('water.tryIt') }}
          </button>
        </p>
        <p v-for="w in parking.warnings" :key="w" class="wrong">{{ w }}</p>
      </div>
      <div v-if="m && m.dams.length > 0" class="card">
        <h2>{{ t('water.against') }}</h2>
        <table class="figures" data-testid="dams">
          <tbody>
            <tr v-for="d in m.dams" :key="d.name">
              <td>{{ d.name }}</td>
              <td class="n">
                <b>{{ lengthText(d.depthMm, lengths) }}</b>
                <div class="soft">{{ t('water.wetShare', { n: Math.round(d.wetShare * 100) }) }}</div>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="mends && mends.result.mends.length > 0" class="card" data-testid="mends">
        <h2>{{ t('water.mends') }}</h2>
        <table class="figures">
          <tbody>
            <tr v-for="(mend, i) in best" :key="i">
              <td>
                <div v-if="mend.dam && mend.dam !== best[i - 1]?.dam" class="soft">{{ mend.dam }}</div>
                {{ mend.what }}
              </td>
              <td class="n">
                {{ lengthText(mend.nowMm, lengths) }} → <b>{{ lengthText(mend.thenMm, lengths) }}</b>
              </td>
            </tr>
          </tbody>
        </table>
        <WorkedSteps :title="t('water.mends')" :worked="mends" />
      </div>
      <div class="card">
        <button class="btn" type="button" :disabled="searching" @click="findWorst">
          {{ t(searching ? 'water.searching' : 'water.worst') }}
        </button>
        <p v-if="worst" data-testid="worst">
          {{
            t('water.worstIs', {
              how: stand(worst.result.attitude),
              mm: lengthText(worst.result.deepestAtDamMm, lengths),
              dam: worst.result.dam ?? t('app.none'),
            })
          }}
        </p>
      </div>
      <div v-if="m" class="card">
        <h2>{{ t('water.ponds') }}</h2>
        <p v-if="m.ponds.length === 0" class="soft">{{ t('water.noPond') }}</p>
        <table class="figures">
          <tbody>
            <tr v-for="p in m.ponds.slice(0, 9)" :key="p.number">
              <td>
                <b>{{ p.number }}</b>
              </td>
              <td class="n">{{ lengthText(p.depthMm, lengths) }}</td>
              <td class="n">{{ p.litres.toFixed(2) }} l</td>
              <td class="n soft">{{ p.areaM2.toFixed(2) }} m²</td>
            </tr>
          </tbody>
        </table>
        <h2>{{ t('water.leaves') }}</h2>
        <p class="soft">
          {{
            (['front', 'rear', 'left', 'right'] as const)
              .map((e) => `${t(`sides.${e}`)} ${Math.round(m!.runoff[e] * 100)} %`)
              .join(', ')
          }}
        </p>
        <template v-for="g in m.gutters" :key="g.name">
          <p class="soft">
            {{
              t(g.spillsAt ? 'water.gutter' : 'water.gutterLevel', {
                name: g.name,
                n: Math.round(g.share * 100),
                at: g.spillsAt ? lengthText(g.spillsAt.sMm, lengths) : '',
              })
            }}
          </p>
        </template>
        <WorkedSteps :title="t('water.title')" :worked="map" />
      </div>
      <p class="soft">{{ t('water.model') }}</p>
    </aside>
  </div>
</template>

<style scoped>
.slider {
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: 500;
}
.slider input {
  width: 150px;
  min-height: 36px;
  accent-color: var(--rust);
}
.slider b {
  min-width: 46px;
}
.pond circle {
  fill: var(--white);
  stroke: var(--water);
  stroke-width: 2;
}
.pond text {
  font-size: 12px;
  font-weight: 600;
  fill: var(--water);
  text-anchor: middle;
}
.plate {
  fill: color-mix(in srgb, var(--paper) 90%, transparent);
}
.legend text {
  font-size: 12px;
  fill: var(--ink);
}
.summary {
  display: flex;
  flex-direction: column;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
}
.summary.wet {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.keep {
  align-self: flex-start;
  margin-top: 6px;
}
.summary b {
  font: 600 16px 'Source Sans 3';
}
</style>
