<script setup lang="ts">
import { Modal } from 'ant-design-vue'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, ifMatch, type Finding, type Stored } from '@/api/client'
import { enums } from '@/api/enums'
import LengthInput from '@/ui/LengthInput.vue'
import NumberInput from '@/ui/NumberInput.vue'
import { lengthsRead } from '@/app/parseLength'
import { leaving } from '@/app/leaving'
import { newName, wasOffered } from '@/app/newName'
import { onTopOf, saidBeside, useState } from '@/app/state'
import { rememberPerson } from '@/app/person'
import { addPhoto } from '@/app/photo'
import Wrong from '@/ui/Wrong.vue'
import { facingOf, panelName } from '@/drawing/facing'
import { boxOf } from '@/drawing/geometry'
import FindingPhotos from './FindingPhotos.vue'
import PointList from './PointList.vue'
import RecordHistory from './RecordHistory.vue'
import type { EditedFinding } from './useFindings'

/** A finding being written down, with its place, its measures and its photos. */
const edited = defineModel<EditedFinding | null>({ required: true })
const props = defineProps<{
  isTyped: () => boolean
  /** Photos that were taken before the finding was begun. */
  taken?: readonly File[]
}>()
const { t } = useI18n()
const { shell, load } = useState()
const wrong = ref('')
const waiting = ref<File[]>([])
/** On a phone findings are added and looked at; they are changed on something one can prop up. */
const phone = useMediaQuery('(max-width: 560px)')
const readOnly = computed(() => phone.value && edited.value?.id !== null)
watch(
  () => edited.value?.id,
  () => {
    wrong.value = ''
    waiting.value = edited.value?.id === null ? [...(props.taken ?? [])] : []
  },
)
const kinds = enums.FindingKind
const kindText = (kind: Finding['kind']) => t(`findings.kinds.${kind}`)
const panel = computed(() => shell.value?.panels.find((p) => p.id === edited.value?.panelId))
const photos = computed(() => shell.value?.photos.filter((p) => p.ownerId === edited.value?.id) ?? [])
const facing = computed(() => (panel.value ? facingOf(panel.value.value) : 'up'))
const least = { point: 1, line: 2, area: 3 }

function setKind(kind: Finding['kind']) {
  const f = edited.value!.value
  const others = (shell.value?.findings ?? []).filter((row) => row.id !== edited.value!.id).map((row) => row.value.name)
  f.kind = kind
  if (wasOffered(f.name, kinds.map(kindText))) f.name = newName(kindText(kind), others)
}
/** A line and an area begin as a short stretch and a square round the place that was given. */
function setShape(shape: Finding['shape']) {
  const f = edited.value!.value
  const p = f.points[0]!
  f.shape = shape
  const off = (s: number, tt: number) => ({ sMm: p.sMm + s, tMm: p.tMm + tt })
  f.points = shape === 'point' ? [p] : shape === 'line' ? [p, off(100, 0)] : [p, off(100, 0), off(100, 100), off(0, 100)]
}
function setPanel(id: string) {
  edited.value!.panelId = id
  const b = boxOf(panel.value!.value.outline)
  edited.value!.value.points = [{ sMm: Math.round((b.s1 + b.s2) / 2), tMm: Math.round((b.t1 + b.t2) / 2) }]
  edited.value!.value.shape = 'point'
}

async function run(call: () => Promise<unknown>) {
  try {
    await call()
    edited.value = null
  } catch (e) {
    wrong.value = saidBeside(e)
    const own = edited.value
    if (own) own.version = onTopOf({ id: own.id ?? '', version: own.version, ownerId: own.panelId, value: own.value }, e).version
    // What was typed stays where it was typed; only where a part of it was kept does the rest show that.
    if (!own?.id) return
  }
  await load(shell.value!.vehicle.id)
}
const leave = leaving(
  () => props.isTyped() || waiting.value.length > 0,
  () => (edited.value = null),
)
async function save() {
  const e = edited.value
  if (!e || !(await lengthsRead())) return
  if (e.value.name.trim() === '') e.value.name = t(`findings.kinds.${e.value.kind}`)
  rememberPerson(e.value.seenBy)
  const vehicleId = shell.value!.vehicle.id
  await run(async () => {
    const row = e.id
      ? await got(
          api.PUT('/api/vehicles/{vehicleId}/findings/{id}', {
            params: { path: { vehicleId, id: e.id }, header: ifMatch(e.version) },
            body: e.value,
          }),
        )
      : await got(
          api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/findings', {
            params: { path: { vehicleId, panelId: e.panelId } },
            body: e.value,
          }),
        )
    // From here on it is kept: a photo that fails must not add the finding a second time.
    Object.assign(e, { id: (row as Stored<Finding>).id, version: (row as Stored<Finding>).version })
    while (waiting.value.length > 0) {
      const file = waiting.value[0]!
      await addPhoto(vehicleId, e.id!, file)
      waiting.value = waiting.value.slice(1)
    }
  })
}
async function remove() {
  const e = edited.value
  if (!e?.id) return
  await run(() =>
    got(
      api.DELETE('/api/vehicles/{vehicleId}/findings/{id}', {
        params: { path: { vehicleId: shell.value!.vehicle.id, id: e.id! }, header: ifMatch(e.version) },
      }),
    ),
  )
}
</script>

