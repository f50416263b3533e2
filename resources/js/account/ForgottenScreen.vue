<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';
import AuthPage from './AuthPage.vue';

/** Asks for an e-mail. Doesn't reveal whether the account exists. */
const email = ref('');
const isSent = ref(false);
const { isBusy, error, attempt } = useAttempt();

const send = () =>
  attempt(async () => {
    await ask(api.POST('/password/forgotten', { body: { email: email.value } }));
    isSent.value = true;
  });
</script>

<template>
  <AuthPage :title="say('account.forgotten')">
    <p v-if="isSent" role="status">{{ say('forgotten.sent', { email }) }}</p>
    <form v-else @submit.prevent="send">
      <p>{{ say('forgotten.how') }}</p>
      <label for="email">{{ say('account.email') }}</label>
      <el-input id="email" v-model="email" type="email" autocomplete="username" required size="large" />
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{
        say('forgotten.send')
      }}</el-button>
    </form>
    <p class="quiet">{{ say('forgotten.without_mail') }}</p>
    <p>
      <RouterLink to="/sign-in">{{ say('account.sign_in') }}</RouterLink>
    </p>
  </AuthPage>
</template>
