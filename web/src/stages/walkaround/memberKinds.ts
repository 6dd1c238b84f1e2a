import { useQuery } from '@tanstack/vue-query'
import { api, got, type Schemas } from '@/api/client'

/** The role that each kind of member starts with; people may change it. */
export function useMemberRoles() {
  const { data } = useQuery({
    queryKey: ['member-roles'],
    queryFn: ({ signal }) => got(api.GET('/api/member-roles', { signal })),
  })
  return (kind: Schemas['MemberKind']): Schemas['MemberRole'] => data.value?.find((r) => r.kind === kind)?.role ?? 'keepOut'
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
