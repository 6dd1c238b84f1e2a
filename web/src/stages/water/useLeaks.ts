import { computed, ref, shallowRef, watch } from 'vue'
import { api, got, type Schemas } from '@/api/client'
import { said, useState } from '@/app/state'

/** The hunt for leaks of the vehicle, weighed anew after each change; about one mark, or about all of them. */
export function useLeaks() {
  const { shell } = useState()
  const answer = shallowRef<Schemas['WorkedOfLeakHunt'] | null>(null)
  const spots = shallowRef<Schemas['WetSpot'][]>([])
  /** Name of the mark that is asked about; empty for all. */
  const mark = ref<string | null>(null)
  const trouble = ref('')
  let asked = 0

  const ask = (name: string) =>
    got(
      api.GET('/api/vehicles/{vehicleId}/leaks', {
        params: { path: { vehicleId: shell.value!.vehicle.id }, query: name ? { mark: name } : {} },
      }),
    )
  /** One asks about the stain that waits first: a leak is hunted for one mark at a time. */
  function firstMark(): string {
    const wet = new Set(spots.value.filter((s) => s.wet).map((s) => s.name))
    const inOrder = shell.value!.next.flatMap((job) => shell.value!.findings.filter((f) => f.id === job.id))
    return inOrder.find((f) => f.value.kind === 'stain' && wet.has(f.value.name))?.value.name ?? [...wet][0] ?? ''
  }
  async function weigh() {
    const own = ++asked
    try {
      const all = await ask('')
      spots.value = all.result.spots
      if (mark.value === null || (mark.value && !spots.value.some((s) => s.name === mark.value))) mark.value = firstMark()
      const one = mark.value ? await ask(mark.value) : all
      if (own === asked) [answer.value, trouble.value] = [one, '']
    } catch (e) {
      if (own === asked) trouble.value = said(e)
    }
  }
  watch([shell, mark], weigh, { immediate: true })

  const hunt = computed(() => answer.value?.result ?? null)
  const next = computed(() => hunt.value?.tests.find((test) => test.test.notYet === null) ?? null)
  return { answer, hunt, next, spots, mark, trouble }
}
