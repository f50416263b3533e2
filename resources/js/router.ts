import { createRouter, createWebHistory } from 'vue-router';
import { isFirst, takesVisitors } from './ui/pageSettings';
import { useAccount } from './stores/account';
import { useTerms } from './stores/terms';
import { say, worded, type Code } from './words/say';

declare module 'vue-router' {
  interface RouteMeta {
    /** The stage a screen belongs to, for the strip. */
    stage?: string;
    title: Code;
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
      meta: { title: 'screen.sign_in', isOpen: true },
    },
    {
      path: '/begin',
      name: 'begin',
      component: () => import('./account/GetStartedScreen.vue'),
      meta: { title: 'screen.begin', isOpen: true },
    },
    {
      path: '/check',
      name: 'check',
      component: worded(() => import('./newcar/CheckScreen.vue')),
      meta: { title: 'screen.check', isOpen: true },
    },
    {
      path: '/forgotten',
      name: 'forgotten',
      component: () => import('./account/ForgottenScreen.vue'),
      meta: { title: 'screen.forgotten', isOpen: true },
    },
    {
      path: '/new-password',
      name: 'new-password',
      component: () => import('./account/NewPasswordScreen.vue'),
      meta: { title: 'screen.new_password', isOpen: true },
    },
    {
      path: '/invitation',
      name: 'invitation',
      component: () => import('./account/InvitationScreen.vue'),
      meta: { title: 'screen.invitation', isOpen: true },
    },
    {
      path: '/no-garage',
      name: 'no-garage',
      component: () => import('./account/NoGarage.vue'),
      meta: { title: 'screen.no_garage', isOpen: true },
    },
    {
      path: '/you',
      name: 'you',
      component: worded(() => import('./account/AccountScreen.vue')),
      meta: { title: 'screen.you' },
    },
    {
      path: '/board',
      name: 'board',
      component: () => import('./board/BoardStage.vue'),
      meta: { title: 'screen.board', stage: 'board' },
    },
    {
      path: '/forecast',
      name: 'forecast',
      component: worded(() => import('./forecast/ForecastStage.vue')),
      meta: { title: 'screen.forecast', stage: 'forecast' },
    },
    {
      path: '/connect/:id?',
      name: 'connect',
      component: worded(() => import('./connect/ConnectStage.vue')),
      meta: { title: 'screen.connect', stage: 'connect' },
    },
    {
      path: '/log',
      name: 'log',
      component: worded(() => import('./log/LogStage.vue')),
      meta: { title: 'screen.log', stage: 'log' },
    },
    {
      path: '/log/:id',
      name: 'report',
      component: worded(() => import('./log/ReportScreen.vue')),
      meta: { title: 'screen.session', stage: 'log' },
    },
    {
      path: '/kit/label/:id',
      name: 'label',
      component: worded(() => import('./kit/LabelScreen.vue')),
      meta: { title: 'screen.label', stage: 'kit' },
    },
    {
      path: '/kit/:subject(cars|places|tours|shop)?',
      name: 'kit',
      component: worded(() => import('./kit/KitStage.vue')),
      meta: { title: 'screen.kit', stage: 'kit' },
    },
    {
      path: '/new-car',
      name: 'new-car',
      component: worded(() => import('./newcar/NewCarStage.vue')),
      meta: { title: 'screen.new_car', stage: 'kit' },
    },
    {
      path: '/glossary',
      name: 'glossary',
      component: worded(() => import('./frame/GlossaryScreen.vue')),
      meta: { title: 'screen.glossary' },
    },
    {
      path: '/bench/:subject(practise|feed)?',
      name: 'bench',
      component: worded(() => import('./bench/BenchStage.vue')),
      meta: { title: 'screen.bench', stage: 'bench' },
    },
    {
      path: '/:missing(.*)*',
      name: 'missing',
      component: () => import('./frame/MissingScreen.vue'),
      meta: { title: 'screen.missing' },
    },
  ],
});

router.beforeEach(async (to) => {
  const account = useAccount();
  await account.recall();
  if (!account.me && !to.meta.isOpen) {
    // Where nobody has an account yet, the first page makes one.
    return { name: isFirst() ? 'begin' : 'sign-in', query: to.fullPath === '/board' ? {} : { to: to.fullPath } };
  }
  if (to.name === 'check') {
    if (account.me) {
      return { name: 'new-car' };
    }
    if (!takesVisitors()) {
      return { name: 'sign-in' };
    }
    await useTerms()
      .load(true)
      .catch(() => undefined);
  }
  if (account.me && (to.name === 'sign-in' || to.name === 'begin')) {
    return { name: 'board' };
  }
  // Without a garage there is nothing to look at; with one, nobody is asked to create it.
  if (account.me && !account.me.garage && !to.meta.isOpen) {
    return { name: 'no-garage' };
  }
  if (to.name === 'no-garage' && account.me?.garage) {
    return { name: 'board' };
  }
  if (!account.me && to.name === 'no-garage') {
    return { name: 'sign-in' };
  }
  if (!to.meta.isOpen) {
    // Without them the frame says what is wrong.
    await useTerms()
      .load()
      .catch(() => undefined);
  }
  return true;
});

router.afterEach((to) => {
  document.title = say('screen.title', { title: say(to.meta.title) });
});
