<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { day } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

type Token = components['schemas']['LoggerToken'];

/** The person's loggers in the open garage: each may add readings there, and do nothing else. */
const account = useAccount();
const tokens = ref<Token[]>([]);
const name = ref('');
const days = ref('90');
/** Told once, when it was made. */
const made = ref('');
const { isBusy, error, attempt } = useAttempt();

const load = () =>
  attempt(async () => {
    tokens.value = (await ask(api.GET('/tokens'))).tokens;
  });

async function make(): Promise<void> {
  await attempt(async () => {
    const body = { name: name.value.trim(), days: Number(days.value) };
    made.value = (await ask(api.POST('/tokens', { body }))).token;
    name.value = '';
    tokens.value = (await ask(api.GET('/tokens'))).tokens;
  });
}

async function end(token: Token): Promise<void> {
  await attempt(async () => {
    await ask(api.DELETE('/tokens/{token}', { params: { path: { token: token.id } } }));
    made.value = '';
    tokens.value = (await ask(api.GET('/tokens'))).tokens;
  });
}

function told(token: Token): string {
  const until = token.expires_at ? day(token.expires_at, account.zone) : say('figure.none');
  return token.last_used_at
    ? say('loggers.used', { until, used: day(token.last_used_at, account.zone) })
    : say('loggers.unused', { until });
}

onMounted(load);
</script>

<template>
  <h3>{{ say('loggers.title') }}</h3>
  <p class="quiet">{{ say('loggers.what') }}</p>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  <ul class="lines">
    <li v-for="token in tokens" :key="token.id">
      <div>
        <strong>{{ token.name }}</strong> <span class="quiet">{{ told(token) }}</span>
      </div>
      <TextButton :disabled="isBusy" :words="say('loggers.end')" :of="token.name" @click="end(token)" />
    </li>
  </ul>
  <p v-if="made" role="status" class="made">
    {{ say('loggers.made') }} <code>{{ made }}</code>
  </p>
  <form @submit.prevent="make">
    <label for="logger-name">{{ say('loggers.name') }}</label>
    <input id="logger-name" v-model="name" maxlength="60" required autocomplete="off" />
    <label for="logger-days">{{ say('loggers.days') }}</label>
    <input id="logger-days" v-model="days" type="number" min="1" max="730" required />
    <el-button native-type="submit" :disabled="isBusy">{{ say('loggers.make') }}</el-button>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-6);
  align-items: center;
  margin-top: var(--space-4);
}

input {
  min-height: 32px;
  padding: var(--space-2) var(--space-4);
  border: 1px solid var(--line-strong);
  background: var(--paper-raised);
  color: inherit;
  font: inherit;
}

input[type='number'] {
  width: 90px;
}

.made code {
  display: block;
  padding: var(--space-3) var(--space-4);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
  overflow-wrap: anywhere;
  user-select: all;
}
</style>
