import { useDebounceFn } from '@vueuse/core'
import { reactive, ref, shallowRef, watch } from 'vue'
import { api, got, type Schemas } from '@/api/client'
import { said } from '@/app/state'

/** Cells while a slider moves, and at rest, mm. */
const previewMm = 10
const restMm = 5

/** Water on the roof of a vehicle under an attitude that can be tried: a coarse map while a slider moves, a fine one at rest. */
export function useWater(vehicleId: () => string, parked: () => Schemas['Attitude'] | null | undefined) {
  const roof = shallowRef<Schemas['WetRoof'] | null>(null)
  const map = shallowRef<Schemas['WorkedOfWaterMap'] | null>(null)
  const worst = shallowRef<Schemas['WorkedOfWorstAttitude'] | null>(null)
  const parking = shallowRef<Schemas['WorkedOfParkingAdvice'] | null>(null)
  const mends = shallowRef<Schemas['WorkedOfMendsOfRoof'] | null>(null)
  const attitude = reactive({ pitchDeg: 0, rollDeg: 0 })
  const trouble = ref('')
  const searching = ref(false)
  let asked = 0

  async function fill(cellMm: number) {
    const own = ++asked
    if (!roof.value) return
    try {
      const answer = await got(
        api.POST('/api/calculators/ponding', { body: { roof: roof.value, attitude: { ...attitude }, cellMm } }),
      )
      if (own === asked) [map.value, trouble.value] = [answer, '']
    } catch (e) {
      if (own === asked) trouble.value = said(e)
    }
  }
  async function advise() {
    if (!roof.value) return
    const at = { ...attitude }
    const [park, ways] = await Promise.all([
      got(api.POST('/api/calculators/ponding-park', { body: { roof: roof.value, attitude: at } })).catch(() => null),
      got(api.GET('/api/vehicles/{vehicleId}/wet-roof/mends', { params: { path: { vehicleId: vehicleId() }, query: at } })).catch(
        () => null,
      ),
    ])
    if (at.pitchDeg === attitude.pitchDeg && at.rollDeg === attitude.rollDeg) [parking.value, mends.value] = [park, ways]
  }
  const rest = useDebounceFn(async () => {
    await fill(restMm)
    await advise()
  }, 250)
  watch(attitude, () => {
    parking.value = null
    mends.value = null
    void fill(previewMm)
    void rest()
  })
  watch(
    vehicleId,
    async (id) => {
      try {
        roof.value = await got(api.GET('/api/vehicles/{vehicleId}/wet-roof', { params: { path: { vehicleId: id } } }))
        Object.assign(attitude, parked() ?? { pitchDeg: 0, rollDeg: 0 })
        await fill(restMm)
        await advise()
      } catch (e) {
        trouble.value = said(e)
      }
    },
    { immediate: true },
  )
  /** Looks for the worst attitude, and shows it. */
  async function findWorst() {
    if (!roof.value) return
    searching.value = true
    try {
      worst.value = await got(api.POST('/api/calculators/ponding-worst', { body: { roof: roof.value } }))
      Object.assign(attitude, worst.value.result.attitude)
    } catch (e) {
      trouble.value = said(e)
    }
    searching.value = false
  }
  return { roof, map, worst, parking, mends, attitude, trouble, searching, findWorst }
}
