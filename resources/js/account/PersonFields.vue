<script setup lang="ts">
import { say } from '@/words/say';
import NewPassword from './NewPassword.vue';

/** Name, e-mail and new password of a person without an account. */
const person = defineModel<{ name: string; email: string; password: string }>({ required: true });
</script>

<template>
  <label for="person-name">{{ say('account.name') }}</label>
  <el-input id="person-name" v-model="person.name" autocomplete="name" required maxlength="120" size="large" />
  <label for="person-email">{{ say('account.email') }}</label>
  <el-input id="person-email" v-model="person.email" type="email" autocomplete="username" required size="large" />
  <NewPassword id="person-password" v-model="person.password" :label="say('account.password')" />
</template>
