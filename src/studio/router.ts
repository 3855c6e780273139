import { createRouter, createWebHistory } from 'vue-router'
import { STATIONS } from './pages/stations.ts'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: () => import('./pages/shelf/ShelfView.vue') },
    {
      path: '/games/:id',
      redirect: (to) => ({ name: 'bench', params: { id: String(to.params.id), station: 'deck' } }),
    },
    {
      path: `/games/:id/:station(${STATIONS.join('|')})/:level?`,
      name: 'bench',
      component: () => import('./pages/bench/BenchView.vue'),
    },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./pages/shelf/NowhereView.vue') },
  ],
})
