<script setup lang="ts">
import { ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { ApiError, wordsOf } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useAttempt } from '@/ui/useAttempt';
import JointGlyph from '@/ui/JointGlyph.vue';
import { say } from '@/words/say';

const account = useAccount();
const router = useRouter();
const route = useRoute();
const email = ref('');
const password = ref('');
const remember = ref(false);
const {
  isBusy,
  error: complaint,
  attempt,
} = useAttempt((e) => (e instanceof ApiError && e.status === 429 ? say('account.too_many') : wordsOf(e)));
const isDemo = document.querySelector<HTMLMetaElement>('meta[name=harmozon-demo]')?.content === 'yes';

function enter(door: () => Promise<void>): Promise<void> {
  return attempt(async () => {
    await door();
    const to = route.query.to;
    await router.push(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : '/board');
  });
}
</script>

<template>
  <main class="door">
    <section class="about">
      <div class="pieces" aria-hidden="true">
        <JointGlyph outcome="charges" />
        <JointGlyph outcome="limited" :tags="['A1']" />
        <JointGlyph outcome="wont_charge" />
      </div>
      <h1>{{ say('harmozon') }}</h1>
      <p>{{ say('account.promise') }}</p>
    </section>
    <form class="form" @submit.prevent="enter(() => account.signIn(email, password, remember))">
      <h2>{{ say('account.sign_in') }}</h2>
      <label for="email">{{ say('account.email') }}</label>
      <el-input id="email" v-model="email" type="email" autocomplete="username" required size="large" />
      <label for="password">{{ say('account.password') }}</label>
      <el-input
        id="password"
        v-model="password"
        type="password"
        autocomplete="current-password"
        required
        size="large"
      />
      <label class="remember"><input v-model="remember" type="checkbox" /> {{ say('account.remember') }}</label>
      <p v-if="complaint" class="complaint" role="alert">{{ complaint }}</p>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{
        say('account.sign_in')
      }}</el-button>
      <template v-if="isDemo">
        <p class="or quiet">{{ say('account.look_around') }}</p>
        <el-button size="large" :disabled="isBusy" @click="enter(account.openDemo)">{{
          say('account.open_demo')
        }}</el-button>
      </template>
    </form>
  </main>
</template>

<style scoped>
.door {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 420px);
  gap: 72px;
  align-items: center;
  max-width: 1020px;
  min-height: 100%;
  margin: 0 auto;
  padding: 40px 32px;
}

.pieces {
  display: flex;
  gap: 14px;
  margin-bottom: 28px;
}

.about h1 {
  font-family: var(--face-mark);
  margin-bottom: 14px;
  font-size: 46px;
}

.about p {
  max-width: 30em;
  color: var(--ink-soft);
  font-size: 18px;
}

.form {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 28px;
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.form h2 {
  margin-bottom: 8px;
}

.form .el-button {
  width: 100%;
  margin: 6px 0 0;
}

label {
  font-weight: 600;
}

.remember {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 4px 0;
  font-weight: 400;
}

.or {
  margin-top: 12px;
}

@media (width <= 760px) {
  .door {
    grid-template-columns: 1fr;
    gap: 24px;
    padding: 24px 16px;
  }

  .about h1 {
    font-size: 34px;
  }

  .pieces {
    margin-bottom: 16px;
  }
}
</style>