<template>
  <Modal
    :open="edited !== null"
    :title="edited?.id ? edited.value.name : t('findings.add')"
    :ok-text="t('app.save')"
    :cancel-text="t('app.cancel')"
    :footer="readOnly ? null : undefined"
    destroy-on-close
    @ok="save"
    @cancel="leave"
  >
    <form v-if="edited" @submit.prevent="save">
      <fieldset class="form" :disabled="readOnly">
        <label class="named">
          {{ t('findings.what') }}
          <select
            class="field"
            :value="edited.value.kind"
            @change="setKind(($event.target as HTMLSelectElement).value as Finding['kind'])"
          >
            <option v-for="kind in kinds" :key="kind" :value="kind">{{ t(`findings.kinds.${kind}`) }}</option>
          </select>
        </label>
        <label class="named">
          {{ t('findings.where') }}
          <select
            class="field"
            :value="edited.panelId"
            :disabled="edited.id !== null"
            @change="setPanel(($event.target as HTMLSelectElement).value)"
          >
            <option v-for="p in shell?.panels ?? []" :key="p.id" :value="p.id">{{ panelName(p.value) }}</option>
          </select>
        </label>
        <label class="named wide">
          {{ t('app.name') }}
          <input
            v-model="edited.value.name"
            class="field"
            maxlength="80"
            :placeholder="t(`findings.kinds.${edited.value.kind}`)"
          />
        </label>
        <label class="named">
          {{ t('findings.severity') }}
          <select v-model="edited.value.severity" class="field">
            <option v-for="s in enums.Severity" :key="s" :value="s">
              {{ t(`findings.severities.${s}`) }}
            </option>
          </select>
        </label>
        <label class="named">
          {{ t('findings.state') }}
          <select v-model="edited.value.state" class="field">
            <option v-for="s in enums.FindingState" :key="s" :value="s">
              {{ t(`findings.states.${s}`) }}
            </option>
          </select>
        </label>
        <label class="named">
          {{ t('findings.seen') }}
          <select v-model="edited.value.seen" class="field">
            <option value="outside">{{ t('app.outside') }}</option>
            <option value="inside">{{ t('app.inside') }}</option>
          </select>
        </label>
        <label class="named">
          {{ t('findings.shape') }}
          <select
            class="field"
            :value="edited.value.shape"
            @change="setShape(($event.target as HTMLSelectElement).value as Finding['shape'])"
          >
            <option v-for="s in enums.FindingShape" :key="s" :value="s">{{ t(`findings.shapes.${s}`) }}</option>
          </select>
        </label>
        <PointList
          v-model="edited.value.points"
          class="wide"
          :least="least[edited.value.shape]"
          :most="edited.value.shape === 'point' ? 1 : undefined"
          :add-label="t('walkaround.addPoint')"
          :along="facing === 'rear' || facing === 'front' ? undefined : t('walkaround.fromFront')"
          :facing="facing"
        />
        <LengthInput v-model="edited.value.measures.lengthMm" :label="t('findings.length')" optional />
        <LengthInput v-model="edited.value.measures.widthMm" :label="t('findings.width')" optional />
        <LengthInput v-model="edited.value.measures.depthMm" :label="t('findings.depth')" optional />
        <NumberInput v-model="edited.value.measures.moisturePercent" :label="t('findings.moisture')" meter="moisturePercent" />
        <label class="named wide"
          >{{ t('findings.seenBy') }}<input v-model="edited.value.seenBy" class="field" maxlength="80"
        /></label>
        <label class="named wide"
          >{{ t('app.notes') }}<textarea v-model="edited.value.notes" class="field" maxlength="4000" />
        </label>
        <FindingPhotos v-model="waiting" class="wide" :photos="photos" :vehicle-id="shell!.vehicle.id" />
        <RecordHistory v-if="edited.id" class="wide" :vehicle-id="shell!.vehicle.id" :record-id="edited.id" />
        <Wrong :text="wrong" class="wide" />
        <button v-if="edited.id" class="btn" type="button" @click="remove">{{ t('app.remove') }}</button>
      </fieldset>
    </form>
  </Modal>
</template>
