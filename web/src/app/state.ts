import { message } from 'ant-design-vue'
import { useStorage } from '@vueuse/core'
import { computed, ref, shallowRef, type ComputedRef, type InjectionKey } from 'vue'
import { cache, ofVehicle, sharedChanged } from '@/api/cache'
import { api, ApiProblem, got, underWay, type Fitting, type LengthFormat, type Schemas, type Stored } from '@/api/client'
import { i18n } from './texts'

type WholeShell = Schemas['WholeShell']

/** The vehicle that is worked on, with everything on it, and the catalogue: loaded once, replaced as a whole after each change. */
const shell = shallowRef<WholeShell | null>(null)
const fittings = shallowRef<Stored<Fitting>[]>([])
const trouble = ref<ApiProblem | null>(null)

/** In what unit lengths are shown where no vehicle says: as it was last chosen on this machine. */
const ownLengths = useStorage<LengthFormat>('abri.lengths', { units: 'mm', inchDenominator: 16 })

/** The units of a form that is about another vehicle than the one that is open. */
export const formLengths: InjectionKey<ComputedRef<LengthFormat>> = Symbol('lengths of the form')

const lengths = computed<LengthFormat>(() => {
  const vehicle = shell.value?.vehicle.value
  return vehicle ? { units: vehicle.units, inchDenominator: vehicle.inchDenominator } : ownLengths.value
})

async function load(vehicleId: string): Promise<void> {
  const reading = read(vehicleId)
  underWay.add(reading)
  await reading
  underWay.delete(reading)
}

async function read(vehicleId: string): Promise<void> {
  try {
    const params = { path: { vehicleId } }
    const both = () =>
      Promise.all([
        cache.fetchQuery({
          queryKey: ['shell', vehicleId],
          queryFn: ({ signal }) => got(api.GET('/api/vehicles/{vehicleId}/shell', { params, signal })),
          staleTime: 0,
        }),
        got(api.GET('/api/fittings')),
      ])
    const [whole, catalogue] = await both().catch(async (e: unknown) => {
      // One dropped connection, as at the edge of a network, is no program that has ended.
      if (!(e instanceof ApiProblem) || e.status !== 0) throw e
      await new Promise((resolve) => setTimeout(resolve, 500))
      return await both()
    })
    shell.value = whole
    fittings.value = catalogue as Stored<Fitting>[]
    trouble.value = null
    // What is still being asked was asked of what stood before: without this its answer would be taken for the new one.
    const answers = { queryKey: ofVehicle(vehicleId) }
    void cache.cancelQueries(answers).then(() => cache.invalidateQueries(answers))
  } catch (e) {
    trouble.value = e as ApiProblem
    if (shell.value?.vehicle.id !== vehicleId) shell.value = null
  }
}

async function loadFittings(): Promise<void> {
  fittings.value = (await got(api.GET('/api/fittings'))) as Stored<Fitting>[]
  void sharedChanged()
}

/** A sentence for what went wrong. */
export function said(e: unknown): string {
  const t = i18n.global.t
  if (!(e instanceof ApiProblem)) return t('app.failed')
  return e.status === 0 ? t('app.offline') : e.message
}

/** The same beside an editor, which keeps what was typed whoever was quicker. */
export const saidBeside = (e: unknown) => (e instanceof ApiProblem && e.status === 412 ? i18n.global.t('app.newer') : said(e))

/** Does a change, refreshes what is shown, and says what went wrong; what was typed stays where it was typed. */
async function change<T>(call: () => Promise<T>): Promise<T | undefined> {
  try {
    const result = await call()
    if (shell.value) await load(shell.value.vehicle.id)
    return result
  } catch (e) {
    void message.error({ content: said(e), duration: 6 })
    // Somebody else was quicker: show what stands now.
    if (e instanceof ApiProblem && e.status === 412 && shell.value) await load(shell.value.vehicle.id)
    return undefined
  }
}

async function step(direction: 'undo' | 'redo'): Promise<void> {
  const vehicleId = shell.value?.vehicle.id
  if (!vehicleId) return
  const params = { params: { path: { vehicleId } } }
  const done = await change(() =>
    got(
      direction === 'undo'
        ? api.POST('/api/vehicles/{vehicleId}/undo', params)
        : api.POST('/api/vehicles/{vehicleId}/redo', params),
    ),
  )
  if (!done) return
  const t = i18n.global.t
  void message.info(done.what ? t(`app.${direction}Done`, { what: done.what }) : t(`app.${direction}Nothing`))
}

export function useState() {
  return {
    shell,
    fittings,
    trouble,
    lengths,
    ownLengths,
    load,
    loadFittings,
    change,
    undo: () => step('undo'),
    redo: () => step('redo'),
  }
}
