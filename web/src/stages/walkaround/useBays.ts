import { ref, watch } from 'vue'
import { api, got, type Member, type Panel, type Schemas } from '@/api/client'

/** The bays of a panel, asked of the server whenever panel or members change. */
export function useBays(panel: () => Panel | undefined, members: () => readonly Member[]) {
  const bays = ref<Schemas['WorkedOfIReadOnlyListOfBay'] | null>(null)
  let asked = 0
  watch(
    () => JSON.stringify([panel(), members()]),
    async () => {
      const own = ++asked
      const p = panel()
      const answer = p
        ? await got(api.POST('/api/calculators/bays', { body: { panel: p, members: [...members()] } })).catch(() => null)
        : null
      if (own === asked) bays.value = answer
    },
    { immediate: true },
  )
  return bays
}
