<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { lengthText } from '@/app/length'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthsRead } from '@/app/parseLength'
import { said, useState } from '@/app/state'
import StateMark from '@/ui/StateMark.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { facingOf, sideWord } from '@/drawing/facing'
import SeatSection from './SeatSection.vue'
import type { OpeningWork } from './useOpening'

/** How the flange sits on its panel: on what it rests, the gap along each side, and the tape that fills it. */
const props = defineProps<{ work: OpeningWork }>()
const { t } = useI18n()
const { lengths } = useState()
const seat = ref<Schemas['WorkedOfSeat'] | null>(null)
const trouble = ref('')
const input = computed<Schemas['SeatInput'] | null>(() =>
  props.work.site && props.work.row
    ? { site: props.work.site, centre: props.work.row.value.centre, tape: props.work.row.value.tape }
    : null,
)
/** Tape that somebody has bought: width and thickness together, or the size that the seat asks for. */
const own = reactive<{ widthMm: number | null; thickMm: number | null }>({ widthMm: null, thickMm: null })
watch(
  () => props.work.row?.value.tape,
  (tape) => Object.assign(own, { widthMm: tape?.widthMm ?? null, thickMm: tape?.thickMm ?? null }),
  { immediate: true },
)
const half = computed(() => (own.widthMm === null) !== (own.thickMm === null))
const changed = computed(() => {
  const kept = props.work.row?.value.tape
  return own.widthMm !== (kept?.widthMm ?? null) || own.thickMm !== (kept?.thickMm ?? null)
})
async function keepTape() {
  if (half.value || !(await lengthsRead())) return
  const { widthMm, thickMm } = own
  await props.work.save({
    tape: widthMm === null || thickMm === null ? null : { widthMm, thickMm, squeezedShare: s.value!.tape.squeezedShare },
  })
}
let asked = 0
async function sit() {
  const mine = ++asked
  if (!input.value) return
  try {
    const answer = await got(api.POST('/api/calculators/seat', { body: input.value }))
    if (mine === asked) [seat.value, trouble.value] = [answer, '']
  } catch (e) {
    if (mine === asked) [seat.value, trouble.value] = [null, said(e)]
  }
}
watch(() => JSON.stringify(input.value), sit, { immediate: true })

const L = (mm: number) => lengthText(mm, lengths.value)
const s = computed(() => seat.value?.result)
const facing = computed(() => facingOf(props.work.panel!.value))
const word = (side: Schemas['Side']) => sideWord(facing.value, side)
/** Heights of all four sides are drawn to one scale, so that they can be held against one another. */
const range = computed(() => {
  const places = s.value?.sides.flatMap((x) => x.places) ?? []
  return {
    low: Math.min(...places.map((p) => p.skinMm)),
    high: Math.max(...places.map((p) => p.frameMm)),
    longest: Math.max(...(s.value?.sides.map((x) => x.lengthMm) ?? [1])),
  }
})
const layers = computed(() => [...new Set(s.value?.strips.map((x) => x.layer) ?? [])].sort((a, b) => a - b))
</script>

<template>
  <Waiting v-if="!s" :wrong="trouble" />
  <div v-else class="page sections">
    <p class="soft">{{ t('seat.sections') }}</p>
    <SeatSection
      v-for="side in s.sides"
      :key="side.side"
      :side="side"
      :name="word(side.side)"
      :ends="side.side === 'front' || side.side === 'rear' ? [word('bottom'), word('top')] : [word('front'), word('rear')]"
      :range="range"
      :strips="s.strips.filter((x) => x.side === side.side)"
      :lengths="lengths"
    />
  </div>
  <aside>
    <p v-if="work.moved" class="warn">{{ t('markOut.unsaved') }}</p>
    <template v-if="s">
      <div class="verdict" :class="s.state" role="status" data-testid="seat">
        <StateMark :state="s.state" />
        <span>{{ s.verdict }}</span>
      </div>
      <table class="figures">
        <tbody>
          <tr>
            <td>{{ t('seat.maxGap') }}</td>
            <td class="n">
              <b>{{ L(s.rest.maxGapMm) }}</b>
            </td>
          </tr>
          <tr>
            <td>{{ t('seat.meanGap') }}</td>
            <td class="n">{{ L(s.rest.meanGapMm) }}</td>
          </tr>
          <tr>
            <td>{{ t('seat.fill') }}</td>
            <td class="n">{{ Math.round(s.fillMl) }} ml</td>
          </tr>
          <tr>
            <td>{{ t('seat.tapeMl') }}</td>
            <td class="n" data-testid="tape-ml">{{ Math.round(s.tapeMl) }} ml</td>
          </tr>
          <tr>
            <td>{{ t('seat.tilt') }}</td>
            <td class="n">{{ s.rest.tiltDeg.toFixed(2) }}°</td>
          </tr>
          <tr>
            <td>{{ t('seat.tape') }}</td>
            <td class="n">{{ L(s.tapeMm) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="w in seat!.warnings" :key="w" class="warn">{{ w }}</p>
      <div class="card">
        <h2>{{ t('seat.cut') }}</h2>
        <p class="soft">
          {{
            s.strips.length === 0 ? t('seat.noTape') : t('seat.cutMore', { width: L(s.tape.widthMm), thick: L(s.tape.thickMm) })
          }}
        </p>
        <form class="form two" @submit.prevent="keepTape">
          <LengthInput v-model="own.widthMm" :label="t('seat.tapeWidth')" optional />
          <LengthInput v-model="own.thickMm" :label="t('seat.tapeThick')" optional />
          <p v-if="half" class="soft wide">{{ t('seat.tapeBoth') }}</p>
          <button v-else-if="changed" class="btn" type="submit">{{ t('seat.keepTape') }}</button>
        </form>
        <template v-for="layer in layers" :key="layer">
          <b>{{ t(layer === layers.at(-1) ? 'seat.lastLayer' : 'seat.layer', { n: layer }) }}</b>
          <table class="figures" data-testid="strips">
            <tbody>
              <tr v-for="(x, i) in s.strips.filter((y) => y.layer === layer)" :key="i">
                <td>{{ word(x.side) }}</td>
                <td class="n soft">{{ t('seat.from', { mm: L(x.fromMm) }) }}</td>
                <td class="n">
                  <b>{{ L(x.lengthMm) }}</b>
                </td>
              </tr>
            </tbody>
          </table>
        </template>
      </div>
      <WorkedSteps :title="t('openings.tab.seat')" :worked="seat" />
      <p class="soft">{{ t('seat.model') }}</p>
    </template>
  </aside>
</template>

<style scoped>
.sections {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.two {
  grid-template-columns: 1fr 1fr;
}
.verdict {
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 8px;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
  font-weight: 500;
}
.verdict.needsWork {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.verdict.blocked {
  border-color: var(--stop);
  background: var(--stop-soft);
}
</style>
