import { computed, ref, watch } from 'vue'
import type { Stored } from '@/api/client'
import { copyOf } from './copy'
import { useDraft } from './drafts'

/** A record at its bench: typed on in a copy, which is kept as a draft until it is saved or taken back. */
export function useBench<T extends { name: string }>(row: () => Stored<T> | undefined, kind: string, what: () => string) {
  const draft = ref<T | null>(null)
  watch(
    () => [row()?.id, row()?.version],
    () => undo(),
    { immediate: true },
  )
  function undo() {
    const now = row()
    draft.value = now ? copyOf(now.value) : null
  }
  useDraft({
    kind: () => `${kind} ${row()?.id ?? ''}`,
    typed: () => draft.value,
    saved: () => row()?.value ?? null,
    what: () => `${what()} ${draft.value!.name}`,
    take: (typed) => (draft.value = typed),
  })
  const isChanged = computed(() => {
    const now = row()
    return now !== undefined && JSON.stringify(draft.value) !== JSON.stringify(now.value)
  })
  return { draft, isChanged, undo }
}
