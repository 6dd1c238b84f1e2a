<script setup lang="ts">
import type { Finding } from '@/api/client'

/** What a kind of finding looks like on sheet, seam or wood, in a few strokes. */
defineProps<{ kind: Finding['kind'] }>()
/** By kind: what is metal or wood, what is wrong with it, and what water does. */
const drawn: Record<Finding['kind'], { body?: string; wrong?: string; spots?: [number, number, number][]; water?: string }> = {
  surfaceRust: {
    body: 'M3 22H37V26H3Z',
    spots: [
      [10, 20, 1.6],
      [15, 18, 2.2],
      [20, 20, 1.8],
      [24, 17, 2.6],
      [30, 20, 1.8],
      [18, 14, 1.2],
    ],
  },
  scale: { body: 'M3 22H37V26H3Z', wrong: 'M7 20L12 15L17 19M15 14L21 10L26 16M23 20L28 14L34 18' },
  pitting: { body: 'M3 14H8Q10 21 13 14H17Q19.5 23 22 14H27Q29 19 31 14H37V24H3Z' },
  perforation: {
    body: 'M3 14H13L15 17L13.5 20L15.5 24H3ZM37 14H27L25 17L26.5 20L24.5 24H37Z',
    wrong: 'M17 9L20 13L18 16L22 20L20 27',
  },
  stain: {
    wrong: 'M20 5C30 6 34 12 31 19C28 26 13 27 9 20C6 13 10 5 20 5Z',
    water: 'M20 9C26 10 29 13 27 18C24 22 15 22 13 18C11 13 14 9 20 9Z',
  },
  standingWater: { body: 'M3 14Q20 30 37 14V18Q20 34 3 18Z', water: 'M8 17.5Q20 27.5 32 17.5Z' },
  softWood: { body: 'M3 10H37V24H3Z', wrong: 'M13 10Q20 26 27 10M15 6V13M20 4V17M25 6V13' },
  openSeam: {
    body: 'M3 9H24V13H3ZM16 20H37V24H16Z',
    wrong: 'M14 16.5H27M14 16.5L17 14.5M14 16.5L17 18.5M27 16.5L24 14.5M27 16.5L24 18.5',
  },
  crackedSealant: { body: 'M4 12Q20 4 36 12V22Q20 29 4 22Z', wrong: 'M18 7L21 12L18 16L22 20L19 26' },
  looseClip: { body: 'M3 22H37V26H3ZM14 8H26V12H22V18H18V12H14Z', wrong: 'M30 20V9M30 9L27 12M30 9L33 12' },
  openHole: { body: 'M3 7H37V27H3ZM20 10A7 7 0 1 0 20 24A7 7 0 1 0 20 10Z' },
  dent: { body: 'M3 10H10Q20 30 30 10H37V14H31Q20 33 9 14H3Z', wrong: 'M20 4V15M20 15L17 12M20 15L23 12' },
  crackInPlastic: { body: 'M6 7H34V26H6Z', wrong: 'M9 9L16 13L15 17L23 18L25 23L31 25M16 13L22 10' },
  missingSeal: {
    body: 'M3 7H37V27H3ZM20 11A6 6 0 1 0 20 23A6 6 0 1 0 20 11Z',
    wrong: 'M12 17A8 8 0 0 1 15 11M28 17A8 8 0 0 1 25 23',
  },
  blockedDrain: {
    body: 'M5 6L15 17V28H18V16L9 6ZM35 6L25 17V28H22V16L31 6Z',
    spots: [[20, 20, 3.6]],
    water: 'M10.5 8H29.5L22.5 15H17.5Z',
  },
  dampInsulation: {
    body: 'M3 7Q6 4 9 7T15 7T21 7T27 7T33 7L37 8V25Q34 28 31 25T25 25T19 25T13 25T7 25L3 24Z',
    water: 'M13 11Q17 17 13 19Q9 17 13 11ZM26 13Q30 19 26 21Q22 19 26 13Z',
  },
}
</script>

<template>
  <svg width="44" height="34" viewBox="0 0 40 32" aria-hidden="true">
    <path
      v-if="drawn[kind].body"
      class="body"
      :class="{ wood: kind === 'softWood', wool: kind === 'dampInsulation' }"
      fill-rule="evenodd"
      :d="drawn[kind].body"
    />
    <path v-if="drawn[kind].water" class="water" :d="drawn[kind].water" />
    <path v-if="drawn[kind].wrong" class="wrong-here" :d="drawn[kind].wrong" />
    <circle v-for="([x, y, r], i) in drawn[kind].spots ?? []" :key="i" class="spot" :cx="x" :cy="y" :r="r" />
  </svg>
</template>

<style scoped>
.body {
  fill: var(--metal-3);
  stroke: var(--metal-7);
  stroke-width: 1;
}
.wood {
  fill: var(--rust-soft);
}
.wool {
  fill: var(--amber-soft);
}
.wrong-here {
  fill: none;
  stroke: var(--rust);
  stroke-width: 1.8;
}
.spot {
  fill: var(--rust);
}
.water {
  fill: var(--water);
  fill-opacity: 0.75;
}
</style>
