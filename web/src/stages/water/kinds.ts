import { enums } from '@/api/enums'
/** Kinds of suspects and their states, in the order in which people look for them. */
export const suspectKinds = enums.SuspectKind
export const conditions = enums.Condition
