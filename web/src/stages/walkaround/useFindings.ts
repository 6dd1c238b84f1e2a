import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, got, ifMatch, type Finding, type Point, type Stored } from '@/api/client'
import { enums } from '@/api/enums'
import { askToDrop } from '@/app/leaving'
import { copyOf } from '@/app/copy'
import { useDraft } from '@/app/drafts'
import { newName, wasOffered } from '@/app/newName'
import { lengthsRead } from '@/app/parseLength'
import { rememberPerson, whoHere } from '@/app/person'
import { addPhoto } from '@/app/photo'
import { saidBeside, useState } from '@/app/state'
import { i18n } from '@/app/texts'
import { boxOf, middleOf } from '@/drawing/geometry'
import { carriedTo, shapeAbout, whole } from './findingShape'

/** A finding being written down: a new one has no id yet. */
export interface EditedFinding {
  id: string | null
  version: number
  panelId: string
  value: Finding
}

/** A stretch or a square begins about as wide as a hand, mm. */
const usualSizeMm = 120
const kindText = (kind: Finding['kind']) => i18n.global.t(`findings.kinds.${kind}`)

/** The findings of the vehicle: their numbers in the order of work, and the one that is being written down. */
export function useFindings() {
  const { shell, load } = useState()
  const route = useRoute()
  const edited = ref<EditedFinding | null>(null)
  const wrong = ref('')
  /** Photos that go up when it is saved. */
  const waiting = ref<File[]>([])
  const numbers = computed(() => {
    const ids = new Set(shell.value?.findings.map((f) => f.id))
    const inOrder = (shell.value?.next ?? []).filter((job) => ids.has(job.job.id))
    return Object.fromEntries(inOrder.map((job, i) => [job.job.id, i + 1]))
  })
  /** What belongs to each kind: how it usually lies and what is measured at it. */
  const { data: natures } = useQuery({
    queryKey: ['finding-natures'],
    queryFn: ({ signal }) => got(api.GET('/api/finding-natures', { signal })),
  })
  const nature = computed(() => natures.value?.find((n) => n.kind === edited.value?.value.kind) ?? null)

  const draft = useDraft({
    kind: () => `finding ${String(route.params.vehicleId)}`,
    typed: () => edited.value,
    what: () => `${i18n.global.t('app.draft.finding')} ${edited.value?.value.name ?? ''}`.trim(),
    take: (draft) => (edited.value = draft),
  })
  const isTyped = () => draft() || (edited.value !== null && waiting.value.length > 0)
  function begin(panelId?: string, at?: Point, photos: File[] = []) {
    if (edited.value?.id === null) return
    instead(() => beginNew(panelId, at, photos))
  }
  function beginNew(panelId: string | undefined, at: Point | undefined, photos: File[]) {
    const panel = shell.value?.panels.find((p) => p.id === panelId) ?? shell.value?.panels[0]
    if (!panel) return
    const b = boxOf(panel.value.outline)
    wrong.value = ''
    waiting.value = photos
    edited.value = {
      id: null,
      version: 0,
      panelId: panel.id,
      value: {
        name: newName(
          kindText('surfaceRust'),
          (shell.value?.findings ?? []).map((f) => f.value.name),
        ),
        kind: 'surfaceRust',
        shape: 'area',
        points: shapeAbout('area', at ?? { sMm: Math.round((b.s1 + b.s2) / 2), tMm: Math.round((b.t1 + b.t2) / 2) }, usualSizeMm),
        seen: 'outside',
        severity: 'moderate',
        measures: { lengthMm: null, widthMm: null, depthMm: null, moisturePercent: null },
        state: 'open',
        seenBy: whoHere.value,
        seenAt: new Date().toISOString(),
        notes: '',
      },
    }
  }
  function open(id: string) {
    const row = shell.value?.findings.find((f) => f.id === id)
    if (!row || edited.value?.id === id) return
    instead(() => {
      wrong.value = ''
      waiting.value = []
      edited.value = { id, version: row.version, panelId: row.ownerId!, value: copyOf(row.value) as Finding }
    })
  }
  /** A tap on the drawing: carries the new finding there, or begins one. A saved one is only moved by its handles. */
  function place(panelId: string, at: Point) {
    const e = edited.value
    if (e === null) return begin(panelId, at)
    if (e.id !== null) return
    e.panelId = panelId
    e.value.points = carriedTo(e.value.points, at)
  }

  function setKind(kind: Finding['kind']) {
    const e = edited.value!
    const others = (shell.value?.findings ?? []).filter((row) => row.id !== e.id).map((row) => row.value.name)
    if (wasOffered(e.value.name, enums.FindingKind.map(kindText))) e.value.name = newName(kindText(kind), others)
    e.value.kind = kind
    const usual = nature.value
    if (!usual) return
    // What was measured at another kind does not belong to this one.
    const has = (...names: (typeof usual.figures)[number][]) => names.some((name) => usual.figures.includes(name))
    const m = e.value.measures
    e.value.measures = {
      lengthMm: has('length', 'diameter') ? m.lengthMm : null,
      widthMm: has('width', 'gap') ? m.widthMm : null,
      depthMm: has('depth') ? m.depthMm : null,
      moisturePercent: has('moisture') ? m.moisturePercent : null,
    }
    if (e.id === null) setShape(usual.shape)
  }
  function setShape(shape: Finding['shape']) {
    const f = edited.value!.value
    if (f.shape !== shape) f.points = shapeAbout(shape, whole(middleOf(f.points)), usualSizeMm)
    f.shape = shape
  }
  function setPanel(id: string) {
    const e = edited.value!
    const b = boxOf(shell.value!.panels.find((p) => p.id === id)!.value.outline)
    e.panelId = id
    e.value.points = carriedTo(e.value.points, { sMm: Math.round((b.s1 + b.s2) / 2), tMm: Math.round((b.t1 + b.t2) / 2) })
  }

  async function run(call: () => Promise<unknown>) {
    try {
      await call()
      edited.value = null
    } catch (e) {
      wrong.value = saidBeside(e)
      // What was typed stays where it was typed; only where a part of it was kept does the rest show that.
      if (!edited.value?.id) return
    }
    await load(shell.value!.vehicle.id)
  }
  async function save() {
    const e = edited.value
    if (!e || !(await lengthsRead())) return
    if (e.value.name.trim() === '') e.value.name = kindText(e.value.kind)
    rememberPerson(e.value.seenBy)
    const vehicleId = shell.value!.vehicle.id
    await run(async () => {
      const row = (
        e.id
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
      ) as Stored<Finding>
      // From here on it is kept: a photo that fails must not add the finding a second time.
      Object.assign(e, { id: row.id, version: row.version })
      while (waiting.value.length > 0) {
        await addPhoto(vehicleId, row.id, waiting.value[0]!)
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
  const close = () => (edited.value = null)
  /** Asks first where something would be lost. */
  const instead = (go: () => void) => (isTyped() ? askToDrop(i18n.global.t('app.dropTyped'), go) : go())
  /** Esc. */
  const leave = () => instead(close)
  const setPhotos = (files: File[]) => (waiting.value = files)

  return {
    numbers,
    edited,
    wrong,
    waiting,
    nature,
    begin,
    open,
    place,
    setKind,
    setShape,
    setPanel,
    setPhotos,
    save,
    remove,
    close,
    leave,
  }
}

export type FindingWork = ReturnType<typeof useFindings>
