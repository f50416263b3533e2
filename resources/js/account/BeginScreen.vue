<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { say } from '@/words/say';
import { useDoor } from './door';
import { hasDemo, isFirst, isOpen } from './page';
import DoorPage from './DoorPage.vue';
import GarageFields from './GarageFields.vue';
import { suggested } from './newGarage';
import PersonFields from './PersonFields.vue';

/** An account with a garage that holds nothing yet: the first of all, or where the door stands open. */
const account = useAccount();
/** Whoever has a garage of their own begins with their car. */
const { isBusy, error, enter } = useDoor(undefined, '/new-car');
const door = useDoor();
const person = ref({ name: '', email: '', password: '' });
const garage = ref(suggested());

const usual = computed(() => {
  const name = person.value.name.trim();
  return name === '' ? undefined : say('begin.own_garage', { name });
});

const begin = () =>
  enter(() => {
    const named = { ...garage.value, name: garage.value.name.trim() || (usual.value ?? '') };
    return account.come(ask(api.POST('/accounts', { body: { ...person.value, garage: named } })));
  });
</script>

<template>
  <DoorPage :title="say(isFirst() ? 'begin.first' : 'begin.own')">
    <form v-if="isOpen()" @submit.prevent="begin">
      <PersonFields v-model="person" />
      <GarageFields v-model="garage" :usual="usual" />
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <el-button type="primary" native-type="submit" size="large" :loading="isBusy">{{ say('begin.go') }}</el-button>
    </form>
    <p v-else>{{ say('begin.closed') }}</p>
    <p class="ways">
      <RouterLink to="/sign-in">{{ say('begin.have_account') }}</RouterLink>
    </p>
    <template v-if="hasDemo()" #beside>
      <el-button class="beside" size="large" :disabled="isBusy" @click="door.enter(account.openDemo)">
        {{ say('begin.look_around') }}
      </el-button>
    </template>
  </DoorPage>
</template>

<style scoped>
.ways {
  margin-top: var(--space-7);
}

.beside {
  margin-top: var(--space-9);
}

@media (width <= 760px) {
  .beside {
    margin-top: var(--space-5);
  }
}
</style>
