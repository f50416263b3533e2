import { createRouter, createWebHistory } from 'vue-router';
import { useAccount } from './stores/account';

declare module 'vue-router' {
  interface RouteMeta {
    /** The stage a screen belongs to, for the strip. */
    stage?: string;
    title: string;
    isOpen?: boolean;
  }
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/board' },
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('./account/SignIn.vue'),
      meta: { title: 'Sign in', isOpen: true },
    },
    {
      path: '/board',
      name: 'board',
      component: () => import('./board/BoardStage.vue'),
      meta: { title: 'Board', stage: 'board' },
    },
    {
      path: '/forecast',
      name: 'forecast',
      component: () => import('./forecast/ForecastStage.vue'),
      meta: { title: 'Forecast', stage: 'forecast' },
    },
    {
      path: '/connect/:id?',
      name: 'connect',
      component: () => import('./connect/ConnectStage.vue'),
      meta: { title: 'Connect', stage: 'connect' },
    },
    { path: '/log', name: 'log', component: () => import('./log/LogStage.vue'), meta: { title: 'Log', stage: 'log' } },
    {
      path: '/log/:id',
      name: 'report',
      component: () => import('./log/ReportScreen.vue'),
      meta: { title: 'Session', stage: 'log' },
    },
    { path: '/kit', name: 'kit', component: () => import('./kit/KitStage.vue'), meta: { title: 'Kit', stage: 'kit' } },
    {
      path: '/bench',
      name: 'bench',
      component: () => import('./bench/BenchStage.vue'),
      meta: { title: 'Bench', stage: 'bench' },
    },
    {
      path: '/:missing(.*)*',
      name: 'missing',
      component: () => import('./frame/MissingScreen.vue'),
      meta: { title: 'Not found' },
    },
  ],
});

router.beforeEach(async (to) => {
  const account = useAccount();
  await account.recall();
  if (!account.me && !to.meta.isOpen) {
    return { name: 'sign-in', query: to.fullPath === '/board' ? {} : { to: to.fullPath } };
  }
  return account.me && to.name === 'sign-in' ? { name: 'board' } : true;
});

router.afterEach((to) => {
  document.title = `${to.meta.title} · Harmozon`;
});
