<script setup lang="ts">
import { say } from '@/words/say';
import type { Visit } from './useVisit';

/** Every step of a visit, one below the other: the screen shows them one by one, paper all of them. */
defineProps<{ steps: Visit['steps'] }>();
</script>

<template>
  <ol class="print-only">
    <li v-for="step in steps" :key="step.code">
      <strong>{{ step.title }}</strong>
      {{ step.do }}
      <em v-if="step.caution">{{ step.caution }}</em>
      <template v-if="step.sign">{{ say('step.sign', { sign: step.sign }) }}</template>
      {{ step.if_not }}
    </li>
  </ol>
</template>

<style scoped>
li {
  margin-bottom: var(--space-4);
  break-inside: avoid;
}
</style>
