import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'home', component: () => import('@/stages/vehicles/Home.vue') },
    { path: '/vehicles', name: 'vehicles', component: () => import('@/stages/vehicles/Vehicles.vue') },
    {
      path: '/vehicles/:vehicleId/walkaround',
      name: 'walkaround',
      component: () => import('@/stages/walkaround/Walkaround.vue'),
    },
    {
      path: '/vehicles/:vehicleId/panels/:panelId/:tab(members|shape|surface|findings)',
      name: 'panel',
      component: () => import('@/stages/walkaround/PanelScreen.vue'),
    },
    {
      path: '/vehicles/:vehicleId/water/:tab(leaks|standing|out)?',
      name: 'water',
      component: () => import('@/stages/water/WaterStage.vue'),
    },
    { path: '/vehicles/:vehicleId/openings', name: 'openings', component: () => import('@/stages/openings/Openings.vue') },
    {
      path: '/vehicles/:vehicleId/openings/together',
      name: 'together',
      component: () => import('@/stages/openings/PlaceTogether.vue'),
    },
    {
      path: '/vehicles/:vehicleId/openings/:openingId/:tab(place|mark-out|as-cut|seat|clamp|bond|steps)',
      name: 'opening',
      component: () => import('@/stages/openings/OpeningScreen.vue'),
    },
    { path: '/vehicles/:vehicleId/sealing', name: 'sealing', component: () => import('@/stages/sealing/SealingStage.vue') },
    { path: '/fittings', name: 'fittings', component: () => import('@/stages/openings/Fittings.vue') },
    { path: '/figures', name: 'figures', component: () => import('@/stages/figures/Figures.vue') },
    { path: '/:path(.*)', name: 'nowhere', component: () => import('@/stages/vehicles/Nowhere.vue') },
  ],
})
