<script setup lang="ts">
import { Checkbox } from 'ant-design-vue'
import { useDebounceFn } from '@vueuse/core'
import { computed, reactive, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Member, type Panel, type Schemas, type Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { useDraft } from '@/app/drafts'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { said, useState } from '@/app/state'
import { facingOf, sideWord } from '@/drawing/facing'
import TextField from '@/ui/TextField.vue'
import Choice from '@/ui/Choice.vue'
import { usualKind } from './memberKinds'

/** Running tape readings across the panel; what they give is shown before it is added. */
const props = defineProps<{ panel: Stored<Panel> }>()
const { t } = useI18n()
const { lengths, load, shell } = useState()
const form = reactive({
  readings: '',
  from: 'front' as Schemas['TapeFrom'],
  startsOnMember: false,
  kind: usualKind[props.panel.value.kind],
  name: t(`walkaround.memberKinds.${usualKind[props.panel.value.kind]}`),
  depthMm: 40,
  firstNumber: 1,
  again: '',
  overall: '',
})
useDraft({
  kind: () => `tape ${props.panel.id}`,
  typed: () => (form.readings || form.again ? form : null),
  saved: () => null,
  what: () => t('app.draft.tape'),
  take: (draft) => Object.assign(form, draft),
})
const found = ref<Member[]>([])
const twice = ref<Schemas['ReadingPair'][]>([])
const restMm = ref(0)
const wrong = ref('')
let asked = 0

watch(
  () => form.kind,
  (kind, before) => {
    if (form.name === t(`walkaround.memberKinds.${before}`)) form.name = t(`walkaround.memberKinds.${kind}`)
    if (kind === 'swage') Object.assign(form, { from: 'bottom', depthMm: -8 })
    else if (before === 'swage') Object.assign(form, { from: 'front', depthMm: 40 })
  },
)
const run = computed<Schemas['TapeRun']>(() => ({
  ...form,
  again: form.again || null,
  overall: form.overall || null,
  lengths: lengths.value,
}))
const facing = computed(() => facingOf(props.panel.value))
const edgeName = (edge: Schemas['TapeFrom']) => t('walkaround.edge', { side: sideWord(facing.value, edge) })
/** Readings of the two runs, one by one, as the server understood them. */
const runs = ref<{ readings: readonly string[]; again: readonly string[] }>({ readings: [], again: [] })
/** Answers one doubtful reading: the one that is right stands in both runs from here on. */
function answerReading(pair: Schemas['ReadingPair'], second: boolean) {
  const n = pair.number!
  const right = (second ? runs.value.again : runs.value.readings)[n]!
  const put = (run: readonly string[]) => run.map((r, i) => (i === n ? right : r)).join(' / ')
  form.readings = put(runs.value.readings)
  form.again = put(runs.value.again)
}
/** The drawing of the panel is right: what the tape read at the far edge is dropped. */
const keepDrawing = () => (form.overall = '')

async function look() {
  const own = ++asked
  wrong.value = ''
  if (form.readings.trim() === '') {
    found.value = []
    return
  }
  try {
    const answer = await got(api.POST('/api/calculators/tape-chain', { body: { panel: props.panel.value, run: run.value } }))
    if (own !== asked) return
    found.value = answer.result.members
    twice.value = answer.result.twice
    restMm.value = answer.result.restMm
    runs.value = answer.result
  } catch (e) {
    if (own !== asked) return
    found.value = []
    wrong.value = said(e)
  }
}
const lookSoon = useDebounceFn(look, 250)
watch(run, lookSoon)

async function add() {
  if (!(await lengthsRead())) return
  await look()
  if (found.value.length === 0) return
  try {
    const vehicleId = shell.value!.vehicle.id
    await got(
      api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/members', {
        params: { path: { vehicleId, panelId: props.panel.id } },
        body: { members: found.value },
      }),
    )
    Object.assign(form, { readings: '', again: '', overall: '' })
    twice.value = []
    await load(vehicleId)
  } catch (e) {
    wrong.value = said(e)
  }
}
</script>

