import type { Schemas } from '@/api/client'

/** The role that a kind of member starts with, as Core's Member.DefaultRole; people may change it. */
export const memberKinds: Record<Schemas['MemberKind'], Schemas['MemberRole']> = {
  roofBow: 'secondary',
  swage: 'pressed',
  cantRail: 'structural',
  pillar: 'structural',
  sideRib: 'secondary',
  seam: 'keepOut',
  rainGutter: 'keepOut',
  wiringRun: 'keepOut',
  bearer: 'structural',
  slidingDoorRail: 'keepOut',
  fillerNeck: 'keepOut',
  anchorage: 'keepOut',
}
