import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { ofVehicle } from '@/api/cache'
import { api, got, ifMatch, type Schemas, type Stored } from '@/api/client'
import { said, useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'

type Joint = Schemas['Joint']
type Product = Schemas['Product']

/** A joint as it is shown: written down, or still only read off the shell. */
export interface ShownJoint {
  key: string
  panelId: string
  row: Stored<Joint> | null
  value: Joint
  /** The product that was chosen for it. */
  product: Stored<Product> | null
  faults: string[]
  /** When it was last sealed; null where it stands open. */
  sealedOn: string | null
  /** How it lies, by its panel. */
  lies: Schemas['JointLies'] | null
}

/** How far a joint has come: nothing chosen, a product chosen, or sealed with it. */
export type JointState = 'open' | 'chosen' | 'sealed'

/** Whether two joints belong to the same thing. */
export const sameThing = (a: Joint, b: Joint): boolean => a.of !== null && a.of.kind === b.of?.kind && a.of.id === b.of.id
export const stateOf = ({ value, sealedOn }: ShownJoint): JointState =>
  value.productId === null ? 'open' : sealedOn ? 'sealed' : 'chosen'

/** The joints of the vehicle and the products, as the stage and the openings need them. */
export function useSealing() {
  const { shell, change } = useState()
  const vehicleId = () => shell.value!.vehicle.id
  const sealing = useAnswer(
    () => shell.value && ofVehicle(vehicleId(), 'sealing'),
    ([, id], signal) => got(api.GET('/api/vehicles/{vehicleId}/sealing', { params: { path: { vehicleId: id } }, signal })),
  )
  const { answer } = sealing
  const all = useQuery({ queryKey: ['products'], queryFn: ({ signal }) => got(api.GET('/api/products', { signal })) })
  const products = computed(() => (all.data.value ?? []) as Stored<Product>[])
  const trouble = computed(() => sealing.wrong.value || (all.error.value ? said(all.error.value) : ''))
  const load = () => Promise.all([sealing.again(), all.refetch()])

  const liesOn = (panelId: string) => answer.value?.lies.find((l) => l.panelId === panelId)?.lies ?? null
  const joints = computed<ShownJoint[]>(() => [
    ...((answer.value?.joints ?? []) as Stored<Joint>[]).map((row) => ({
      key: row.id,
      panelId: row.ownerId!,
      row,
      value: row.value,
      product: products.value.find((p) => p.id === row.value.productId) ?? null,
      faults: answer.value!.faults.filter((f) => f.jointId === row.id).map((f) => f.fault),
      sealedOn: answer.value!.shut?.find((s) => s.jointId === row.id)?.on ?? null,
      lies: liesOn(row.ownerId!),
    })),
    ...(answer.value?.offered ?? []).map((o) => ({
      key: `${o.panelId} ${o.joint.of!.kind} ${o.joint.of!.id}`,
      panelId: o.panelId,
      row: null,
      value: o.joint,
      product: null,
      faults: [],
      sealedOn: null,
      lies: liesOn(o.panelId),
    })),
  ])

  /** Keeps a joint; one that was only read off the shell is written down by it. Answers its row. */
  async function save(joint: ShownJoint, value: Joint): Promise<Stored<Joint> | undefined> {
    // After somebody else was quicker it is saved on top of theirs.
    const row = joints.value.find((j) => j.key === joint.key)?.row ?? joint.row
    return (await change(() =>
      row
        ? got(
            api.PUT('/api/vehicles/{vehicleId}/joints/{id}', {
              params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
              body: value,
            }),
          )
        : got(
            api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/joints', {
              params: { path: { vehicleId: vehicleId(), panelId: joint.panelId } },
              body: value,
            }),
          ),
    )) as Stored<Joint> | undefined
  }
  async function remove(joint: ShownJoint) {
    if (!joint.row) return
    const row = joint.row
    await change(() =>
      got(
        api.DELETE('/api/vehicles/{vehicleId}/joints/{id}', {
          params: { path: { vehicleId: vehicleId(), id: row.id }, header: ifMatch(row.version) },
        }),
      ),
    )
  }
  return { answer, joints, products, trouble, load, save, remove }
}