<template>
  <form class="card" @submit.prevent="add">
    <h2>{{ t('walkaround.tape') }}</h2>
    <p class="soft">{{ t('walkaround.tapeMore') }}</p>
    <label class="named">
      {{ t('walkaround.readings') }}
      <textarea v-model="form.readings" class="field" data-meter="distanceMm" :placeholder="t('walkaround.readingsExample')" />
    </label>
    <div class="form pair">
      <Choice
        v-model="form.kind"
        :label="t('app.kind')"
        :options="enums.MemberKind.map((kind) => ({ value: kind, text: t(`walkaround.memberKinds.${kind}`) }))"
      />
      <Choice
        v-model="form.from"
        :label="t('walkaround.from')"
        :options="enums.TapeFrom.map((edge) => ({ value: edge, text: edgeName(edge) }))"
      />
      <TextField v-model="form.name" :label="t('walkaround.memberName')" :most="70" />
      <label class="named"
        >{{ t('walkaround.firstNumber') }}<input v-model.number="form.firstNumber" class="field" inputmode="numeric"
      /></label>
      <LengthInput v-model="form.depthMm" :label="t('walkaround.depth')" />
    </div>
    <details>
      <summary>{{ t('walkaround.check') }}</summary>
      <label class="named">
        {{ t('walkaround.again') }}
        <textarea v-model="form.again" class="field" data-meter="distanceMm" :placeholder="t('walkaround.readingsExample')" />
      </label>
      <label class="named"
        >{{ t('walkaround.overall') }}<input v-model="form.overall" class="field" data-meter="distanceMm"
      /></label>
    </details>
    <table v-if="twice.length > 0" class="figures twice" data-testid="twice">
      <tbody>
        <tr v-for="pair in twice" :key="pair.name" :class="{ asks: pair.asks }">
          <td>{{ pair.name }}</td>
          <td class="n">{{ lengthText(pair.firstMm, lengths) }}</td>
          <td class="n">{{ lengthText(pair.secondMm, lengths) }}</td>
          <td v-if="!pair.asks">{{ t('walkaround.agree') }}</td>
          <td v-else class="answers">
            {{ t('walkaround.whichIsRight') }}
            <template v-if="pair.number === null || pair.number === undefined">
              <button class="btn" type="button" @click="keepDrawing">
                {{ t('walkaround.drawnIsRight', { mm: lengthText(pair.firstMm, lengths) }) }}
              </button>
              <RouterLink class="btn" :to="{ params: { tab: 'shape' } }">{{
                t('walkaround.tapeIsRight', { mm: lengthText(pair.secondMm, lengths) })
              }}</RouterLink>
            </template>
            <template v-else>
              <button
                v-for="second in [false, true]"
                :key="String(second)"
                class="btn"
                type="button"
                @click="answerReading(pair, second)"
              >
                {{ lengthText(second ? pair.secondMm : pair.firstMm, lengths) }}
              </button>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
    <Checkbox v-model:checked="form.startsOnMember">{{ t('walkaround.startsOnMember') }}</Checkbox>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div v-if="found.length > 0" class="soft">
      {{ t('walkaround.preview', found.length) }}
      <div v-for="m in found" :key="m.name">
        {{ t('walkaround.previewRow', { name: m.name, width: lengthText(m.footprint.widthMm ?? 0, lengths) }) }}
      </div>
      <div>{{ t('walkaround.rest', { mm: lengthText(restMm, lengths) }) }}</div>
    </div>
    <button class="btn main" type="submit" :disabled="found.length === 0">
      {{ t('walkaround.addThese', Math.max(1, found.length)) }}
    </button>
  </form>
</template>

<style scoped>
.pair {
  grid-template-columns: 1fr 1fr;
}
summary {
  color: var(--teal);
  font-weight: 500;
  cursor: pointer;
}
/* The panel beside the drawing is narrow: the question stands below the two readings. */
.twice tr {
  display: grid;
  grid-template-columns: 1fr auto auto;
}
.twice td:nth-child(4) {
  grid-column: 1 / -1;
}
.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.asks {
  background: var(--amber-soft);
  font-weight: 500;
}
</style>
