import { computed, reactive } from 'vue'
import { useStorage } from '@vueuse/core'

/** The air in which something cures: steady, or days and nights; typed once and kept on this machine. */
export const air = useStorage('abri.air', { steady: false, dayC: 16, dayPercent: 65, nightC: 8, nightPercent: 85 })

const followedDays = 30

/** Hour by hour from eight in the morning, or one hour for steady air. */
export const airHours = computed(() => {
  const day = { airC: air.value.dayC, relativePercent: air.value.dayPercent }
  const night = { airC: air.value.nightC, relativePercent: air.value.nightPercent }
  if (air.value.steady) return [day]
  return Array.from({ length: 24 * followedDays }, (_, hour) => (hour % 24 < 12 ? day : night))
})

export const useAir = () => reactive({ air, hours: airHours })
