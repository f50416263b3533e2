<script setup lang="ts">
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';
import { languages } from '@/words/spoken';

/** In which language Harmozon speaks to this person. */
const account = useAccount();
const { isBusy, error, attempt } = useAttempt();

const choose = (event: Event) =>
  attempt(async () => {
    const chosen = (event.target as HTMLSelectElement).value;
    await account.come(ask(api.PUT('/me', { body: { language: chosen === '' ? null : chosen } })));
    // What the server has said so far is in the other language.
    window.location.reload();
  });
</script>

<template>
  <div class="language">
    <label for="you-language">{{ say('you.language') }}</label>
    <select id="you-language" :value="account.me?.user.language ?? ''" :disabled="isBusy" @change="choose">
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
