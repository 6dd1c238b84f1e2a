<script setup lang="ts">
import { onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { api, got } from '@/api/client'
import { useState } from '@/app/state'

/** Opens the vehicle that was worked on last, or the list when there is none. */
const router = useRouter()
const { shell } = useState()
onMounted(async () => {
  const known = shell.value?.vehicle.id
  const first = known ?? (await got(api.GET('/api/vehicles')).catch(() => []))[0]?.id
  await router.replace(first ? { name: 'walkaround', params: { vehicleId: first } } : { name: 'vehicles' })
})
</script>

<template>
  <div />
</template>
