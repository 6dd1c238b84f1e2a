import { computed, reactive, shallowRef, watch } from 'vue'
import { useStorage } from '@vueuse/core'
import { ofVehicle } from '@/api/cache'
import { api, got, type Schemas } from '@/api/client'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

/** The air in which something cures: by the forecast, steady, or days and nights; typed once and kept on this machine. */
export const air = useStorage(
  'abri.air',
  { byForecast: true, steady: false, dayC: 16, dayPercent: 65, nightC: 8, nightPercent: 85 },
  undefined,
  { mergeDefaults: true },
)
/** The coming hours of the vehicle's forecast; null where there is none. */
export const forecastAir = shallowRef<Schemas['AirHour'][] | null>(null)

export type AirBy = 'forecast' | 'dayNight' | 'steady'
/** Which of the three holds: without a forecast what was typed. */
export const airBy = computed<AirBy>({
  get: () => (air.value.byForecast && forecastAir.value ? 'forecast' : air.value.steady ? 'steady' : 'dayNight'),
  set: (by) => {
    air.value.byForecast = by === 'forecast'
    if (by !== 'forecast') air.value.steady = by === 'steady'
  },
})

const followedDays = 30

/** Hour by hour from eight in the morning, or one hour for steady air; after the end of a forecast days and nights as they were typed. */
export const airHours = computed(() => {
  const day = { airC: air.value.dayC, relativePercent: air.value.dayPercent }
  const night = { airC: air.value.nightC, relativePercent: air.value.nightPercent }
  if (airBy.value === 'steady') return [day]
  const typed = Array.from({ length: 24 * followedDays }, (_, hour) => (hour % 24 < 12 ? day : night))
  return airBy.value === 'forecast' ? [...forecastAir.value!, ...typed.slice(forecastAir.value!.length)] : typed
})

export const useAir = () => reactive({ air, hours: airHours })

/** Keeps the forecast's air with the vehicle that is open. */
export function useForecastAir() {
  const { shell } = useState()
  const asked = useAnswer(
    () => shell.value && ofVehicle(shell.value.vehicle.id, 'air'),
    ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/days/air', { params: { path: { vehicleId } }, signal })),
  )
  watch(asked.answer, (hours) => (forecastAir.value = hours && hours.length > 0 ? hours : null), { immediate: true })
}
