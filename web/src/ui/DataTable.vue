<script setup lang="ts" generic="R">
import { Table } from 'ant-design-vue'
import { computed, nextTick, ref, useSlots, watch } from 'vue'
import { useI18n } from 'vue-i18n'

/** A column: what stands in it, and whether it is sorted as a figure or narrowed down to one of its texts. */
export interface Column<R> {
  key: string
  title: string
  text: (row: R) => string
  /** The figure behind the text, for a column of figures. */
  figure?: (row: R) => number | null
  /** Whether one may narrow down to the rows with the same text. */
  narrows?: boolean
  width?: number
}

/** Rows to sort, to narrow down and to open: by a tap, or with Tab and Enter. */
const props = defineProps<{
  columns: readonly Column<R>[]
  rows: readonly R[]
  keyOf: (row: R) => string
  /** A class of a row, such as its state. */
  look?: (row: R) => string
  /** Whether a row is named by its first text alone, with more standing in its button. */
  named?: boolean
}>()
const emit = defineEmits<{ open: [row: R]; hover: [row: R | null] }>()
defineSlots<{ first?: (at: { row: R; index: number }) => unknown; actions?: (at: { row: R }) => unknown }>()
const { t } = useI18n()
const slots = useSlots()
/** Rows on a page; a longer table gets pages. */
const page = 50
const actions = 'actions'
const shown = computed(() => [
  ...props.columns.map((c) => ({
    key: c.key,
    title: c.title,
    width: c.width,
    align: c.figure ? ('right' as const) : ('left' as const),
    sorter: (a: R, b: R) =>
      c.figure
        ? (c.figure(a) ?? -Infinity) - (c.figure(b) ?? -Infinity)
        : c.text(a).localeCompare(c.text(b), 'en', { numeric: true }),
    ...(c.narrows
      ? {
          filters: [...new Set(props.rows.map(c.text))].sort().map((text) => ({ text, value: text })),
          onFilter: (value: unknown, row: R) => c.text(row) === value,
        }
      : {}),
  })),
  // What may be done to a row stands at its end.
  ...(slots.actions ? [{ key: actions, title: '', align: 'right' as const }] : []),
])
/** The library names its arrows for readers of the screen as if they were pictures, and leaves its filters out of reach of the keyboard. */
const table = ref<{ $el: HTMLElement } | null>(null)
watch(
  [table, shown],
  async () => {
    await nextTick()
    table.value?.$el.querySelectorAll('th .anticon').forEach((icon) => {
      for (const name of ['role', 'aria-label']) icon.removeAttribute(name)
      icon.setAttribute('aria-hidden', 'true')
    })
    table.value?.$el.querySelectorAll('.ant-table-filter-trigger').forEach((filter) => {
      filter.setAttribute('tabindex', '0')
      filter.setAttribute('aria-label', t('app.narrow'))
    })
  },
  { immediate: true, flush: 'post' },
)
const columnOf = (key: unknown) => props.columns.find((c) => c.key === key)!
</script>

<template>
  <Table
    ref="table"
    class="data"
    size="small"
    :columns="shown as never"
    :data-source="rows as never"
    :row-key="keyOf as never"
    :row-class-name="(look ?? (() => '')) as never"
    :pagination="rows.length > page ? { pageSize: page, showSizeChanger: false, size: 'small' } : false"
    :custom-row="
      ((row: R) => ({
        onClick: () => emit('open', row),
        onMouseenter: () => emit('hover', row),
        onMouseleave: () => emit('hover', null),
      })) as never
    "
    :show-sorter-tooltip="false"
    :locale="{ emptyText: t('app.nothingFound'), filterConfirm: t('app.show'), filterReset: t('app.showAll') }"
  >
    <template #bodyCell="{ column, record, index }">
      <button
        v-if="column.key === columns[0]!.key"
        class="open"
        type="button"
        :aria-label="named ? columnOf(column.key).text(record as R) : undefined"
        @click.stop="emit('open', record as R)"
      >
        <slot name="first" :row="record as R" :index="index">{{ columnOf(column.key).text(record as R) }}</slot>
      </button>
      <span v-else-if="column.key === actions" class="actions" @click.stop><slot name="actions" :row="record as R" /></span>
      <template v-else>{{ columnOf(column.key).text(record as R) }}</template>
    </template>
  </Table>
</template>

<style scoped>
.actions {
  white-space: nowrap;
}
.data :deep(tr) {
  line-height: 1.3;
  cursor: pointer;
}
.open {
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  font-weight: 500;
  text-align: left;
  cursor: pointer;
}
</style>
