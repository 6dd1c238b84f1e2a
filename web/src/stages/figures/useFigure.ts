import { ref, shallowRef, watch } from 'vue'
import { said } from '@/app/state'

/** Asks a calculator each time what is typed changes, and keeps the newest answer; null asks nothing yet. */
export function useFigure<I, A>(input: () => I | null, ask: (input: I) => Promise<A>) {
  const answer = shallowRef<A | null>(null)
  const wrong = ref('')
  let asked = 0
  watch(
    () => JSON.stringify(input()),
    async () => {
      const own = ++asked
      const typed = input()
      if (typed === null) {
        ;[answer.value, wrong.value] = [null, '']
        return
      }
      try {
        const now = await ask(typed)
        if (own === asked) [answer.value, wrong.value] = [now, '']
      } catch (e) {
        if (own === asked) [answer.value, wrong.value] = [null, said(e)]
      }
    },
    { immediate: true },
  )
  return { answer, wrong }
}
