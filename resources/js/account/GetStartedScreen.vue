<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { say } from '@/words/say';
import { useAuth } from './useAuth';
import { hasDemo, isFirst, isOpen } from '@/ui/pageSettings';
import CheckMyCar from './CheckMyCar.vue';
import AuthPage from './AuthPage.vue';
import WaitingCar from './WaitingCar.vue';
import { bringVisitorCar } from '@/stores/visitorCar';
import GarageFields from './GarageFields.vue';
import { suggested } from './newGarage';
import PersonFields from './PersonFields.vue';

/** Creates an account with an empty garage: the first account, or any where registration is open. */
const account = useAccount();
/** A person with a new garage begins with their car. */
const { isBusy, error, enter } = useAuth(undefined, '/new-car');
const auth = useAuth();
const person = ref({ name: '', email: '', password: '' });
const garage = ref(suggested());

const usual = computed(() => {
  const name = person.value.name.trim();
  return name === '' ? undefined : say('begin.own_garage', { name });
});

/** A car that was checked before there was an account is the first of the garage. */
const begin = () =>
  enter(async () => {
    const named = { ...garage.value, name: garage.value.name.trim() || (usual.value ?? '') };
    await account.come(ask(api.POST('/accounts', { body: { ...person.value, garage: named } })));
    const car = await bringVisitorCar(say('kit.new_car_name')).catch(() => null);
    return car === null ? undefined : `/board?car=${car}`;
  });
</script>

<template>
  <AuthPage :title="say(isFirst() ? 'begin.first' : 'begin.own')">
    <form v-if="isOpen()" @submit.prevent="begin">
      <WaitingCar code="begin.with_car" />
      <PersonFields v-model="person" />
      <details>
        <summary>
          {{ say('begin.guessed', { units: say(`habits.${garage.units}`), currency: garage.currency }) }}
        </summary>
        <GarageFields v-model="garage" :usual="usual" />
      </details>
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{ say('begin.go') }}</el-button>
    </form>
    <p v-else>{{ say('begin.closed') }}</p>
    <p class="ways">
      <RouterLink to="/sign-in">{{ say('begin.have_account') }}</RouterLink>
    </p>
    <template #beside>
      <CheckMyCar />
      <el-button v-if="hasDemo()" class="beside" size="large" :disabled="isBusy" @click="auth.enter(account.openDemo)">
        {{ say('begin.look_around') }}
      </el-button>
    </template>
  </AuthPage>
</template>

<style scoped>
.ways {
  margin-top: var(--space-7);
}

.beside {
  margin-top: var(--space-9);
}

details {
  margin: var(--space-3) 0;
}

summary {
  cursor: pointer;
}

details :deep(.habits) {
  margin-top: var(--space-4);
}

@media (width <= 760px) {
  .beside {
    margin-top: var(--space-5);
  }
}
</style>
