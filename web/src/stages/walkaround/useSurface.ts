import { useDebounceFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import { api, got, type Member, type Panel, type Schemas } from '@/api/client'

/** Distance between the places of the relief on the drawing, mm. */
const reliefStepMm = 20

/** The surface of a panel as the server works it out: its relief, the section at a station, and how drawing and readings differ. */
export function useSurface(
  panel: () => Panel | undefined,
  members: () => readonly Member[],
  station: () => number | null,
  wanted: () => boolean,
) {
  const relief = ref<Schemas['Relief'] | null>(null)
  const section = ref<Schemas['Section'] | null>(null)
  const difference = ref<Schemas['WorkedOfSurfaceDifference'] | null>(null)
  let asked = 0

  async function ask() {
    const own = ++asked
    const shape = panel()
    if (!shape || !wanted()) return
    const body = { panel: shape, members: [...members()] }
    const none = () => null
    const [r, d] = await Promise.all([
      got(api.POST('/api/calculators/surface-relief', { body: { ...body, stepMm: reliefStepMm } })).catch(none),
      body.panel.sections?.length ? got(api.POST('/api/calculators/surface-compare', { body })).catch(none) : null,
    ])
    if (own !== asked) return
    relief.value = r?.result ?? null
    difference.value = d
  }
  let cut = 0
  async function askSection() {
    const own = ++cut
    const stationMm = station()
    const shape = panel()
    if (stationMm === null || !shape) return
    const answer = await got(
      api.POST('/api/calculators/surface-section', { body: { panel: shape, members: [...members()], stationMm } }),
    ).catch(() => null)
    if (own === cut) section.value = answer?.result ?? section.value
  }
  watch(() => JSON.stringify([wanted(), panel(), members()]), ask, { immediate: true })
  watch(() => JSON.stringify([panel(), members(), station()]), useDebounceFn(askSection, 40), { immediate: true })
  return { relief, section, difference }
}
