import { api, got } from '@/api/client'
import type { paths } from '@/api/schema'
import { useAnswer } from '@/app/useAnswer'

type Calculators = { [P in keyof paths as P extends `/api/calculators/${infer Name}` ? Name : never]: paths[P] }
type Json<T> = T extends { content: { 'application/json': infer B } } ? B : never
export type FigureInput<N extends keyof Calculators> = Calculators[N] extends { post: { requestBody: infer B } } ? Json<B> : never
export type FigureAnswer<N extends keyof Calculators> = Calculators[N] extends { post: { responses: { 200: infer R } } }
  ? Json<R>
  : never

/** Asks a calculator each time what is typed changes; null asks nothing yet. */
export function useFigure<N extends keyof Calculators>(name: N, input: () => FigureInput<N> | null) {
  return useAnswer(
    () => {
      const typed = input()
      return typed === null ? null : (['figure', name, typed] as const)
    },
    ([, , body], signal) =>
      got(api.POST(`/api/calculators/${name}` as never, { body, signal } as never)) as Promise<FigureAnswer<N>>,
  )
}
