<script setup lang="ts">
import Waiting from '@/ui/Waiting.vue'
import { Empty, Skeleton } from 'ant-design-vue'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { ofVehicle } from '@/api/cache'
import { api, got, type Schemas } from '@/api/client'
import { lengthNumber, lengthText } from '@/app/length'
import { useState } from '@/app/state'
import { useAnswer } from '@/app/useAnswer'
import { facingOf } from '@/drawing/facing'
import HoleSketch from '@/stages/openings/HoleSketch.vue'
import { holeFields } from '@/stages/openings/holeFields'
import LogbookTabs from './LogbookTabs.vue'

/** Each hole that was measured, drawn over what was planned. */
const { t } = useI18n()
const { shell, lengths } = useState()
const built = useAnswer(
  () => shell.value && ofVehicle(shell.value.vehicle.id, 'as-built'),
  ([, vehicleId], signal) => got(api.GET('/api/vehicles/{vehicleId}/as-built', { params: { path: { vehicleId } }, signal })),
)
const holes = computed(() => built.answer.value)
const facing = (b: Schemas['AsBuilt']) => facingOf(shell.value!.panels.find((p) => p.id === b.panelId)!.value)
const size = (b: Schemas['AsBuilt']) =>
  `${lengthNumber(b.frame.cutOut.widthMm, lengths.value)} × ${lengthText(b.frame.cutOut.heightMm, lengths.value)}`
</script>

<template>
  <Waiting v-if="!shell" />
  <div v-else class="screen">
    <header>
      <h1 class="of-stage">{{ t('logbook.title') }}</h1>
      <LogbookTabs on="built" />
    </header>
    <div class="page" tabindex="0" data-testid="as-built">
      <p v-if="built.wrong.value" class="wrong" role="alert">{{ built.wrong.value }}</p>
      <Skeleton v-else-if="!holes" active :title="false" />
      <Empty v-else-if="holes.length === 0" :image="Empty.PRESENTED_IMAGE_SIMPLE" :description="t('logbook.noneBuilt')">
        <p>{{ t('logbook.noneBuiltMore') }}</p>
      </Empty>
      <article v-for="b in holes" :key="b.openingId">
        <div>
          <h2>{{ b.name }}</h2>
          <p class="soft">{{ t(b.state === 'fitted' ? 'logbook.fitted' : 'logbook.isCut') }}</p>
          <p>{{ t('logbook.planned', { size: size(b) }) }}</p>
          <table class="figures">
            <tbody>
              <tr v-for="[key, name] in holeFields(facing(b))" :key="key">
                <td>{{ name }}</td>
                <td class="n">{{ lengthText(b.measured[key], lengths) }}</td>
              </tr>
            </tbody>
          </table>
          <p>{{ b.fit?.advice ?? b.trouble }}</p>
          <p>
            <RouterLink
              :to="{ name: 'opening', params: { vehicleId: shell.vehicle.id, openingId: b.openingId, tab: 'as-cut' } }"
              >{{ t('openings.tab.as-cut') }}</RouterLink
            >
            <RouterLink :to="{ name: 'log', params: { vehicleId: shell.vehicle.id }, query: { record: b.openingId } }">{{
              t('logbook.tab.log')
            }}</RouterLink>
          </p>
        </div>
        <HoleSketch v-if="b.fit" :fit="b.fit" :frame="b.frame" :facing="facing(b)" />
      </article>
    </div>
  </div>
</template>

<style scoped>
.page {
  grid-column: 1 / -1;
  padding: 8px 24px 24px;
  overflow: auto;
}
article {
  display: flex;
  flex-wrap: wrap;
  gap: 24px;
  padding: 12px 0;
  border-top: 1px solid var(--rule);
}
article > div {
  flex: 0 1 380px;
}
h2 {
  margin: 0;
}
a {
  margin-right: 16px;
}
</style>
