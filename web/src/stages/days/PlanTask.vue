<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { dayText, momentText } from '@/app/moment'
import { minutesText } from '@/app/minutes'
import Action from '@/ui/Action.vue'
import Choice from '@/ui/Choice.vue'
import { startsOf } from './planDays'
import { keyText, type PlanLine, type usePlan } from './usePlan'

/** A task of the plan: what is done in it, and how somebody marks or moves it. */
const props = defineProps<{ line: PlanLine; now: string; plan: ReturnType<typeof usePlan> }>()
const { t } = useI18n()
const windows = ref<{ from: string; until: string }[]>([])
watch(
  () => keyText(props.line.key),
  async () => {
    windows.value = []
    windows.value = await props.plan.starts(props.line.key).catch(() => [])
  },
  { immediate: true },
)
const of = computed(() => props.plan.plan.answer.value!)
const mark = (kind: 'fixed' | 'running' | 'done' | null, at: string) => props.plan.mark(of.value, props.line.key, kind, at)
const fixedAt = computed(() => (props.line.mark?.kind === 'fixed' ? new Date(props.line.mark.at).toISOString() : ''))
/** One may begin in hundreds of half-hours: the first of each hour is offered, and the one that is fixed. */
const offered = computed(() =>
  startsOf(windows.value)
    .filter((s, i, all) => s.hour % 1 === 0 || all[i - 1]?.day !== s.day || s.at === fixedAt.value)
    .map((s) => ({ value: s.at, text: `${dayText(`${s.day}T12:00`)} ${Number(s.day.slice(8))}, ${hour(s.hour)}` })),
)
const hour = (h: number) => `${String(Math.floor(h)).padStart(2, '0')}:${h % 1 === 0 ? '00' : '30'}`
const moved = (at: string) => void mark('fixed', at)
</script>

<template>
  <section data-testid="plan-task">
    <h2>{{ line.title }}</h2>
    <p v-if="line.kept">
      {{ momentText(line.kept.from, now) }}–{{ momentText(line.kept.until, line.kept.from) }},
      {{ line.kept.hands.map((h) => h.name).join(', ') }}
      <span v-if="line.kept.readyAt > line.kept.until" class="soft">
        {{ t(line.opensShell ? 'days.plan.safeAt' : 'days.plan.setAt', { at: momentText(line.kept.readyAt, now) }) }}
      </span>
    </p>
    <p v-for="c in line.kept?.covered ?? []" :key="c.from" class="warn">
      {{ t('days.plan.coverFrom', { from: momentText(c.from, now), to: momentText(c.to, now) }) }}
    </p>
    <p v-if="line.kept && !line.kept.isForeseen" class="soft">{{ t('days.plan.notForeseen') }}</p>
    <p v-if="line.trouble" class="warn" role="status">{{ line.trouble }}</p>
    <p class="soft">{{ minutesText(line.minutes) }}, {{ t('days.plan.hands', line.hands) }}</p>
    <ol v-if="line.steps.length > 1">
      <li v-for="s in line.steps" :key="s">{{ s }}</li>
    </ol>
    <Choice
      v-if="offered.length > 0 && line.mark?.kind !== 'done'"
      :model-value="fixedAt"
      :label="t('days.plan.moveTo')"
      :options="offered"
      @update:model-value="moved"
    />
    <div class="actions">
      <Action v-if="line.kept && !line.mark" @click="mark('fixed', line.kept.from)">{{ t('days.plan.fix') }}</Action>
      <Action v-if="line.kept && !line.mark" @click="mark('running', now)">{{ t('days.plan.begin') }}</Action>
      <Action v-if="line.kept && line.mark?.kind !== 'done'" @click="mark('done', now)">{{ t('days.plan.done') }}</Action>
      <Action v-if="line.mark" look="plain" @click="mark(null, now)">{{ t(`days.plan.unmark.${line.mark.kind}`) }}</Action>
    </div>
  </section>
</template>

<style scoped>
ol {
  margin: 6px 0 10px;
  padding-left: 20px;
  font-size: 14px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 10px 0 18px;
}
</style>
