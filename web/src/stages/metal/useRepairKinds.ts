import { useQuery } from '@tanstack/vue-query'
import { message } from 'ant-design-vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { said, useState } from '@/app/state'
import type { Repair } from './useRepairs'

/** Which kinds of repair a place on a panel allows, and the same repair done in another way: both are asked of the server. */
export function useRepairKinds(panelId: () => string) {
  const { t } = useI18n()
  const { shell } = useState()
  const path = computed(() => ({ vehicleId: shell.value!.vehicle.id, panelId: panelId() }))
  const all = useQuery({
    queryKey: ['repair-kinds', path],
    queryFn: () => got(api.GET('/api/vehicles/{vehicleId}/panels/{panelId}/repair-kinds', { params: { path: path.value } })),
  })
  /** As choices; while the answer is on its way its own kind alone. */
  const kindsOf = (value: Repair) =>
    (all.data.value?.find((k) => k.shape === value.shape)?.kinds ?? [value.kind]).map((kind) => ({
      value: kind,
      text: t(`metal.kind.${kind}`),
    }))
  /** What it was, where the server does not answer; that is said. */
  async function asKind(value: Repair, kind: Schemas['RepairKind']): Promise<Repair> {
    try {
      const params = { path: { ...path.value, kind } }
      return await got(api.POST('/api/vehicles/{vehicleId}/panels/{panelId}/repair-as/{kind}', { params, body: value }))
    } catch (e) {
      void message.error(said(e))
      return value
    }
  }
  return { kindsOf, asKind }
}
