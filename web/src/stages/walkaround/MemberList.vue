<script setup lang="ts">
import Wrong from '@/ui/Wrong.vue'
import { Modal } from 'ant-design-vue'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Member, type Panel, type Schemas, type Stored } from '@/api/client'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { leaving } from '@/app/leaving'
import { lengthNumber } from '@/app/length'
import { saidBeside, useState } from '@/app/state'
import { lengthsRead } from '@/app/parseLength'
import { facingOf } from '@/drawing/facing'
import { boxOf, footprintOutline } from '@/drawing/geometry'
import { newName } from '@/app/newName'
import DataTable, { type Column } from '@/ui/DataTable.vue'
import MemberForm from './MemberForm.vue'
import { useMemberRoles, usualKind } from './memberKinds'
import TapeForm from './TapeForm.vue'

/** The members of a panel: taped by running readings, or one by one. */
const props = defineProps<{ panel: Stored<Panel>; members: readonly Stored<Member>[] }>()
const edit = defineModel<number | null>('edit')
const { t } = useI18n()
const roleOf = useMemberRoles()
const { lengths, load, shell } = useState()
const find = ref('')
const edited = ref<{ row: Stored<Member> | null; value: Member } | null>(null)
const wrong = ref('')
const vehicleId = computed(() => shell.value!.vehicle.id)

const rows = computed(() =>
  props.members
    .map((row) => ({ row, box: boxOf(footprintOutline(row.value.footprint)) }))
    .filter(({ row }) => row.value.name.toLowerCase().includes(find.value.toLowerCase()))
    .sort((a, b) => kindOrder(a.row.value.kind) - kindOrder(b.row.value.kind) || a.box.s1 - b.box.s1 || a.box.t1 - b.box.t1),
)
const kindOrder = (kind: Schemas['MemberKind']) => (kind === 'swage' ? 1 : 0)
const place = (box: ReturnType<typeof boxOf>) =>
  box.t2 - box.t1 > box.s2 - box.s1
    ? `${lengthNumber(box.s1, lengths.value)} – ${lengthNumber(box.s2, lengths.value)}`
    : `${lengthNumber(box.t1, lengths.value)} – ${lengthNumber(box.t2, lengths.value)}`

const lies = (box: ReturnType<typeof boxOf>) => (box.t2 - box.t1 > box.s2 - box.s1 ? box.s1 : box.t1)
const columns = computed<Column<(typeof rows.value)[number]>[]>(() => [
  { key: 'name', title: t('app.name'), text: ({ row }) => row.value.name },
  { key: 'kind', title: t('app.kind'), text: ({ row }) => t(`walkaround.memberKinds.${row.value.kind}`), narrows: true },
  { key: 'place', title: t('walkaround.lies'), text: ({ box }) => place(box), figure: ({ box }) => lies(box) },
])

const isTyped = useDraft({
  kind: () => `member ${props.panel.id}`,
  typed: () => edited.value,
  what: () => `${t('app.draft.member')} ${edited.value!.value.name}`.trim(),
  take: (draft) => (edited.value = draft),
})
const leave = leaving(isTyped, () => (edited.value = null))

const others = (row: Stored<Member> | null) => props.members.filter((m) => m.id !== row?.id).map((m) => m.value.name)

function begin(row: Stored<Member> | null) {
  wrong.value = ''
  const b = boxOf(props.panel.value.outline)
  const middle = (b.s1 + b.s2) / 2
  edited.value = {
    row,
    value: row
      ? copyOf(row.value)
      : {
          name: newName(t(`walkaround.memberKinds.${usualKind[props.panel.value.kind]}`), others(null)),
          kind: usualKind[props.panel.value.kind],
          role: roleOf(usualKind[props.panel.value.kind]),
          footprint: {
            shape: 'spine',
            widthMm: 60,
            points: [
              { sMm: middle, tMm: b.t1 },
              { sMm: middle, tMm: b.t2 },
            ],
          },
          depthMm: 40,
          flankMm: 0,
        },
  }
}
watch(
  edit,
  (index) => {
    if (index == null) return
    const row = props.members[index]
    if (row) begin(row)
    edit.value = null
  },
  { immediate: true },
)

async function save() {
  const e = edited.value
  if (!e) return
  if (!(await lengthsRead())) return
  await run(() =>
    e.row
      ? got(
          api.PUT('/api/vehicles/{vehicleId}/members/{id}', {
            params: { path: { vehicleId: vehicleId.value, id: e.row.id }, header: ifMatch(e.row.version) },
            body: e.value,
          }),
        )
      : got(
          api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/members', {
            params: { path: { vehicleId: vehicleId.value, panelId: props.panel.id } },
            body: { members: [e.value] },
          }),
        ),
  )
}
async function remove() {
  const row = edited.value?.row
  if (row)
    await run(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/members/{id}', {
          params: { path: { vehicleId: vehicleId.value, id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
}
async function run(call: () => Promise<unknown>) {
  try {
    await call()
    edited.value = null
    await load(vehicleId.value)
  } catch (problem) {
    wrong.value = saidBeside(problem)
  }
}
</script>

<template>
  <TapeForm :panel="panel" />
  <div class="card">
    <div class="row">
      <h2>{{ t('walkaround.members') }}</h2>
      <button class="btn plain" type="button" @click="begin(null)">{{ t('walkaround.addOne') }}</button>
    </div>
    <p v-if="members.length === 0" class="soft">{{ t('walkaround.noMembers') }}</p>
    <input
      v-if="members.length > 8"
      v-model="find"
      class="field"
      type="search"
      :placeholder="t('walkaround.find')"
      :aria-label="t('walkaround.find')"
    />
    <DataTable
      v-if="members.length > 0"
      :columns="columns"
      :rows="rows"
      :key-of="({ row }) => row.id"
      @open="({ row }) => begin(row)"
    />
  </div>
  <Modal
    :open="edited !== null"
    :title="edited?.row?.value.name ?? t('walkaround.addOne')"
    :ok-text="t('app.save')"
    :cancel-text="t('app.cancel')"
    destroy-on-close
    @ok="save"
    @cancel="leave"
  >
    <template v-if="edited">
      <MemberForm v-model="edited.value" :facing="facingOf(panel.value)" :taken="others(edited.row)" />
      <Wrong :text="wrong" />
      <button v-if="edited.row" class="btn" type="button" @click="remove">{{ t('app.remove') }}</button>
    </template>
  </Modal>
</template>
