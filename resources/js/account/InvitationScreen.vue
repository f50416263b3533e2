<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { day } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';
import WaitingCar from './WaitingCar.vue';
import { bringVisitorCar } from '@/stores/visitorCar';
import { useAuth } from './useAuth';
import { secret } from '@/ui/pageSettings';
import AuthPage from './AuthPage.vue';
import PersonFields from './PersonFields.vue';

/** An invitation to somebody's garage, with or without an account. */
const account = useAccount();
const token = secret();
const path = { params: { path: { token } } };
const offer = ref<components['schemas']['Offer'] | null>(null);
const person = ref({ name: '', email: '', password: '' });
const { isBusy, error, enter } = useAuth();
const { error: gone, attempt: look } = useAttempt();

onMounted(() =>
  look(async () => {
    offer.value = await ask(api.GET('/invitations/{token}', path));
  }),
);

/** A car that was checked on this device before comes along, where the role may add one. */
const joinAnew = () =>
  enter(async () => {
    await account.come(ask(api.POST('/invitations/{token}/account', { ...path, body: person.value })));
    const car = account.may('edit') ? await bringVisitorCar(say('kit.new_car_name')).catch(() => null) : null;
    return car === null ? undefined : `/board?car=${car}`;
  });
const join = () => enter(() => account.stand(ask(api.POST('/invitations/{token}/join', path))));
</script>

<template>
  <AuthPage :title="say('invitation.title')">
    <p v-if="gone" class="complaint" role="alert">{{ gone }}</p>
    <template v-else-if="offer">
      <p>
        {{
          say('invitation.offer', {
            garage: offer.garage,
            role: offer.role_words,
            day: day(offer.expires_at, Intl.DateTimeFormat().resolvedOptions().timeZone),
          })
        }}
      </p>
      <template v-if="account.me">
        <p>{{ say('invitation.as', { name: account.me.user.name, email: account.me.user.email }) }}</p>
        <p v-if="error" class="complaint" role="alert">{{ error }}</p>
        <el-button type="primary" size="large" :loading="isBusy" @click="join">{{ say('invitation.join') }}</el-button>
      </template>
      <form v-else @submit.prevent="joinAnew">
        <WaitingCar code="invitation.with_car" />
        <PersonFields v-model="person" />
        <p v-if="error" class="complaint" role="alert">{{ error }}</p>
        <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{
          say('invitation.join')
        }}</el-button>
        <p>
          <RouterLink :to="{ path: '/sign-in', query: { to: `/invitation#${token}` } }">{{
            say('invitation.have_account')
          }}</RouterLink>
        </p>
      </form>
    </template>
    <p v-else class="quiet" role="status">{{ say('invitation.opening') }}</p>
  </AuthPage>
</template>
