<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Point, type Schemas } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import { said, useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'

/** Four sides and two diagonals: how far from square and parallel, and the true rectangle inside. Drawn with its errors twenty times as large. */
const { t } = useI18n()
const { lengths } = useState()
const fields = ['topMm', 'bottomMm', 'frontMm', 'rearMm', 'risingMm', 'fallingMm'] as const
const typed = reactive<Record<(typeof fields)[number], number | null>>({
  topMm: null,
  bottomMm: null,
  frontMm: null,
  rearMm: null,
  risingMm: null,
  fallingMm: null,
})
const found = ref<Schemas['WorkedOfSquarenessFound'] | null>(null)
const wrong = ref('')
const magnified = 20
let asked = 0
watch(typed, async () => {
  const own = ++asked
  wrong.value = ''
  if (fields.some((f) => typed[f] === null)) {
    found.value = null
    return
  }
  try {
    const answer = await got(api.POST('/api/calculators/squareness', { body: { ...typed } as Schemas['SixReadings'] }))
    if (own === asked) found.value = answer
  } catch (e) {
    if (own !== asked) return
    found.value = null
    wrong.value = said(e)
  }
})
const rows = ['outOfSquareOverWidthMm', 'outOfSquareOverHeightMm', 'topFromBottomMm', 'frontFromRearMm', 'misclosureMm'] as const

/** Corners about those of the nearest plain rectangle, their distances from it magnified; t upwards. */
const sketch = computed(() => {
  const r = found.value?.result
  if (!r) return null
  const w = (typed.topMm! + typed.bottomMm!) / 2
  const h = (typed.frontMm! + typed.rearMm!) / 2
  const plain = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
  ]
  const points = r.corners.map((c: Point, i: number) => ({
    x: plain[i]![0]! + (c.sMm - plain[i]![0]!) * magnified,
    y: -(plain[i]![1]! + (c.tMm - plain[i]![1]!) * magnified),
  }))
  const xs = [...points.map((p) => p.x), 0, w]
  const ys = [...points.map((p) => p.y), 0, -h]
  const pad = w * 0.06
  return {
    points: points.map((p) => `${p.x},${p.y}`).join(' '),
    w,
    h,
    box: `${Math.min(...xs) - pad} ${Math.min(...ys) - pad} ${Math.max(...xs) - Math.min(...xs) + 2 * pad} ${Math.max(...ys) - Math.min(...ys) + 2 * pad}`,
  }
})
</script>

<template>
  <div class="page">
    <p class="soft">{{ t('figures.squarenessMore') }}</p>
    <div class="form">
      <LengthInput v-for="f in fields" :key="f" v-model="typed[f]" :label="t(`figures.six.${f}`)" optional />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <template v-if="found">
      <p v-for="w in found.warnings" :key="w" class="wrong" role="alert">{{ w }}</p>
      <div class="beside">
        <table class="figures" data-testid="squareness">
          <tbody>
            <tr v-for="key in rows" :key="key">
              <td>{{ t(`figures.square.${key}`) }}</td>
              <td class="n">{{ lengthText(found.result[key], lengths) }}</td>
            </tr>
            <tr>
              <td>{{ t('figures.square.rectangle') }}</td>
              <td class="n">
                <b>{{ lengthText(found.result.trueWidthMm, lengths) }} x {{ lengthText(found.result.trueHeightMm, lengths) }}</b>
              </td>
            </tr>
          </tbody>
        </table>
        <figure v-if="sketch">
          <svg :viewBox="sketch.box" role="img" :aria-label="t('figures.squareness')">
            <rect x="0" :y="-sketch.h" :width="sketch.w" :height="sketch.h" />
            <polygon :points="sketch.points" />
          </svg>
          <figcaption class="soft">{{ t('figures.squareSketch', { n: magnified }) }}</figcaption>
        </figure>
      </div>
    </template>
  </div>
  <aside>
    <WorkedSteps :title="t('figures.squareness')" :worked="found" />
  </aside>
</template>

<style scoped>
.form {
  max-width: 720px;
}
.beside {
  display: grid;
  grid-template-columns: minmax(280px, 460px) minmax(200px, 360px);
  gap: 24px;
  align-items: start;
}
figure {
  margin: 0;
}
svg {
  display: block;
  width: 100%;
  max-height: 240px;
  background: var(--sheet);
}
rect {
  fill: none;
  stroke: var(--edge-strong);
  stroke-dasharray: 6 4;
  vector-effect: non-scaling-stroke;
}
polygon {
  fill: color-mix(in srgb, var(--teal-soft) 50%, transparent);
  stroke: var(--teal);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
@media (max-width: 760px) {
  .beside {
    grid-template-columns: 1fr;
  }
}
</style>
