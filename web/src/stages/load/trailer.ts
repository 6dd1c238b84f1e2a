import type { Vehicle } from '@/api/client'

/** Whether a coupling stands in for the front axle, as Core's LoadOfVehicle. */
export const isTrailer = (kind: Vehicle['kind']) => kind === 'boxTrailer' || kind === 'caravanBody'
