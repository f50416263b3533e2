<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import AuthPage from './AuthPage.vue';
import GarageFields from './GarageFields.vue';
import { suggested } from './newGarage';

/** Somebody with an account who belongs to no garage. */
const account = useAccount();
const garage = ref(suggested());
const { isBusy, error, attempt } = useAttempt();

const found = () => attempt(() => account.stand(ask(api.POST('/garages', { body: garage.value }))));
</script>

<template>
  <AuthPage :title="say('garages.none')">
    <form @submit.prevent="found">
      <p>{{ say('garages.none_how') }}</p>
      <GarageFields v-model="garage" />
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{
        say('garages.found')
      }}</el-button>
    </form>
    <p>
      <TextButton @click="account.signOut">{{ say('frame.sign_out') }}</TextButton>
    </p>
  </AuthPage>
</template>
