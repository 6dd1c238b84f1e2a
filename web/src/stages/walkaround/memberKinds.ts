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

/** What is taped most often on a kind of panel. */
export const usualKind: Record<Schemas['PanelKind'], Schemas['MemberKind']> = {
  roof: 'roofBow',
  left: 'pillar',
  right: 'pillar',
  rearLeftDoor: 'sideRib',
  rearRightDoor: 'sideRib',
  slidingDoor: 'sideRib',
  bulkhead: 'sideRib',
  floor: 'bearer',
  step: 'bearer',
  other: 'sideRib',
}
