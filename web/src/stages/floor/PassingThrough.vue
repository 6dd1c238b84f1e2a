<script setup lang="ts">
import { computed } from 'vue'
import { useState } from '@/app/state'
import OpeningShape from '@/drawing/OpeningShape.vue'
import type { Viewport } from '@/drawing/viewport'

/** What passes through the skin of a panel, where it lies. */
const props = defineProps<{ view: Viewport; panelId: string }>()
const { shell, fittings } = useState()
const through = computed(() =>
  shell
    .value!.openings.filter((o) => o.ownerId === props.panelId)
    .flatMap((o) => {
      const fitting = fittings.value.find((f) => f.id === o.value.fittingId)?.value
      return fitting ? [{ id: o.id, fitting, value: o.value }] : []
    }),
)
</script>

<template>
  <OpeningShape
    v-for="o in through"
    :key="o.id"
    :view="view"
    :fitting="o.fitting"
    :centre="o.value.centre"
    :turn-deg="o.value.turnDeg"
    :name="o.value.name"
    :state="o.value.state"
  />
</template>
