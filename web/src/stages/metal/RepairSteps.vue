<script setup lang="ts">
import type { Schemas, Stored } from '@/api/client'
import { useState } from '@/app/state'
import ProcedurePage from '@/ui/ProcedurePage.vue'
import RepairProgress from './RepairProgress.vue'
import type { Repair } from './useRepairs'

/** What is done, in order, with the figures of this repair. */
defineProps<{ row: Stored<Repair>; plan: Schemas['WorkedOfRepairPlan']; changed: boolean }>()
const { shell } = useState()
</script>

<template>
  <ProcedurePage
    :procedure="plan.result.procedure"
    :warnings="plan.warnings"
    :print="`/api/vehicles/${shell!.vehicle.id}/repairs/${row.id}/steps.pdf`"
    :changed="changed"
  >
    <RepairProgress :row="row" :plan="plan.result" />
  </ProcedurePage>
</template>
