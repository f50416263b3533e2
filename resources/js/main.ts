import '@fonts/faces.css';
import '../css/theme.css';
import '../css/element.css';
import '../css/base.css';
import '../css/chart.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { install } from './offline/install';
import { keepAnswers } from './offline/keeping';
import { router } from './router';

keepAnswers();
createApp(App).use(createPinia()).use(router).mount('#app');

void install();
