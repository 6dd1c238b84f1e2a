// @vitest-environment happy-dom
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { defineComponent, ref, type Ref } from 'vue'
import { ApiProblem } from '@/api/client'
import { useAnswer } from './useAnswer'

/** A component that asks, with answers that come when the test lets them. */
function asking(question: Ref<readonly [string, number] | null>) {
  const calls: { n: number; signal: AbortSignal; answer: (text: string) => void; fail: (e: Error) => void }[] = []
  let got!: ReturnType<typeof useAnswer<readonly [string, number], string>>
  const component = defineComponent({
    setup() {
      got = useAnswer(
        () => question.value,
        ([, n], signal) => new Promise<string>((answer, fail) => calls.push({ n, signal, answer, fail })),
      )
      return () => null
    },
  })
  const queryClient = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } })
  mount(component, { global: { plugins: [[VueQueryPlugin, { queryClient }]] } })
  return { calls, got, queryClient }
}

describe('an answer of the server', () => {
  it('keeps the one before it until the next is there, and breaks off what is no longer wanted', async () => {
    const question = ref<readonly [string, number] | null>(['q', 1])
    const { calls, got } = asking(question)
    await flushPromises()
    calls[0]!.answer('one')
    await vi.waitFor(() => expect(got.answer.value).toBe('one'))
    question.value = ['q', 2]
    await flushPromises()
    expect(got.answer.value).toBe('one')
    question.value = ['q', 3]
    await flushPromises()
    expect(calls[1]!.signal.aborted).toBe(true)
    // The answer to the question of before comes late: it is not shown.
    calls[1]!.answer('two')
    calls[2]!.answer('three')
    await vi.waitFor(() => expect(got.answer.value).toBe('three'))
  })

  it('asks nothing where there is nothing to ask', async () => {
    const question = ref<readonly [string, number] | null>(null)
    const { calls, got } = asking(question)
    await flushPromises()
    expect(calls).toHaveLength(0)
    expect(got.answer.value).toBeNull()
    question.value = ['q', 1]
    await flushPromises()
    calls[0]!.answer('one')
    await vi.waitFor(() => expect(got.answer.value).toBe('one'))
    question.value = null
    await flushPromises()
    expect(got.answer.value).toBeNull()
  })

  it('says what the server refused, and no old answer beside it', async () => {
    const question = ref<readonly [string, number] | null>(['q', 1])
    const { calls, got } = asking(question)
    await flushPromises()
    calls[0]!.answer('one')
    await vi.waitFor(() => expect(got.answer.value).toBe('one'))
    question.value = ['q', 2]
    await flushPromises()
    calls[1]!.fail(new ApiProblem(400, 'out-of-range', 'The gap must lie between 0 mm and 100 mm.'))
    await vi.waitFor(() => expect(got.wrong.value).toBe('The gap must lie between 0 mm and 100 mm.'))
    expect(got.answer.value).toBeNull()
  })

  it('is asked again once it is stale, and not before', async () => {
    const question = ref<readonly [string, number] | null>(['q', 1])
    const { calls, got, queryClient } = asking(question)
    await flushPromises()
    calls[0]!.answer('one')
    await vi.waitFor(() => expect(got.answer.value).toBe('one'))
    question.value = ['q', 2]
    await flushPromises()
    calls[1]!.answer('two')
    await vi.waitFor(() => expect(got.answer.value).toBe('two'))
    question.value = ['q', 1]
    await flushPromises()
    expect([got.answer.value, calls.length]).toEqual(['one', 2])
    void queryClient.invalidateQueries({ queryKey: ['q'] })
    await flushPromises()
    expect(calls.map((c) => c.n)).toEqual([1, 2, 1])
  })
})
