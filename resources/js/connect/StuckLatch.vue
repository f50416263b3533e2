<script setup lang="ts">
import { say } from '@/words/say';

defineProps<{ steps: string[] }>();
</script>

<template>
  <details class="latch">
    <summary>{{ say('latch.title') }}</summary>
    <ol>
      <li v-for="s in steps" :key="s">{{ s }}</li>
    </ol>
  </details>
</template>

<style scoped>
.latch {
  max-width: 560px;
  margin-top: var(--space-6);
}

summary {
  padding: var(--space-3) 0;
  cursor: pointer;
  font-weight: 600;
}

ol {
  margin: var(--space-2) 0 0;
  padding-inline-start: var(--space-8);
}

li {
  padding: var(--space-2) 0;
}
</style>
