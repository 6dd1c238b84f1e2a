<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, got, type Schemas } from '@/api/client'
import { lengthText } from '@/app/length'
import { useState } from '@/app/state'
import WorkedSteps from '@/ui/WorkedSteps.vue'
import { panelName } from '@/drawing/facing'

/** How wood dries at each place where the meter was held more than once: the date at which it may be covered, or that it is not drying. */
const { t } = useI18n()
const { shell, lengths } = useState()
interface Place {
  key: string
  name: string
  readings: { at: string; percent: number }[]
  outlook: Schemas['WorkedOfDryingOutlook'] | null
}
const places = shallowRef<Place[]>([])
/** Readings within a hand's width of one another are of one place, mm. */
const samePlaceMm = 100
let asked = 0

watch(
  shell,
  async (whole) => {
    const own = ++asked
    const found: (Place & { ownerId: string; s: number; t: number })[] = []
    for (const o of whole!.observations) {
      if (o.value.moisturePercent === null) continue
      const { sMm, tMm } = o.value.place
      let place = found.find((p) => p.ownerId === o.ownerId && Math.hypot(p.s - sMm, p.t - tMm) <= samePlaceMm)
      if (!place) {
        const panel = whole!.panels.find((p) => p.id === o.ownerId)!
        const name = `${panelName(panel.value)}, ${lengthText(sMm, lengths.value)} / ${lengthText(tMm, lengths.value)}`
        place = { key: o.id, name, readings: [], outlook: null, ownerId: o.ownerId!, s: sMm, t: tMm }
        found.push(place)
      }
      place.readings.push({ at: o.value.seenAt, percent: o.value.moisturePercent })
    }
    for (const place of found) {
      place.readings.sort((a, b) => a.at.localeCompare(b.at))
      if (place.readings.length < 2) continue
      const first = Date.parse(place.readings[0]!.at)
      const readings = place.readings.map((r) => ({ hours: (Date.parse(r.at) - first) / 3_600_000, moisturePercent: r.percent }))
      place.outlook = await got(
        api.POST('/api/calculators/drying', { body: { readings, restingPercent: 12, limitPercent: 16 } }),
      ).catch(() => null)
    }
    if (own === asked) places.value = found
  },
  { immediate: true },
)
function dryOn(p: Place): string {
  const hours = p.outlook?.result.hoursToLimit
  if (hours === null || hours === undefined) return ''
  return new Date(Date.parse(p.readings.at(-1)!.at) + hours * 3_600_000).toLocaleDateString()
}
</script>

<template>
  <div v-if="places.length > 0" class="card" data-testid="drying">
    <h2>{{ t('waysOut.drying') }}</h2>
    <div v-for="p in places" :key="p.key" class="place" :class="p.outlook?.result.state">
      <b>{{ p.name }}</b>
      <span class="soft">{{ p.readings.map((r) => `${r.percent} %`).join(', ') }}</span>
      <p v-if="p.outlook">{{ p.outlook.result.verdict }}</p>
      <p v-else class="soft">{{ t('waysOut.oneReading') }}</p>
      <p v-if="dryOn(p) && p.outlook!.result.hoursToLimit! > 0">{{ t('waysOut.dryOn', { when: dryOn(p) }) }}</p>
      <WorkedSteps :title="p.name" :worked="p.outlook" />
    </div>
  </div>
</template>

<style scoped>
.place {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  padding: 6px 10px;
  border-left: 4px solid var(--teal);
}
.place.drying,
.place.tooEarly {
  border-color: var(--amber);
}
.place.waterComesIn {
  border-color: var(--stop);
}
</style>
