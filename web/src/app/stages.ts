import type { RouteRecordRaw } from 'vue-router'
import type { Schemas } from '@/api/client'

/** A stage of the work: its rung on the ladder, and its screens. A new one registers itself here, with its texts under `stages`. */
export interface Stage {
  /** Name of its first screen; its name on the ladder is the text `stages.<name>`. */
  name: string
  /** What waits in it; shown on its rung. */
  waiting?: (shell: Schemas['WholeShell']) => number
  /** Whether it stands beside the ladder: what all work draws on, at no rung of its own. */
  beside?: true
  /** Its screens, the first one first; addresses under a vehicle. */
  screens: RouteRecordRaw[]
}

export const stages: readonly Stage[] = [
  {
    name: 'walkaround',
    waiting: (shell) => shell.findings.filter((f) => f.value.state === 'open' || f.value.state === 'planned').length,
    screens: [
      { path: 'walkaround', name: 'walkaround', component: () => import('@/stages/walkaround/Walkaround.vue') },
      {
        path: 'panels/:panelId/:tab(members|shape|surface|findings)',
        name: 'panel',
        component: () => import('@/stages/walkaround/PanelScreen.vue'),
      },
    ],
  },
  {
    name: 'water',
    screens: [
      { path: 'water/:tab(leaks|standing|out)?', name: 'water', component: () => import('@/stages/water/WaterStage.vue') },
    ],
  },
  {
    name: 'metal',
    waiting: (shell) => shell.repairs.filter((r) => r.value.state === 'planned' || r.value.state === 'doing').length,
    screens: [
      { path: 'metal', name: 'metal', component: () => import('@/stages/metal/MetalStage.vue') },
      { path: 'metal/sheets', name: 'sheets', component: () => import('@/stages/metal/SheetsScreen.vue') },
      {
        path: 'metal/:repairId/:tab(design|blank|fasteners|finish|steps)',
        name: 'repair',
        component: () => import('@/stages/metal/RepairBench.vue'),
      },
    ],
  },
  {
    name: 'floor',
    waiting: (shell) => shell.floor.replacements.filter((r) => r.value.state !== 'done').length,
    screens: [
      { path: 'floor/:tab(survey|deck)?', name: 'floor', component: () => import('@/stages/floor/FloorStage.vue') },
      { path: 'floor/linings', name: 'linings', component: () => import('@/stages/floor/LiningsScreen.vue') },
      { path: 'floor/cuts', name: 'board-cuts', component: () => import('@/stages/floor/CutPlanScreen.vue') },
      {
        path: 'floor/lining/:liningId/:tab(design|sheets|steps)',
        name: 'lining',
        component: () => import('@/stages/floor/LiningBench.vue'),
      },
      {
        path: 'floor/:replacementId/:tab(replace|pieces|steps)',
        name: 'replacement',
        component: () => import('@/stages/floor/ReplacementBench.vue'),
      },
    ],
  },
  {
    name: 'openings',
    waiting: (shell) => shell.openings.filter((o) => o.value.state !== 'fitted').length,
    screens: [
      { path: 'openings', name: 'openings', component: () => import('@/stages/openings/Openings.vue') },
      { path: 'openings/together', name: 'together', component: () => import('@/stages/openings/PlaceTogether.vue') },
      {
        path: 'openings/:openingId/:tab(place|mark-out|as-cut|seat|clamp|bond|steps)',
        name: 'opening',
        component: () => import('@/stages/openings/OpeningScreen.vue'),
      },
    ],
  },
  {
    name: 'sealing',
    screens: [{ path: 'sealing', name: 'sealing', component: () => import('@/stages/sealing/SealingStage.vue') }],
  },
  {
    name: 'days',
    screens: [
      { path: 'days', name: 'days', component: () => import('@/stages/days/DaysStage.vue') },
      { path: 'days/plan', name: 'plan', component: () => import('@/stages/days/PlanScreen.vue') },
      { path: 'days/list', name: 'day-list', component: () => import('@/stages/days/DayListScreen.vue') },
    ],
  },
  {
    name: 'bench',
    screens: [
      { path: 'bench', name: 'bench', component: () => import('@/stages/bench/BenchStage.vue') },
      {
        path: 'bench/:kind(opening|repair|replacement|lining)/:jobId',
        name: 'bench-job',
        component: () => import('@/stages/bench/BenchJob.vue'),
      },
    ],
  },
  {
    name: 'logbook',
    screens: [
      { path: 'logbook', name: 'logbook', component: () => import('@/stages/logbook/UpkeepScreen.vue') },
      { path: 'logbook/log', name: 'log', component: () => import('@/stages/logbook/LogScreen.vue') },
      { path: 'logbook/built', name: 'as-built', component: () => import('@/stages/logbook/AsBuiltScreen.vue') },
    ],
  },
  {
    name: 'stores',
    beside: true,
    screens: [{ path: 'stores', name: 'stores', component: () => import('@/stages/stores/StoresStage.vue') }],
  },
  {
    name: 'load',
    beside: true,
    screens: [{ path: 'load', name: 'load', component: () => import('@/stages/load/LoadStage.vue') }],
  },
]
