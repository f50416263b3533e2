<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { say } from '@/words/say';
import { useAuth } from './useAuth';
import { secret } from '@/ui/pageSettings';
import AuthPage from './AuthPage.vue';
import NewPassword from './NewPassword.vue';

/** The page behind the link in the e-mail: sets a new password, once. */
const account = useAccount();
const link = new URLSearchParams(secret());
const email = link.get('email') ?? '';
const password = ref('');
const { isBusy, error, enter } = useAuth();

const set = () =>
  enter(() =>
    account.come(
      ask(api.POST('/password/reset', { body: { email, token: link.get('token') ?? '', password: password.value } })),
    ),
  );
</script>

<template>
  <AuthPage :title="say('new_password.title')">
    <form @submit.prevent="set">
      <p>{{ say('new_password.for', { email }) }}</p>
      <input type="hidden" autocomplete="username" :value="email" />
      <NewPassword id="new-password" v-model="password" :label="say('new_password.new')" />
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{
        say('new_password.set')
      }}</el-button>
    </form>
    <p>
      <RouterLink to="/forgotten">{{ say('new_password.again') }}</RouterLink>
    </p>
  </AuthPage>
</template>
