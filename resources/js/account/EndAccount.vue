<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** Deletes an account. That can't be undone, so it asks for the password. */
const account = useAccount();
const isAsked = ref(false);
const password = ref('');
const { isBusy, error, attempt } = useAttempt();

const end = () =>
  attempt(async () => {
    await ask(api.DELETE('/me', { body: { password: password.value } }));
    await account.end();
  });
</script>

<template>
  <h3>{{ say('end.account') }}</h3>
  <p class="quiet">{{ say('end.account_how') }}</p>
  <TextButton v-if="!isAsked" @click="isAsked = true">{{ say('end.account') }}</TextButton>
  <form v-else class="ends" @submit.prevent="end">
    <label for="end-password">{{ say('you.known') }}</label>
    <el-input
      id="end-password"
      v-model="password"
      type="password"
      show-password
      autocomplete="current-password"
      required
    />
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <div>
      <el-button type="danger" native-type="submit" :loading="isBusy">{{ say('end.account_now') }}</el-button>
      <TextButton @click="isAsked = false">{{ say('end.keep') }}</TextButton>
    </div>
  </form>
</template>

<style scoped>
.ends {
  display: flex;
  flex-direction: column;
  gap: var(--space-3);
  max-width: 26em;
}

.ends div {
  display: flex;
  gap: var(--space-7);
  align-items: center;
}
</style>
