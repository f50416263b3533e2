<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { onEstranged } from './api/client';
import { useAfterTyping } from './frame/useAfterTyping';
import Frame from './frame/Frame.vue';
import { onSomebodyElse } from './offline/device';
import { useAccount } from './stores/account';
import TextButton from './ui/TextButton.vue';
import { isTroubled } from './ui/brokenPage';
import { useFocusHome } from './ui/useFocusHome';
import { useTheme } from './ui/useTheme';
import { language } from './words/habits';
import { say } from './words/say';

const route = useRoute();
const isFramed = computed(() => route.matched.length > 0 && !route.meta.isOpen);

useTheme();
useFocusHome();
const account = useAccount();
const anew = (): void => window.location.assign('/');
const asksAgain = useAfterTyping(() => (account.isExpired = true));
onEstranged((how) => {
  if (how === 'ended') {
    void account.end();
  } else if (how === 'another') {
    anew();
  } else if (account.me && !route.meta.isOpen) {
    asksAgain();
  }
});
onSomebodyElse(() => account.me?.user.id ?? null, anew);

/** The few words that come with the parts we did not make. */
const ofParts = computed(() => {
  const close = { close: say('dialog.close') };
  return { name: language.value, el: { dialog: close, drawer: close } };
});
const again = (): void => window.location.reload();
</script>

<template>
  <p v-if="isTroubled" class="trouble" role="alert">
    {{ say('trouble.says') }} <TextButton @click="again">{{ say('trouble.anew') }}</TextButton>
  </p>
  <el-config-provider :locale="ofParts">
    <Frame v-if="isFramed"><RouterView /></Frame>
    <RouterView v-else />
  </el-config-provider>
</template>

<style scoped>
.trouble {
  position: fixed;
  z-index: 3000;
  inset: 0 0 auto;
  padding: var(--space-4) var(--space-7);
  border-bottom: 3px solid var(--brick);
  background: var(--paper-raised);
}
</style>
