<script setup lang="ts">
import { waits } from '@/stores/visitorCar';
import { say } from '@/words/say';
import { takesVisitors } from '@/ui/pageSettings';

/** The first thing to do here, without an account. */
const isBegun = waits() !== null;
</script>

<template>
  <p v-if="takesVisitors()" class="check">
    <RouterLink to="/check" class="el-button el-button--primary el-button--large">{{
      say(isBegun ? 'check.go_on' : 'check.begin')
    }}</RouterLink>
    <span>{{ say('check.begin_how') }}</span>
  </p>
</template>

<style scoped>
.check {
  display: flex;
  flex-direction: column;
  gap: var(--space-4);
  align-items: flex-start;
  margin-top: var(--space-9);
}

.check a {
  text-decoration: none;
}

@media (width <= 760px) {
  .check {
    margin-top: var(--space-6);
  }
}
</style>
