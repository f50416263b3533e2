<script setup lang="ts">
import { ref, watch } from 'vue';
import { useAccount } from '@/stores/account';
import { useOutbox } from '@/stores/outbox';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';

/** The sign-in session ended during work: sign in again on the same screen; what was typed is still there. */
const account = useAccount();
const outbox = useOutbox();
const password = ref('');
const { isBusy, error, attempt } = useAttempt();

watch(
  () => account.isExpired,
  () => (password.value = ''),
);

async function enter(): Promise<void> {
  await attempt(async () => {
    await account.signInAgain(password.value);
    // What waited for it goes now, not when the clock comes round.
    void outbox.send();
  });
}
</script>

<template>
  <el-dialog
    :model-value="account.isExpired"
    :title="say('account.again')"
    width="min(420px, 94%)"
    append-to-body
    :close-on-click-modal="false"
    :close-on-press-escape="false"
    :show-close="false"
  >
    <form class="again" @submit.prevent="enter">
      <p>{{ say('account.again_how') }}</p>
      <p>
        <strong>{{ account.me?.user.email }}</strong>
      </p>
      <label for="again-password">{{ say('account.password') }}</label>
      <el-input
        id="again-password"
        v-model="password"
        type="password"
        autocomplete="current-password"
        required
        size="large"
      />
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{
        say('account.sign_in')
      }}</el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
.again {
  display: flex;
  flex-direction: column;
  gap: var(--space-4);
}
</style>
