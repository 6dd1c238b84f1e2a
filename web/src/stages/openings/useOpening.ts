import { useDebounceFn } from '@vueuse/core'
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, ApiProblem, got, ifMatch, type Opening, type Point, type Schemas, type Site } from '@/api/client'
import { copyOf } from '@/app/copy'
import { useState } from '@/app/state'
import { facingOf } from '@/drawing/facing'
import { zoneBox } from '@/drawing/zones'

/** One opening being worked on: its saved record, where it is being moved to, and what the server says of that place. */
export function useOpening() {
  const route = useRoute()
  const { shell, fittings, change } = useState()
  const row = computed(() => shell.value?.openings.find((o) => o.id === route.params.openingId))
  const panel = computed(() => shell.value?.panels.find((p) => p.id === row.value?.ownerId))
  const fitting = computed(() => fittings.value.find((f) => f.id === row.value?.value.fittingId)?.value)

  const centre = ref<Point>({ sMm: 0, tMm: 0 })
  watch(
    () => row.value && `${row.value.id} ${row.value.version}`,
    () => row.value && (centre.value = { ...row.value.value.centre }),
    { immediate: true },
  )
  const moved = computed(
    () =>
      row.value !== undefined &&
      (centre.value.sMm !== row.value.value.centre.sMm || centre.value.tMm !== row.value.value.centre.tMm),
  )
  /** What decides about the place, put together by the server from all that is kept; asked for anew after each change. */
  const site = shallowRef<Site | null>(null)
  let askedSite = 0
  watch(
    () => route.params.openingId,
    () => (site.value = null),
  )
  async function readSite() {
    const own = ++askedSite
    if (!shell.value || !row.value) {
      site.value = null
      return
    }
    try {
      const path = { vehicleId: shell.value.vehicle.id, id: row.value.id }
      const answer = await got(api.GET('/api/vehicles/{vehicleId}/openings/{id}/site', { params: { path } }))
      if (own === askedSite) site.value = answer
    } catch (e) {
      if (own === askedSite) trouble.value = e as ApiProblem
    }
  }

  const wishes = reactive({ bayCentre: true, centreLine: true, leastFill: true, zone: '' })
  watch(
    row,
    (now) => {
      // Until somebody chooses, the zone that the opening lies over is what it is meant to serve.
      const at = now?.value.centre
      if (!at || wishes.zone) return
      const facing = panel.value && facingOf(panel.value.value)
      wishes.zone =
        shell.value?.zones.find((z) => {
          const box = facing && zoneBox(z.value, facing)
          return box && box.s1 <= at.sMm && at.sMm <= box.s2 && box.t1 <= at.tMm && at.tMm <= box.t2
        })?.value.name ?? ''
    },
    { immediate: true },
  )
  const wishList = computed<Schemas['Wish'][]>(() => [
    ...(wishes.bayCentre ? [{ kind: 'bayCentre' as const, weight: 1 }] : []),
    ...(wishes.centreLine ? [{ kind: 'centreLine' as const, weight: 0.5 }] : []),
    ...(wishes.leastFill ? [{ kind: 'leastFill' as const, weight: 0.3 }] : []),
    ...(wishes.zone ? [{ kind: 'overZone' as const, weight: 1, zone: wishes.zone }] : []),
  ])

  const positions = ref<Schemas['WorkedOfPositionsFound'] | null>(null)
  const verdict = ref<Schemas['WorkedOfVerdict'] | null>(null)
  const trouble = ref<ApiProblem | null>(null)
  const judging = ref(false)
  watch([shell, fittings, () => route.params.openingId], readSite, { immediate: true })
  let askedPositions = 0
  let askedVerdict = 0

  async function findPositions() {
    const own = ++askedPositions
    if (!site.value) return
    try {
      const answer = await got(
        api.POST('/api/calculators/opening-positions', { body: { site: site.value, wishes: wishList.value } }),
      )
      if (own === askedPositions) positions.value = answer
    } catch (e) {
      if (own === askedPositions) trouble.value = e as ApiProblem
    }
  }
  async function judge() {
    const own = ++askedVerdict
    if (!site.value) return
    judging.value = true
    try {
      const answer = await got(api.POST('/api/calculators/opening-verdict', { body: { site: site.value, centre: centre.value } }))
      if (own !== askedVerdict) return
      verdict.value = answer
      trouble.value = null
    } catch (e) {
      if (own === askedVerdict) trouble.value = e as ApiProblem
    } finally {
      if (own === askedVerdict) judging.value = false
    }
  }
  // The drag itself never waits: the verdict follows when the hand slows down.
  const judgeSoon = useDebounceFn(judge, 60)
  watch(() => JSON.stringify([site.value, wishList.value]), findPositions, { immediate: true })
  watch(() => JSON.stringify(site.value), judge, { immediate: true })
  watch(centre, judgeSoon)

  /** Saves a changed opening; says whether it went well. */
  async function save(part: Partial<Opening>): Promise<boolean> {
    const current = row.value
    if (!current || !shell.value) return false
    const body = { ...copyOf(current.value), ...part }
    const done = await change(() =>
      got(
        api.PUT('/api/vehicles/{vehicleId}/openings/{id}', {
          params: { path: { vehicleId: shell.value!.vehicle.id, id: current.id }, header: ifMatch(current.version) },
          body,
        }),
      ),
    )
    return done !== undefined
  }
  async function remove(): Promise<boolean> {
    const current = row.value
    if (!current || !shell.value) return false
    const vehicleId = shell.value.vehicle.id
    let gone = false
    await change(async () => {
      await got(
        api.DELETE('/api/vehicles/{vehicleId}/openings/{id}', {
          params: { path: { vehicleId, id: current.id }, header: ifMatch(current.version) },
        }),
      )
      gone = true
    })
    return gone
  }

  return reactive({
    row,
    panel,
    fitting,
    centre,
    moved,
    site,
    wishes,
    positions,
    verdict,
    trouble,
    judging,
    judge,
    findPositions,
    save,
    remove,
  })
}

export type OpeningWork = ReturnType<typeof useOpening>
