import type { Zone } from '@/api/client'
import type { Facing } from './facing'
import type { Box } from './geometry'

/** A zone seen in the frame of a panel, as Core's Zone.On: plan on roof and floor, from the side on a side that it reaches. */
export function zoneBox(z: Zone, facing: Facing): Box | null {
  if (facing === 'up' || facing === 'down') return { s1: z.xMinMm, s2: z.xMaxMm, t1: z.yMinMm, t2: z.yMaxMm }
  const reaches = (facing === 'left' && z.yMaxMm > 0) || (facing === 'right' && z.yMinMm < 0)
  return reaches ? { s1: z.xMinMm, s2: z.xMaxMm, t1: z.zMinMm, t2: z.zMaxMm } : null
}
