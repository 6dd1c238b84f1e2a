import { createRouter, createWebHistory } from 'vue-router'
import { stages } from './stages'

export const router = createRouter({
  history: createWebHistory(),
  // Another screen begins at its top; the one that one comes back to, where it was left.
  scrollBehavior: (to, from, saved) => saved ?? (to.path === from.path ? false : { top: 0 }),
  routes: [
    { path: '/', name: 'home', component: () => import('@/stages/vehicles/Home.vue') },
    { path: '/vehicles', name: 'vehicles', component: () => import('@/stages/vehicles/Vehicles.vue') },
    ...stages.flatMap((stage) => stage.screens.map((screen) => ({ ...screen, path: `/vehicles/:vehicleId/${screen.path}` }))),
    { path: '/fittings', name: 'fittings', component: () => import('@/stages/openings/Fittings.vue') },
    { path: '/simulated-weather', name: 'simulated-weather', component: () => import('@/stages/days/SimulatedWeather.vue') },
    { path: '/figures', name: 'figures', component: () => import('@/stages/figures/Figures.vue') },
    { path: '/:path(.*)', name: 'nowhere', component: () => import('@/stages/vehicles/Nowhere.vue') },
  ],
})
