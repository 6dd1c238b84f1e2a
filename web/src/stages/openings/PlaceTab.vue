<script setup lang="ts">
import Explained from '@/ui/Explained.vue'
import { Checkbox, message } from 'ant-design-vue'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import type { Point, Schemas } from '@/api/client'
import { useKeys } from '@/app/keys'
import { fineMm, lengthText, nudgeMm } from '@/app/length'
import { askToDrop } from '@/app/leaving'
import JudgementList from '@/ui/JudgementList.vue'
import StateMark from '@/ui/StateMark.vue'
import { said, useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { useBays } from '@/stages/walkaround/useBays'
import OpeningShape from '@/drawing/OpeningShape.vue'
import PanelDrawing from '@/drawing/PanelDrawing.vue'
import { boxOf, type Box } from '@/drawing/geometry'
import { facingOf, isLevel, viewSigns, type ViewedFrom } from '@/drawing/facing'
import { drawingKey } from '@/drawing/keys'
import PlaceByNumber from './PlaceByNumber.vue'
import DraggedFitting from './DraggedFitting.vue'
import { placeText } from './placeText'
import Choice from '@/ui/Choice.vue'
import type { OpeningWork } from './useOpening'

const props = defineProps<{ work: OpeningWork }>()
const from = defineModel<ViewedFrom>('from', { required: true })
const { t } = useI18n()
const router = useRouter()
const { shell, fittings, lengths } = useState()
const drawing = ref<InstanceType<typeof PanelDrawing> | null>(null)
const shownRow = ref<Schemas['Judgement'] | null>(null)

const members = computed(() => props.work.site?.members ?? [])
const bays = useBays(
  () => props.work.panel?.value,
  () => members.value,
)
const others = computed(
  () => shell.value?.openings.filter((o) => o.ownerId === props.work.panel?.id && o.id !== props.work.row?.id) ?? [],
)
const fittingOf = (id: string) => fittings.value.find((f) => f.id === id)?.value
const found = computed(() => props.work.positions?.result)
const verdict = computed(() => props.work.verdict?.result)
const saved = ref(false)

/** Opens on the bays round the saved place; the whole panel is a zoom away. */
const focus = computed<Box>(() => {
  const edge = boxOf(props.work.panel!.value.outline)
  const c = props.work.row!.value.centre
  return { s1: Math.max(edge.s1, c.sMm - 900), s2: Math.min(edge.s2, c.sMm + 900), t1: edge.t1, t2: edge.t2 }
})

/** Finer than anyone can mark, and free of the drag's noise. */
const fine = (p: Point): Point => ({ sMm: fineMm(p.sMm, lengths.value), tMm: fineMm(p.tMm, lengths.value) })
function move(to: Point) {
  const work = props.work
  work.centre = fine(to)
}
async function use() {
  saved.value = true
  if (await props.work.save({ centre: { ...props.work.centre } })) void message.success(t('openings.used'))
  saved.value = false
}
const revert = () => props.work.row && move(props.work.row.value.centre)

const where = computed(() => placeText(props.work.panel!.value, props.work.centre, lengths.value))

/** Enter presses a button that has the focus, except one that only shows something, or the place where the fitting already is. */
function pressesButton(event: KeyboardEvent) {
  const control = (event.target as HTMLElement).closest<HTMLElement>('button, a, summary, [role="button"]')
  return control !== null && !control.hasAttribute('data-rule') && control.getAttribute('aria-current') !== 'true'
}
const isHere = (p: Point) => p.sMm === props.work.centre.sMm && p.tMm === props.work.centre.tMm
useKeys((event) => {
  if (event.ctrlKey || event.metaKey) return false
  const sign = viewSigns(facingOf(props.work.panel!.value), from.value)
  const by = nudgeMm(lengths.value, event.shiftKey)
  const arrows: Record<string, [number, number]> = {
    ArrowLeft: [-by, 0],
    ArrowRight: [by, 0],
    ArrowUp: [0, by],
    ArrowDown: [0, -by],
  }
  const arrow = arrows[event.key]
  const c = props.work.centre
  if (arrow) move({ sMm: c.sMm + arrow[0] * sign.s, tMm: c.tMm + arrow[1] * sign.t })
  else if (/^[1-9]$/.test(event.key)) {
    const position = found.value?.positions[Number(event.key) - 1]
    if (!position) return false
    move(position.centre)
  } else if (event.key === 'Enter' && !pressesButton(event)) {
    if (props.work.moved) void use()
  } else if (event.key === 'Escape') {
    if (props.work.moved) askToDrop(t('openings.revertSure'), revert)
  } else return drawingKey(event, from, drawing.value)
  return true
})
</script>

<template>
  <PanelDrawing
    ref="drawing"
    :panel="work.panel!.value"
    :members="members"
    :zones="shell!.zones.map((z) => z.value)"
    :bays="bays?.result"
    :from="from"
    :lengths="lengths"
    :marks="shownRow?.where"
    :focus="focus"
  >
    <template #default="{ view }">
      <template v-for="o in others" :key="o.id">
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
      <DraggedFitting
        :view="view"
        :fitting="work.fitting!"
        :turn-deg="work.row!.value.turnDeg"
        :centre="work.centre"
        :members="members"
        :region="found?.region ?? []"
        :judged="found !== undefined"
        :positions="found?.positions ?? []"
        :lengths="lengths"
        @move="move"
      />
    </template>
  </PanelDrawing>
  <aside>
    <div v-if="work.trouble" class="summary blocked" role="alert">
      <div>
        <b>{{ said(work.trouble) }}</b>
        <button class="btn plain" type="button" @click="work.judge()">{{ t('app.tryAgain') }}</button>
      </div>
    </div>
    <div v-else-if="verdict" class="summary" :class="verdict.state" role="status" data-testid="verdict">
      <StateMark :state="verdict.state" />
      <div>
        <b>{{ verdict.summary }}</b>
        <div class="soft">{{ verdict.reason }}</div>
      </div>
    </div>
    <p v-else class="soft">{{ t('openings.judging') }}</p>
    <p class="soft" data-testid="centre">{{ where }}</p>
    <div class="row actions">
      <button class="btn main" type="button" :disabled="saved || !work.moved" @click="use">{{ t('openings.use') }}</button>
      <button v-if="work.moved" class="btn" type="button" @click="revert">{{ t('openings.revert') }}</button>
      <button v-else class="btn" type="button" @click="router.push({ params: { tab: 'mark-out' } })">
        {{ t('openings.printSheet') }}
      </button>
    </div>
    <PlaceByNumber
      :model-value="work.centre"
      :panel="work.panel!.value"
      :members="members"
      :others="others.map((o) => ({ id: o.id, name: o.value.name, centre: o.value.centre }))"
      :fitting="work.fitting!"
      :turn-deg="work.row!.value.turnDeg"
      @update:model-value="move"
    />
    <div v-if="verdict" class="card">
      <h2>{{ t('openings.clearances') }}</h2>
      <JudgementList :rows="verdict.rows" @show="(row) => (shownRow = row)" />
      <WorkedSteps :title="verdict.summary" :worked="work.verdict" />
    </div>
    <div class="card">
      <h2>{{ t('openings.elsewhere') }}</h2>
      <p v-if="found?.noneBecause" class="none">
        <b>{{ t('openings.noPlace') }}.</b> {{ found.noneBecause }}
      </p>
      <div class="rows">
        <button
          v-for="p in found?.positions ?? []"
          :key="p.rank"
          class="verdict-row place"
          type="button"
          :aria-current="isHere(fine(p.centre)) ? 'true' : undefined"
          @click="move(p.centre)"
        >
          <b class="rank">{{ p.rank }}</b>
          <span>
            <b>{{ p.bay ? t('openings.bay', { label: p.bay }) : t('openings.acrossRib') }}</b>
            <small>{{ p.reason }}</small>
            <small v-if="p.givesUp">{{ t('openings.givesUp', { what: p.givesUp }) }}</small>
          </span>
        </button>
      </div>
      <WorkedSteps :title="t('openings.elsewhere')" :worked="work.positions" />
    </div>
    <div class="card">
      <h2>{{ t('openings.matters') }}</h2>
      <!-- eslint-disable vue/no-mutating-props -- the opening's work is one shared reactive object, handed to its tabs -->
      <Checkbox
        v-for="wish in ['bayCentre', 'centreLine', 'leastFill'] as const"
        :key="wish"
        v-model:checked="work.wishes[wish]"
        class="wish"
      >
        {{
          t(wish === 'centreLine' && !isLevel(facingOf(work.panel!.value)) ? 'openings.wish.halfHeight' : `openings.wish.${wish}`)
        }}
      </Checkbox>
      <Choice
        v-if="shell!.zones.length > 0"
        v-model="work.wishes.zone"
        :label="t('openings.wish.zone')"
        :options="[{ value: '', text: t('app.none') }, ...shell!.zones.map((z) => ({ value: z.value.name, text: z.value.name }))]"
      />
    </div>
    <div v-if="verdict" class="card">
      <h2>{{ t('openings.cautions') }}</h2>
      <ul class="cautions">
        <li v-for="caution in verdict.cautions" :key="caution"><Explained :text="caution" /></li>
      </ul>
    </div>
    <div class="soft keys">
      <span class="key">←↑→↓</span> {{ lengthText(nudgeMm(lengths, false), lengths) }} <span class="key">Shift</span>
      {{ lengthText(nudgeMm(lengths, true), lengths) }}
      <span class="key">1–9</span> {{ t('openings.places') }} <span class="key">Enter</span> {{ t('keys.use') }}
      <span class="key">?</span> {{ t('app.allKeys') }}
    </div>
  </aside>
</template>

<style scoped>
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
.summary .soft {
  color: var(--label);
}
.summary.needsWork {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.summary.blocked {
  border-color: var(--stop);
  background: var(--stop-soft);
}
.actions .main {
  flex: 1;
}
.rank {
  font-weight: 600;
}
.place {
  grid-template-columns: 22px 1fr;
}
.none {
  padding: 10px 12px;
  border-left: 4px solid var(--stop);
  background: var(--stop-soft);
}
.wish {
  margin-inline-start: 0 !important;
}
.cautions {
  margin: 0;
  padding-left: 18px;
}
.keys {
  margin-top: auto;
}
</style>
