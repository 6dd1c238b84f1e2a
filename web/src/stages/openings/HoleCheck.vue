<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type LengthFormat, type Schemas } from '@/api/client'
import { useDraft } from '@/app/drafts'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import StateMark from '@/ui/StateMark.vue'
import { said } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import type { Facing } from '@/drawing/facing'
import { holeFields } from './holeFields'
import HoleSketch from './HoleSketch.vue'

/** Six readings of a hole, and how a frame sits in it. */
const props = withDefaults(
  defineProps<{
    frame: Schemas['Frame']
    lengths: LengthFormat
    facing?: Facing
    kept?: { of: string; saved: Schemas['AsCut'] | null }
  }>(),
  { facing: 'up', kept: undefined },
)
const readings = defineModel<Schemas['AsCut'] | null>({ required: true })
const { t } = useI18n()
const fields = computed(() => holeFields(props.facing))
type Typed = { [K in keyof Schemas['AsCut']]: number | null }
const blank: Typed = {
  topWidthMm: null,
  bottomWidthMm: null,
  frontHeightMm: null,
  rearHeightMm: null,
  risingDiagonalMm: null,
  fallingDiagonalMm: null,
}
const typed = reactive<Typed>({ ...(readings.value ?? blank) })
if (props.kept)
  useDraft<Typed>({
    kind: () => `as cut ${props.kept!.of}`,
    typed: () => typed,
    saved: () => props.kept!.saved ?? blank,
    what: () => t('app.draft.asCut'),
    take: (draft) => Object.assign(typed, draft),
  })
watch(
  typed,
  () => (readings.value = fields.value.every(([key]) => typed[key] !== null) ? ({ ...typed } as Schemas['AsCut']) : null),
)

const fit = ref<Schemas['WorkedOfHoleFit'] | null>(null)
const wrong = ref('')
let asked = 0
watch(
  () => JSON.stringify([readings.value, props.frame, props.lengths, props.facing]),
  async () => {
    const own = ++asked
    if (!readings.value) {
      fit.value = null
      return
    }
    try {
      const answer = await got(
        api.POST('/api/calculators/hole-check', {
          body: { frame: props.frame, measured: readings.value, facing: props.facing, lengths: props.lengths },
        }),
      )
      if (own !== asked) return
      fit.value = answer
      wrong.value = ''
    } catch (e) {
      if (own !== asked) return
      fit.value = null
      wrong.value = said(e)
    }
  },
  { immediate: true },
)
const r = computed(() => fit.value?.result)
const state = computed(() => (r.value?.fit === 'fits' ? 'good' : r.value?.fit === 'openUp' ? 'needsWork' : 'blocked'))
const L = (mm: number) => lengthText(mm, props.lengths)
</script>

<template>
  <div class="page check">
    <div class="card">
      <h2>{{ t('asCut.title') }}</h2>
      <p class="soft">{{ t('asCut.more') }}</p>
      <div class="form">
        <LengthInput v-for="[key, name] in fields" :key="key" v-model="typed[key]" :label="name" />
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <slot />
    </div>
    <HoleSketch v-if="r" :fit="r" :frame="frame" :facing="facing" />
  </div>
  <aside>
    <p v-if="!r" class="soft">{{ t('asCut.waiting') }}</p>
    <template v-else>
      <div class="summary" :class="state" role="status" data-testid="fit">
        <StateMark :state="state" />
        <b>{{ t(`asCut.fit.${r.fit}`) }}</b>
      </div>
      <p data-testid="advice">{{ r.advice }}</p>
      <p v-for="warning in fit!.warnings" :key="warning" class="wrong" role="alert">{{ warning }}</p>
      <table class="figures">
        <tbody>
          <tr>
            <td>{{ t('asCut.clearance') }}</td>
            <td class="n">{{ L(r.smallestClearanceMm) }}</td>
          </tr>
          <tr>
            <td>{{ t('asCut.skew') }}</td>
            <td class="n">{{ L(r.skewMm) }}</td>
          </tr>
          <tr>
            <td>{{ t('asCut.lap') }}</td>
            <td class="n">{{ L(r.lapLeftMm) }}</td>
          </tr>
          <tr>
            <td>{{ t('asCut.misclosure') }}</td>
            <td class="n">{{ L(r.misclosureMm) }}</td>
          </tr>
          <tr v-if="Math.abs(r.turnedDeg) >= 0.05">
            <td>{{ t('asCut.turned') }}</td>
            <td class="n">{{ t('asCut.degrees', { n: Math.round(r.turnedDeg * 10) / 10 }) }}</td>
          </tr>
        </tbody>
      </table>
      <WorkedSteps :title="t('asCut.title')" :worked="fit" />
    </template>
  </aside>
</template>

<style scoped>
.check {
  display: flex;
  flex-direction: column;
  gap: 20px;
}
.form {
  grid-template-columns: repeat(2, minmax(180px, 280px));
}
.summary {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
}
.summary b {
  font: 600 16px 'Source Sans 3';
}
.summary.needsWork {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.summary.blocked {
  border-color: var(--stop);
  background: var(--stop-soft);
}
@media (max-width: 560px) {
  .form {
    grid-template-columns: 1fr;
  }
}
</style>
