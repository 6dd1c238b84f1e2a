import { useIntervalFn } from '@vueuse/core'
import { ofVehicle } from '@/api/cache'
import { api, got } from '@/api/client'
import { useState } from './state'
import { useAnswer } from './useAnswer'

/** The strip on top of every screen, asked again every minute: the weather, the shell, and the air now. */
export function useStrip() {
  const { shell } = useState()
  const asked = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'strip'),
    ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/strip', { params: { path: { vehicleId } }, signal })),
  )
  useIntervalFn(() => shell.value && void asked.again(), 60_000)
  return { strip: asked.answer }
}
