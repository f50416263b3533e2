<script setup lang="ts">
import { ref } from 'vue';
import { ApiError, wordsOf } from '@/api/client';
import { useAccount } from '@/stores/account';
import { say } from '@/words/say';
import { useAuth } from './useAuth';
import { hasDemo, isFirst, isOpen } from '@/ui/pageSettings';
import CheckMyCar from './CheckMyCar.vue';
import AuthPage from './AuthPage.vue';

const account = useAccount();
const email = ref('');
const password = ref('');
const remember = ref(false);
const {
  isBusy,
  error: complaint,
  enter,
} = useAuth((e) => (e instanceof ApiError && e.status === 429 ? say('account.too_many') : wordsOf(e)));
</script>

<template>
  <AuthPage :title="say('account.sign_in')">
    <form @submit.prevent="enter(() => account.signIn(email, password, remember))">
      <label for="email">{{ say('account.email') }}</label>
      <el-input id="email" v-model="email" type="email" autocomplete="username" required size="large" />
      <label for="password">{{ say('account.password') }}</label>
      <el-input
        id="password"
        v-model="password"
        type="password"
        show-password
        autocomplete="current-password"
        required
        size="large"
      />
      <label class="remember"><input v-model="remember" type="checkbox" /> {{ say('account.remember') }}</label>
      <p v-if="complaint" class="complaint" role="alert">{{ complaint }}</p>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{
        say('account.sign_in')
      }}</el-button>
      <p class="ways">
        <RouterLink to="/forgotten">{{ say('account.forgotten') }}</RouterLink>
        <RouterLink v-if="isOpen()" to="/begin">{{
          say(isFirst() ? 'account.make_first' : 'account.make_own')
        }}</RouterLink>
      </p>
      <template v-if="hasDemo()">
        <p class="or quiet">{{ say('account.look_around') }}</p>
        <el-button size="large" :disabled="isBusy" @click="enter(account.openDemo)">{{
          say('account.open_demo')
        }}</el-button>
      </template>
    </form>
    <template #beside><CheckMyCar /></template>
  </AuthPage>
</template>

<style scoped>
.remember {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  margin: var(--space-2) 0;
  font-weight: 400;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-8);
  justify-content: space-between;
  margin-top: var(--space-4);
}

.or {
  margin-top: var(--space-6);
}
</style>
