import type { Schemas } from '@/api/client'
import { enums } from '@/api/enums'

/** In the order in which they are offered. */
export const jointKinds: readonly Schemas['JointKind'][] = enums.JointKind
export const substrates: readonly Schemas['Substrate'][] = enums.Substrate
export const families: readonly Schemas['ProductFamily'][] = enums.ProductFamily
