<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { bars } from './bars'
import type { LoadCase } from './useLoad'

/** How full the vehicle and its axles are: a bar each, with what is left, and by how much it would change. */
const props = defineProps<{ of: LoadCase; trailer: boolean; than?: LoadCase | undefined }>()
const { t } = useI18n()
const row = (of: LoadCase | undefined, id: string) => of?.rows.find((r) => r.id === id)
const shown = computed(() =>
  bars.flatMap((id) => {
    const r = row(props.of, id)
    if (!r || r.measured === null || r.required === null) return []
    const before = row(props.than, id)?.measured
    return [
      {
        id,
        title: r.title,
        state: r.state,
        remedy: r.state === 'blocked' ? r.remedy : null,
        kg: Math.round(r.measured),
        limit: Math.round(r.required),
        share: Math.max(0, Math.min(1, r.measured / r.required)),
        more: before === undefined || before === null ? 0 : Math.round(r.measured) - Math.round(before),
      },
    ]
  }),
)
const left = (b: { kg: number; limit: number }) => t('load.left', { kg: b.limit - b.kg })
const signed = (n: number) => (n > 0 ? `+${n}` : `−${-n}`)
</script>

<template>
  <ul class="bars">
    <li v-for="b in shown" :key="b.id" :class="b.state" :data-bar="b.id">
      <span class="name">{{ b.title }}</span>
      <span class="n"
        >{{ b.kg }}{{ ' ' }}<small>{{ t('load.of', { kg: b.limit }) }}</small></span
      >
      <span class="bar" aria-hidden="true"><i :style="{ width: `${b.share * 100}%` }" /></span>
      <span class="left"
        >{{ b.remedy ?? left(b) }}<template v-if="b.more">{{ ` (${signed(b.more)} kg)` }}</template></span
      >
    </li>
  </ul>
</template>

<style scoped>
.bars {
  margin: 4px 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  padding: 5px 0;
}
.name {
  font-weight: 500;
}
.n {
  font: 600 17px 'Source Sans 3';
  font-variant-numeric: tabular-nums;
}
.n small {
  color: var(--soft);
  font-weight: 400;
}
.bar {
  grid-column: 1 / -1;
  height: 12px;
  border: 1px solid var(--edge);
  background: var(--white);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--teal);
}
.left {
  grid-column: 1 / -1;
  color: var(--soft);
  font-size: 14px;
}
.needsWork .bar i {
  background: var(--amber);
}
.needsWork .left {
  color: var(--amber);
}
.blocked .bar i {
  background: repeating-linear-gradient(45deg, var(--stop) 0 6px, var(--stop-line) 6px 9px);
}
.blocked .left {
  color: var(--stop);
  font-weight: 600;
}
</style>
