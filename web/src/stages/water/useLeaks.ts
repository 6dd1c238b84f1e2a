import { computed, ref, shallowRef, watch } from 'vue'
import { api, ApiProblem, got, type Schemas } from '@/api/client'
import { said, useState } from '@/app/state'

/** The hunt for leaks of the vehicle, weighed anew after each change; about one mark, or about all of them. */
export function useLeaks() {
  const { shell } = useState()
  const answer = shallowRef<Schemas['WorkedOfLeakHunt'] | null>(null)
  /** Name of the mark that is asked about; empty for all, null until the server has said which waits first. */
  const mark = ref<string | null>(null)
  const trouble = ref('')
  let asked = 0

  /** The mark that was named by an answer and needs no question of its own. */
  let known: string | undefined

  async function weigh() {
    const own = ++asked
    const about = mark.value
    try {
      const answered = await got(
        api.GET('/api/vehicles/{vehicleId}/leaks', {
          params: {
            path: { vehicleId: shell.value!.vehicle.id },
            query: about === null ? {} : about === '' ? { all: true } : { mark: about },
          },
        }),
      )
      if (own !== asked) return
      ;[answer.value, trouble.value] = [answered, '']
      // Not a new question, only its name.
      if (about === null) known = mark.value = answered.result.mark ?? ''
    } catch (e) {
      if (own !== asked) return
      // The mark was mended or taken away meanwhile: ask about the one that waits first now.
      if (about && e instanceof ApiProblem && e.code === 'mark-unknown') mark.value = null
      else trouble.value = said(e)
    }
  }
  watch(shell, weigh, { immediate: true })
  watch(mark, (now) => {
    if (now !== known) void weigh()
    known = undefined
  })

  const hunt = computed(() => answer.value?.result ?? null)
  const marks = computed(() => hunt.value?.marks ?? [])
  const next = computed(() => hunt.value?.tests.find((test) => test.test.notYet === null) ?? null)
  return { answer, hunt, next, marks, mark, trouble }
}
