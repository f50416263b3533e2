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
  margin-top: 12px;
}

summary {
  padding: 6px 0;
  cursor: pointer;
  font-weight: 600;
}

ol {
  margin: 4px 0 0;
  padding-left: 22px;
}

li {
  padding: 4px 0;
}
</style>
