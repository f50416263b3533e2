import '@fonts/faces.css';
import '../css/theme.css';
import '../css/element.css';
import '../css/base.css';
import '../css/chart.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { install } from './offline/install';
import { keepAnswers } from './offline/offlineAnswers';
import { router } from './router';
import { isGone, troubled } from './ui/brokenPage';
import { speak } from './words/say';
import { preferred } from './words/spoken';

keepAnswers();
const app = createApp(App);
app.config.errorHandler = (e) => troubled(e);
router.onError((e, to) => troubled(e, to.fullPath));
window.addEventListener('unhandledrejection', (event) => isGone(event.reason) && troubled(event.reason));
void speak(preferred()).then(() => app.use(createPinia()).use(router).mount('#app'));

void install();
