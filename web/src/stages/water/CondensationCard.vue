<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'
import { useFigure } from '@/stages/figures/useFigure'
import NumberInput from '@/ui/NumberInput.vue'
import Switch from '@/ui/Switch.vue'
import WorkedSteps from '@/ui/WorkedSteps.vue'

/** Whether the water comes from the air or from a leak: what was seen, and the foil that settles it. */
const props = defineProps<{ vehicleId: string; tests: Schemas['OtherTest'][] }>()
const { t } = useI18n()
type Signs = Schemas['CondensationSigns']
const signs = useStorage<Signs>(`abri.condensation.${props.vehicleId}`, {})
const seen = ['wetWithoutRain', 'dryInRain', 'manyPlaces', 'afterColdNights', 'onCold'] as const
const readings = ['airC', 'relativePercent', 'surfaceC'] as const
/** What nobody looked at is left out of the question. */
const said = (on: boolean | null | undefined) => (on === true ? 'yes' : on === false ? 'no' : 'open')
const answers = computed(() =>
  ['open', 'yes', 'no'].map((key) => ({ key, text: t(`condensation.${key === 'open' ? 'unknown' : key}`) })),
)
const sides = computed(() => ['open', ...enums.FoilSide].map((key) => ({ key, text: t(`condensation.foils.${key}`) })))
const figure = useFigure('condensation', () => ({ signs: signs.value }))
const answer = computed(() => figure.answer.value?.result ?? null)
</script>

<template>
  <section class="card condensation" data-testid="condensation">
    <h2>{{ t('condensation.title') }}</h2>
    <p class="soft">{{ t('condensation.why') }}</p>
    <div v-for="sign in seen" :key="sign" class="ask">
      <span>{{ t(`condensation.ask.${sign}`) }}</span>
      <Switch
        :model-value="said(signs[sign])"
        :choices="answers"
        :label="t(`condensation.ask.${sign}`)"
        @update:model-value="(v: string) => (signs[sign] = v === 'open' ? null : v === 'yes')"
      />
    </div>
    <div class="form">
      <NumberInput
        v-for="r in readings"
        :key="r"
        :model-value="signs[r] ?? null"
        :label="t(`condensation.reading.${r}`)"
        @update:model-value="(n: number | null) => (signs[r] = n)"
      />
    </div>
    <div class="ask">
      <span>{{ t('condensation.ask.foil') }}</span>
      <Switch
        :model-value="signs.foil ?? 'open'"
        :choices="sides"
        :label="t('condensation.ask.foil')"
        @update:model-value="(v: string) => (signs.foil = v === 'open' ? null : (v as Signs['foil']))"
      />
    </div>
    <p v-if="figure.wrong.value" class="wrong" role="alert">{{ figure.wrong.value }}</p>
    <template v-else-if="answer">
      <p class="said" role="status" data-testid="condensation-verdict">
        <b>{{ answer.verdict }}</b>
        {{ ` ${t('condensation.chance', { n: Math.round(answer.probability * 100) })}` }}
      </p>
      <ul v-if="answer.for.length + answer.against.length > 0">
        <li v-for="w in answer.for" :key="w">{{ w }}</li>
        <li v-for="w in answer.against" :key="w">{{ `${t('condensation.against')} ${w}` }}</li>
      </ul>
      <ol v-if="answer.next.length > 0">
        <li v-for="w in answer.next" :key="w">{{ w }}</li>
      </ol>
      <WorkedSteps :title="t('condensation.title')" :worked="figure.answer.value" />
    </template>
    <h3>{{ t('condensation.others') }}</h3>
    <dl>
      <template v-for="test in tests" :key="test.id">
        <dt>{{ test.name }}</dt>
        <dd>
          <span class="soft">{{ test.when }}</span>
          {{ ` ${test.do}` }}
        </dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.condensation {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 12px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 12px;
}
.ask :deep(.tabs) {
  flex-wrap: wrap;
}
.said {
  margin: 0;
  padding: 10px 12px;
  border-left: 4px solid var(--teal);
  background: var(--teal-soft);
}
ul,
ol {
  margin: 0;
  padding-left: 18px;
}
dl {
  margin: 0;
}
dt {
  margin-top: 6px;
  font-weight: 600;
}
dd {
  margin: 0;
}
</style>
