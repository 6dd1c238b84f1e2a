<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api, got, type Panel, type Point, type Schemas, type Stored } from '@/api/client'
import LengthInput from '@/ui/LengthInput.vue'
import { lengthText } from '@/app/length'
import { lengthsRead } from '@/app/parseLength'
import { said, useState } from '@/app/state'
import { facingOf, panelKinds, panelName, type PanelKind } from '@/drawing/facing'
import Choice from '@/ui/Choice.vue'
import { boxOf } from '@/drawing/geometry'

/** The panels of the shell, and a new one by its two sizes: its corners are corrected afterwards. */
defineProps<{ list?: boolean }>()
const { t } = useI18n()
const router = useRouter()
const { shell, lengths, load } = useState()
const wrong = ref('')
const form = reactive({ kind: 'roof' as PanelKind, alongMm: null as number | null, acrossMm: null as number | null, name: '' })
const panels = computed(() => shell.value?.panels ?? [])
const missing = computed(() =>
  panelKinds.filter((k) => k === 'step' || k === 'other' || !panels.value.some((p) => p.value.kind === k)),
)
if (!missing.value.includes(form.kind)) form.kind = missing.value[0]!

/** Where a panel of a kind lies in its frame: centred on the vehicle's middle, or standing on the floor. */
function outline(): Point[] {
  const [along, across] = [form.alongMm ?? 0, form.acrossMm ?? 0]
  const facing = facingOf({ kind: form.kind, faces: null })
  const half = form.kind === 'rearLeftDoor' ? [0, along] : form.kind === 'rearRightDoor' ? [-along, 0] : [-along / 2, along / 2]
  const [s1, s2] = facing === 'rear' || facing === 'front' ? half : [0, along]
  const [t1, t2] = facing === 'up' || facing === 'down' ? [-across / 2, across / 2] : [0, across]
  return [
    { sMm: s1!, tMm: t1 },
    { sMm: s2!, tMm: t1 },
    { sMm: s2!, tMm: t2 },
    { sMm: s1!, tMm: t2 },
  ]
}
const wall = computed(() => !['up', 'down'].includes(facingOf({ kind: form.kind, faces: null })))
async function add() {
  if (!(await lengthsRead())) return
  const vehicleId = shell.value!.vehicle.id
  const body: Panel = {
    kind: form.kind,
    outline: outline(),
    skinMm: 0.8,
    material: 'mildSteel',
    taperDeg: 0,
    surface: 'drawn',
    name: form.name.trim() || null,
  }
  try {
    const row = (await got(
      api.POST('/api/vehicles/{vehicleId}/panels', { params: { path: { vehicleId } }, body }),
    )) as Stored<Panel>
    await load(vehicleId)
    await router.push({ name: 'panel', params: { vehicleId, panelId: row.id, tab: 'members' } })
  } catch (e) {
    wrong.value = said(e)
  }
}
function size(panel: Schemas['Panel']) {
  const b = boxOf(panel.outline)
  return `${lengthText(b.s2 - b.s1, lengths.value)} x ${lengthText(b.t2 - b.t1, lengths.value)}`
}
</script>

<template>
  <div v-if="list" class="card">
    <h2>{{ t('walkaround.panelsTitle') }}</h2>
    <table class="figures">
      <tbody>
        <tr v-for="p in panels" :key="p.id">
          <td>
            <RouterLink :to="{ name: 'panel', params: { vehicleId: shell!.vehicle.id, panelId: p.id, tab: 'members' } }">{{
              panelName(p.value)
            }}</RouterLink>
          </td>
          <td class="n">{{ size(p.value) }}</td>
        </tr>
      </tbody>
    </table>
    <a class="btn" :href="`/api/vehicles/${shell!.vehicle.id}/vehicle.zip`" download>{{ t('vehicles.export') }}</a>
  </div>
  <form class="card" @submit.prevent="add">
    <h2>{{ t('walkaround.addPanel') }}</h2>
    <div class="form">
      <Choice
        v-model="form.kind"
        :label="t('walkaround.whichPanel')"
        :options="missing.map((kind) => ({ value: kind, text: t(`panels.kinds.${kind}`) }))"
      />
      <label v-if="form.kind === 'step' || form.kind === 'other'" class="named">
        {{ t('walkaround.panelName') }}<input v-model="form.name" class="field" maxlength="80" />
      </label>
      <LengthInput v-model="form.alongMm" :label="t(wall ? 'walkaround.panelWidth' : 'walkaround.length')" />
      <LengthInput v-model="form.acrossMm" :label="t(wall ? 'walkaround.panelHeight' : 'walkaround.width')" />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <button class="btn main" type="submit">{{ t('walkaround.drawPanel') }}</button>
  </form>
</template>
