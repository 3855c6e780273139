import { createRouter, createWebHistory } from 'vue-router'

/** The stations in the order of work; one that is not built yet is not listed. */
export const STATIONS = ['deck', 'deal', 'rules', 'play', 'ship'] as const
export type Station = (typeof STATIONS)[number]
export const STATION_NAMES: Record<Station, string> = {
  deck: 'Deck',
  deal: 'Deal',
  rules: 'Rules',
  play: 'Play',
  ship: 'Ship',
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: () => import('./shelf/ShelfView.vue') },
    {
      path: '/games/:id',
      redirect: (to) => ({ name: 'bench', params: { id: String(to.params.id), station: 'deck' } }),
    },
    {
      path: `/games/:id/:station(${STATIONS.join('|')})/:level?`,
      name: 'bench',
      component: () => import('./bench/BenchView.vue'),
    },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./shelf/NowhereView.vue') },
  ],
})
