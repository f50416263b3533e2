<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';
import DevicesList from './DevicesList.vue';
import LoggerTokens from './LoggerTokens.vue';
import EndAccount from './EndAccount.vue';
import GaragesList from './GaragesList.vue';
import HabitsForm from './HabitsForm.vue';
import LanguageField from './LanguageField.vue';
import NewPassword from './NewPassword.vue';
import PeoplePanel from './PeoplePanel.vue';

/** The person's own account, their garages, and the people in the garage that is open. */
const account = useAccount();
const done = ref('');
const name = ref(account.me?.user.name ?? '');
const email = ref(account.me?.user.email ?? '');
const known = ref('');
const own = useAttempt();
const old = ref('');
const fresh = ref('');
const secret = useAttempt();
const devices = ref<InstanceType<typeof DevicesList>>();

const saveOwn = () =>
  own.attempt(async () => {
    done.value = '';
    const body = { name: name.value, email: email.value, ...(known.value === '' ? {} : { password: known.value }) };
    await account.come(ask(api.PUT('/me', { body })));
    known.value = '';
    done.value = say('you.saved');
  });

const savePassword = () =>
  secret.attempt(async () => {
    done.value = '';
    await ask(api.PUT('/me/password', { body: { password: old.value, new_password: fresh.value } }));
    old.value = fresh.value = '';
    done.value = say('you.password_saved');
    await devices.value?.load();
  });
</script>

<template>
  <div class="you">
    <h1>{{ say('screen.you') }}</h1>
    <p class="done" role="status">{{ done }}</p>
    <section aria-labelledby="you-own">
      <h2 id="you-own">{{ say('you.own') }}</h2>
      <form class="fields" @submit.prevent="saveOwn">
        <label for="you-name">{{ say('account.name') }}</label>
        <el-input id="you-name" v-model="name" autocomplete="name" required maxlength="120" />
        <label for="you-email">{{ say('account.email') }}</label>
        <el-input id="you-email" v-model="email" type="email" autocomplete="email" required />
        <template v-if="email !== account.me?.user.email">
          <label for="you-known">{{ say('you.known') }}</label>
          <el-input
            id="you-known"
            v-model="known"
            type="password"
            show-password
            autocomplete="current-password"
            required
          />
        </template>
        <p v-if="own.error.value" class="complaint" role="alert">{{ own.error.value }}</p>
        <el-button type="primary" native-type="submit" :loading="own.isBusy.value">{{ say('you.save') }}</el-button>
      </form>
      <LanguageField />
      <h3>{{ say('account.password') }}</h3>
      <form class="fields" @submit.prevent="savePassword">
        <label for="you-old">{{ say('you.known') }}</label>
        <el-input id="you-old" v-model="old" type="password" show-password autocomplete="current-password" required />
        <NewPassword id="you-new" v-model="fresh" :label="say('new_password.new')" />
        <p v-if="secret.error.value" class="complaint" role="alert">{{ secret.error.value }}</p>
        <el-button type="primary" native-type="submit" :loading="secret.isBusy.value">{{
          say('you.save_password')
        }}</el-button>
      </form>
      <DevicesList ref="devices" />
      <LoggerTokens v-if="account.may('record')" />
      <EndAccount />
    </section>
    <div>
      <section v-if="account.may('keep') && account.me?.garage" aria-labelledby="habits-title">
        <h2 id="habits-title">{{ say('habits.title') }}</h2>
        <HabitsForm />
      </section>
      <PeoplePanel />
      <GaragesList />
    </div>
  </div>
</template>

<style scoped>
.you {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: var(--space-4) 56px;
  max-width: 1160px;
  margin: 0 auto;
  padding: var(--space-8);
}

h1,
.done {
  grid-column: 1 / -1;
}

.done:empty {
  display: none;
}

.you :deep(h2) {
  margin: var(--space-6) 0 var(--space-4);
}

.you :deep(h3) {
  margin: var(--space-8) 0 var(--space-3);
}

.fields {
  display: flex;
  flex-direction: column;
  gap: var(--space-3);
  align-items: flex-start;
  max-width: 26em;
}

.fields :deep(label) {
  margin-top: var(--space-2);
  font-weight: 600;
}

@media (width <= 720px) {
  .you {
    grid-template-columns: minmax(0, 1fr);
    padding: var(--space-6);
  }
}
</style>
