import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { said } from './state'

/**
 * Asks the server a question again each time it becomes another one, and shows the newest answer; until that comes, the one before it stays.
 * A question that is no longer wanted is broken off. `null` asks nothing.
 */
export function useAnswer<Q extends readonly unknown[], A>(
  question: () => Q | null,
  ask: (question: Q, signal: AbortSignal) => Promise<A>,
) {
  // A copy, so that what is typed on does not change the question that was asked.
  const asked = computed(() => JSON.parse(JSON.stringify(question())) as Q | null)
  const query = useQuery({
    queryKey: computed(() => asked.value ?? ['nothing']),
    queryFn: ({ queryKey, signal }) => ask(queryKey as unknown as Q, signal),
    enabled: computed(() => asked.value !== null),
    placeholderData: keepPreviousData,
  })
  return {
    answer: computed<A | null>(() => (asked.value === null ? null : ((query.data.value as A | undefined) ?? null))),
    /** A sentence, empty where nothing is wrong. */
    wrong: computed(() => (asked.value !== null && query.error.value ? said(query.error.value) : '')),
    again: () => query.refetch(),
  }
}
