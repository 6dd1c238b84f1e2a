<script setup lang="ts">
import { message } from 'ant-design-vue'
import { computed, reactive, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { turnedPoint, turnedShape } from '@/drawing/geometry'
import Verdict from '@/ui/Verdict.vue'
import { useFigure } from '@/stages/figures/useFigure'
import ScrewDrawing from './ScrewDrawing.vue'
import TextField from '@/ui/TextField.vue'
import type { OpeningWork } from './useOpening'

/** Clamping: the stack between the halves, each lug ticked, screws tapped in order, the gasket before and after. */
const props = defineProps<{ work: OpeningWork }>()
const { t } = useI18n()
const { lengths } = useState()
const fitting = computed(() => props.work.fitting!)
const halves = computed(() => fitting.value.halves)
const L = (mm: number) => lengthText(mm, lengths.value)

const blank = (): Schemas['ClampWork'] => ({
  layers: [
    { name: t('clamp.skin'), thickMm: props.work.panel!.value.skinMm },
    ...(props.work.row!.value.wallMm
      ? [{ name: t('clamp.lining'), thickMm: Math.max(0, props.work.row!.value.wallMm - props.work.panel!.value.skinMm) }]
      : []),
  ],
  trimmed: [],
  tight: [],
  beforeMm: [],
  afterMm: [],
})
const kept = computed(() => props.work.row!.value.clamp ?? blank())
const lugs = computed(() => Array.from({ length: halves.value?.lugs ?? 0 }, (_, i) => kept.value.trimmed[i] ?? false))
const form = reactive({
  layers: [] as { name: string; thickMm: number | null }[],
  gaps: [] as { before: number | null; after: number | null }[],
})
watch(
  kept,
  (k) => {
    form.layers = k.layers.map((l) => ({ ...l }))
    const places = Math.max(4, k.beforeMm.length)
    form.gaps = Array.from({ length: places }, (_, i) => ({
      before: k.beforeMm[i] ?? halves.value?.gasketMm ?? null,
      after: k.afterMm[i] ?? null,
    }))
  },
  { immediate: true },
)
/** One after the other, each from what the one before left: who taps quickly loses no tap. */
let saving: Promise<unknown> = Promise.resolve()
const save = (part: () => Partial<Schemas['ClampWork']>) =>
  (saving = saving.then(() => props.work.save({ clamp: { ...kept.value, ...part() } })))
const tick = (n: number) => save(() => ({ trimmed: lugs.value.map((on, i) => (i === n ? !on : on)) }))

const layers = computed(() =>
  form.layers.flatMap((l) => (l.thickMm === null ? [] : [{ name: l.name || t('clamp.layer'), thickMm: l.thickMm }])),
)
const stack = useFigure('clamp-stack', () =>
  layers.value.length === 0 || !fitting.value.clamp
    ? null
    : {
        layers: layers.value,
        nominalGapMm: halves.value?.gapMm ?? 0,
        range: fitting.value.clamp,
        lugs: halves.value?.lugs ?? 0,
        screws: halves.value?.screws ?? [],
        lengths: lengths.value,
      },
)
/** Drawn as it is placed. */
const turned = (shape: Schemas['RoundedRectangle']) => turnedShape(shape, props.work.row!.value.turnDeg)
const frame = computed(() => turned(halves.value?.innerFrame ?? fitting.value.flange))
const order = useFigure('tightening-order', () =>
  halves.value?.screwPlaces
    ? { screws: halves.value.screwPlaces.map((p) => turnedPoint(p, props.work.row!.value.turnDeg)), frame: null, count: null }
    : halves.value && halves.value.lugs > 1
      ? { screws: null, frame: frame.value, count: halves.value.lugs }
      : null,
)
const gasket = useFigure('gasket', () => {
  const typed = form.gaps.filter((g) => g.before !== null && g.after !== null)
  return typed.length === 0
    ? null
    : { beforeMm: typed.map((g) => g.before!), afterMm: typed.map((g) => g.after!), lengths: lengths.value }
})
async function keepGaps() {
  if (!(await lengthsRead())) return
  const typed = form.gaps.filter((g) => g.before !== null)
  const gaps = { beforeMm: typed.map((g) => g.before!), afterMm: typed.flatMap((g) => (g.after === null ? [] : [g.after])) }
  if (await save(() => gaps)) void message.success(t('clamp.saved'))
}
async function keepLayers() {
  if (!(await lengthsRead())) return
  const typed = layers.value
  if (await save(() => ({ layers: typed }))) void message.success(t('clamp.saved'))
}
const turn = computed(() => kept.value.tight.length)
const trimmedCount = computed(() => lugs.value.filter(Boolean).length)
/** Lugs still to trim; none where the stack asks for none to be trimmed. */
const untrimmed = computed(() => (stack.answer.value?.result.lugTrimMm === 0 ? 0 : lugs.value.length - trimmedCount.value))
</script>

<template>
  <div class="page clamp">
    <div v-if="!halves" class="empty">
      <p>{{ t('clamp.noHalves') }}</p>
      <RouterLink class="btn" :to="{ name: 'fittings' }">{{ t('clamp.toFitting') }}</RouterLink>
    </div>
    <template v-else>
      <template v-if="order.answer.value">
        <h2>{{ t('clamp.order') }}</h2>
        <ScrewDrawing
          :outline="frame"
          :cut-out="turned(fitting.cutOut)"
          :places="order.answer.value.result.places"
          :order="order.answer.value.result.order"
          :tight="kept.tight"
          @tap="(n) => save(() => (kept.tight.includes(n) ? {} : { tight: [...kept.tight, n] }))"
        />
        <div class="row">
          <b role="status" data-testid="turn">{{
            turn < order.answer.value.result.order.length
              ? t('clamp.next', { n: turn + 1 })
              : t(untrimmed > 0 ? 'clamp.allButLugs' : 'clamp.all', untrimmed)
          }}</b>
          <button v-if="turn > 0" class="btn" type="button" @click="save(() => ({ tight: [] }))">{{ t('clamp.again') }}</button>
        </div>
        <p v-if="untrimmed > 0" class="warn">{{ t('clamp.lugsFirst', untrimmed) }}</p>
        <p class="soft">{{ t(halves.screwPlaces ? 'clamp.asMeasured' : 'clamp.evenly') }} {{ t('clamp.driver') }}</p>
      </template>
      <template v-if="lugs.length > 0">
        <h2>{{ t('clamp.lugs', { n: trimmedCount, of: lugs.length }) }}</h2>
        <div class="lugs">
          <button v-for="(on, n) in lugs" :key="n" type="button" class="lug" :aria-pressed="on" @click="tick(n)">
            {{ t('clamp.lug', { n: n + 1 }) }}
          </button>
        </div>
        <p :class="trimmedCount < lugs.length ? 'warn' : 'soft'">
          {{ t(trimmedCount < lugs.length ? 'clamp.missingLugs' : 'clamp.allLugs') }}
        </p>
      </template>
      <template v-if="halves.gasketMm > 0">
        <h2>{{ t('clamp.gasket') }}</h2>
        <p class="soft">{{ t('clamp.gasketMore', { mm: L(halves.gasketMm) }) }}</p>
        <div v-for="(g, i) in form.gaps" :key="i" class="form pair">
          <LengthInput v-model="g.before" :label="t('clamp.before', { n: i + 1 })" optional />
          <LengthInput v-model="g.after" :label="t('clamp.after', { n: i + 1 })" optional />
        </div>
        <div class="row">
          <button class="btn" type="button" @click="form.gaps.push({ before: halves.gasketMm, after: null })">
            {{ t('clamp.addPlace') }}
          </button>
          <button class="btn main" type="button" @click="keepGaps">{{ t('clamp.keepGaps') }}</button>
        </div>
        <Verdict :verdict="gasket.answer.value?.result.verdict" :wrong="gasket.wrong.value" data-testid="gasket" />
      </template>
    </template>
  </div>
  <aside>
    <div class="card">
      <h2>{{ t('clamp.layers') }}</h2>
      <div v-for="(l, i) in form.layers" :key="i" class="form pair">
        <TextField v-model="l.name" :label="t('app.name')" :most="80" />
        <LengthInput v-model="l.thickMm" :label="t('clamp.layer')" optional />
      </div>
      <div class="row">
        <button class="btn" type="button" @click="form.layers.push({ name: '', thickMm: null })">
          {{ t('clamp.addLayer') }}
        </button>
        <button class="btn main" type="button" @click="keepLayers">{{ t('clamp.keep') }}</button>
      </div>
      <Verdict
        :verdict="stack.answer.value?.result.verdict"
        :look="(stack.answer.value?.result.packMm ?? 0) > 0"
        :wrong="stack.wrong.value"
        data-testid="stack"
      />
      <table v-if="stack.answer.value" class="figures">
        <tbody>
          <tr>
            <td>{{ t('clamp.stack') }}</td>
            <td class="n">
              <b>{{ L(stack.answer.value.result.stackMm) }}</b>
            </td>
          </tr>
          <tr>
            <td>{{ t('clamp.trim') }}</td>
            <td class="n">{{ L(stack.answer.value.result.lugTrimMm) }}</td>
          </tr>
          <tr>
            <td>{{ t('clamp.pack') }}</td>
            <td class="n">{{ L(stack.answer.value.result.packMm) }}</td>
          </tr>
          <tr>
            <td>{{ t('clamp.screw') }}</td>
            <td class="n">
              {{ stack.answer.value.result.screwMm === null ? t('clamp.noScrew') : L(stack.answer.value.result.screwMm) }}
            </td>
          </tr>
          <template v-if="stack.answer.value.result.toBottomMm !== null">
            <tr>
              <td>{{ t('clamp.toBottom') }}</td>
              <td class="n">{{ L(stack.answer.value.result.toBottomMm) }}</td>
            </tr>
            <tr>
              <td>{{ t('clamp.toLoose') }}</td>
              <td class="n">{{ L(stack.answer.value.result.toLooseMm!) }}</td>
            </tr>
          </template>
        </tbody>
      </table>
      <WorkedSteps :title="t('clamp.layers')" :worked="stack.answer.value" />
    </div>
  </aside>
</template>

<style scoped>
.clamp {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.pair {
  grid-template-columns: 1fr 1fr;
  max-width: 420px;
}
.lugs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.lug {
  min-width: 76px;
  min-height: 44px;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--white);
  font: 600 14px 'Source Sans 3';
  cursor: pointer;
}
.lug[aria-pressed='true'] {
  background: var(--teal);
  border-color: var(--teal);
  color: var(--white);
}
.lug[aria-pressed='true']::before {
  content: '✓ ';
}
</style>
