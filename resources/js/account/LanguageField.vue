<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';
import { chosenHere, languages, speakHere } from '@/words/spoken';

/** In which language Harmozon speaks to this person; to a visitor, and in a demo that is everybody's, on this device. */
const account = useAccount();
const { isBusy, error, attempt } = useAttempt();
const chosen = ref(account.me?.user.language ?? chosenHere() ?? '');

const choose = () =>
  attempt(async () => {
    const tag = chosen.value === '' ? null : chosen.value;
    const me = account.me;
    if (me && !me.user.is_demo) {
      await account.come(ask(api.PUT('/me', { body: { language: tag } })));
    }
    if (!me || me.user.is_demo || tag === null) {
      await speakHere(tag);
    }
    // What the server has said so far is in the other language; to a visitor it has said nothing yet.
    if (me) {
      window.location.reload();
    }
  });
</script>

<template>
  <div class="language">
    <label for="you-language">{{ say('you.language') }}</label>
    <select id="you-language" v-model="chosen" :disabled="isBusy" @change="choose">
      <option value="">{{ say('you.language_of_browser') }}</option>
      <option v-for="(name, tag) in languages()" :key="tag" :value="tag" :lang="tag">{{ name }}</option>
    </select>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  </div>
</template>

<style scoped>
.language {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-5);
  align-items: baseline;
  margin-block: var(--space-6);
}
</style>
