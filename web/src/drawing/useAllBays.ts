import { ref, watch } from 'vue'
import { api, got, type Schemas } from '@/api/client'

/** The bays of every panel of a shell by the panel's id; asked for only while they are wanted. */
export function useAllBays(shell: () => Schemas['WholeShell'], wanted: () => boolean) {
  const bays = ref<Record<string, Schemas['Bay'][]>>({})
  let asked = 0
  watch(
    [shell, wanted],
    async () => {
      const own = ++asked
      if (!wanted()) return
      const found = await Promise.all(
        shell().panels.map(async (p) => {
          const members = shell().members.filter((m) => m.ownerId === p.id)
          // A panel without members is one bay, and says nothing.
          if (members.length === 0) return [p.id, []] as const
          const answer = await got(
            api.POST('/api/calculators/bays', { body: { panel: p.value, members: members.map((m) => m.value) } }),
          ).catch(() => null)
          return [p.id, answer?.result ?? []] as const
        }),
      )
      if (own === asked) bays.value = Object.fromEntries(found)
    },
    { immediate: true },
  )
  return bays
}
