import { QueryClient } from '@tanstack/vue-query'
import { ApiProblem } from './client'

/** What the server answered, kept until a change makes it stale: the one place for it. */
export const cache = new QueryClient({
  defaultOptions: {
    queries: {
      // Nothing changes by itself; whoever changes something says what is stale by it.
      staleTime: Infinity,
      // What the server refuses it refuses again; one that stumbled may be up again in a moment.
      retry: (failures, e) => e instanceof ApiProblem && e.status >= 500 && failures < 2,
      networkMode: 'always',
      refetchOnWindowFocus: false,
    },
  },
})

/** The name of an answer about one vehicle: a change on the vehicle, or in what all vehicles share, makes all of them stale. */
export const ofVehicle = <W extends unknown[]>(vehicleId: string, ...what: W) => ['vehicle', vehicleId, ...what] as const

/** After a change of what all vehicles share: fittings, products. */
export const sharedChanged = () =>
  Promise.all([cache.invalidateQueries({ queryKey: ['vehicle'] }), cache.invalidateQueries({ queryKey: ['products'] })])
